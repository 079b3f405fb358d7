import {
  type AxleEnd,
  type Comparator,
  type Corner,
  type DynoKind,
  type ElementKind,
  type Grade,
  type InstrumentKind,
  type Launch,
  type Lay,
  type LifeMeasure,
  type LineKind,
  type Measure,
  type Obstacle,
  type OilCoolerPlace,
  type Quantity,
  type RatingFlow,
  type RatingKind,
  type RuleMeasure,
  type Shaft,
  type SheetName,
  type SparMetal,
  type Use,
  type WeighMethod,
} from '@bold-ballast/core'

export const DISCIPLINES = ['track', 'drift', 'timeAttack'] as const
export const LAYOUTS = ['front', 'rear', 'all'] as const
export const LOAD_KINDS = ['fluid', 'person', 'thing'] as const
export const FATES = ['unsaid', 'stored', 'sold', 'scrapped'] as const
/** What kind of work a job is: people promise some kinds better than others. */
export const JOB_KINDS = [
  'work',
  'measurement',
  'stripping',
  'cutting',
  'fitting',
  'plumbing',
  'wiring',
  'engine',
  'bodywork',
  'setUp',
] as const
export type JobKind = (typeof JOB_KINDS)[number]
export const JOB_STATES = ['toDo', 'doing', 'done', 'dropped'] as const
export const JOB_PLACES = ['anywhere', 'bay', 'bench', 'outside', 'track'] as const
export const WAIT_KINDS = ['shop', 'cure', 'person', 'money', 'other'] as const
export const PART_STATES = [
  'wanted',
  'quoted',
  'ordered',
  'arrived',
  'trialFitted',
  'fitted',
  'returned',
] as const
export const PART_PURPOSES = ['planned', 'replacement', 'option', 'consumable', 'other'] as const
export const PART_CONDITIONS = ['new', 'used', 'rebuilt'] as const
export const FINDINGS = ['rust', 'crack', 'leak', 'wear', 'bent', 'missing', 'other'] as const
export const DATE_KINDS = ['round', 'dyno', 'shop', 'transport', 'other'] as const
export const GUESSED = ['hours', 'money', 'power', 'mass'] as const
export const BOOST_CONTROLS = ['none', 'spring', 'controlled'] as const
export const PULL_SOURCES = ['file', 'peaks', 'points', 'photo', 'live'] as const
export const SYSTEMS = [
  'body',
  'interior',
  'engine',
  'exhaust',
  'cooling',
  'fuel',
  'wiring',
  'driveline',
  'suspension',
  'brakes',
  'wheels',
  'aero',
  'safety',
  'electrics',
  'other',
] as const

/** The words for the values that records hold, wherever they are read. */
/** The words the interface uses for the values that records hold. */
/** How a figure is known. */
export const GRADE: Record<Grade, string> = {
  guess: 'guess',
  claim: 'claim',
  measured: 'measured',
  proven: 'proven',
}
export const DISCIPLINE: Record<(typeof DISCIPLINES)[number], string> = {
  track: 'Track',
  drift: 'Drift',
  timeAttack: 'Time attack',
}
export const LAYOUT: Record<(typeof LAYOUTS)[number], string> = {
  front: 'front-wheel drive',
  rear: 'rear-wheel drive',
  all: 'all-wheel drive',
}
export const LINE_KIND: Record<LineKind, string> = {
  off: 'off',
  on: 'on',
  moved: 'moved',
  carried: 'carried over',
}
export const SYSTEM: Record<(typeof SYSTEMS)[number], string> = {
  body: 'Body',
  interior: 'Interior',
  engine: 'Engine',
  exhaust: 'Exhaust',
  cooling: 'Cooling',
  fuel: 'Fuel',
  wiring: 'Wiring',
  driveline: 'Driveline',
  suspension: 'Suspension',
  brakes: 'Brakes',
  wheels: 'Wheels and tyres',
  aero: 'Aero',
  safety: 'Cage and safety',
  electrics: 'Electrics',
  other: 'Other',
}
export const FATE: Record<(typeof FATES)[number], string> = {
  unsaid: 'nobody said',
  stored: 'stored',
  sold: 'sold',
  scrapped: 'scrapped',
}
export const DYNO_KIND: Record<DynoKind, string> = {
  hub: 'Hub dyno',
  rollerInertia: 'Roller dyno, inertia',
  rollerLoaded: 'Roller dyno, loaded',
  engine: 'Engine dyno',
}
export const BOOST_CONTROL: Record<(typeof BOOST_CONTROLS)[number], string> = {
  none: 'No boost',
  spring: 'Wastegate spring alone',
  controlled: 'Control holds pressure',
}
export const PULL_SOURCE: Record<(typeof PULL_SOURCES)[number], string> = {
  file: 'from a file',
  peaks: 'peaks typed',
  points: 'points typed',
  photo: 'off a picture',
  live: 'logged live',
}
export const USE: Record<Use, string> = {
  always: 'with the key on',
  running: 'engine running',
  sometimes: 'now and then',
}
export const LAUNCH: Record<Launch, string> = {
  smooth: 'smoothly, or by paddle',
  brisk: 'briskly',
  dumped: 'clutch dumped',
  clutchKick: 'with clutch kicks',
}
export const SHAFT: Record<Shaft, string> = {
  engine: 'at the engine',
  gearbox: 'into the gearbox',
  propshaft: 'at the propeller shaft',
  finalDrive: 'at the ring gear',
  halfshaft: 'at a half-shaft',
}
export const RATING: Record<RatingKind, string> = {
  torque: 'Torque',
  power: 'Power, at the crank',
  speed: 'Speed of turning',
  temperature: 'Temperature',
  current: 'Current',
  load: 'Load',
}
export const AXLE_END: Record<AxleEnd, string> = { front: 'front', rear: 'rear' }
export const RATING_FLOW: Record<RatingFlow, string> = {
  fuel: 'fuel goes through it',
  air: 'air goes through it',
}
export const LIFE_MEASURE: Record<LifeMeasure, string> = {
  hours: 'hours',
  laps: 'laps',
  launches: 'launches',
  trackDays: 'track days',
  heatCycles: 'heat cycles',
}
export const OBSTACLE_SIDE: Record<Obstacle['side'], string> = {
  inside: 'inboard of the wheel',
  outside: 'outboard of it',
  above: 'above the tread',
}
/** The quantity that each kind of rating is in. */
export const RATED_IN = {
  torque: 'torque',
  power: 'power',
  speed: 'engineSpeed',
  temperature: 'temperature',
  current: 'current',
  load: 'force',
} as const satisfies Record<RatingKind, Quantity>
export const ELEMENT: Record<ElementKind, string> = {
  wing: 'wing',
  splitter: 'splitter',
  diffuser: 'diffuser',
  floor: 'flat floor',
  skirts: 'side skirts',
  vanes: 'vanes under the floor',
  canards: 'canards, dive planes',
  spoiler: 'spoiler',
  vent: 'vents',
  body: 'the body itself',
}
export const SHEET: Record<SheetName, string> = {
  plywood: 'plywood',
  abs: 'ABS',
  corrugated: 'corrugated, aluminium skins',
  aluminium: 'sheet aluminium',
  carbon: 'solid carbon',
  honeycomb: 'carbon on honeycomb',
}
export const SPAR: Record<SparMetal, string> = {
  aluminium: 'aluminium tube',
  steel: 'steel tube',
  carbon: 'carbon tube',
}
export const LAY: Record<Lay, string> = {
  strong: 'grain or flutes along the short span',
  weak: 'grain or flutes along the long span',
  crossed: 'two layers, crossed',
}
export const RULE_MEASURE: Record<RuleMeasure, string> = {
  massWithDriver: 'Mass, driver aboard',
  massWithoutDriver: 'Mass, no driver',
  wheelPower: 'Wheel power',
  powerToMass: 'Power to weight, driver aboard',
  wingAboveRoof: 'Highest element above the roof',
  frontBeyondBumper: 'Reaches beyond the front bumper',
  rearBeyondBumper: 'Reaches beyond the rear bumper',
  overallWidth: 'Overall width',
  groundClearance: 'Ground clearance',
  tyreWidth: 'Tyre width',
  cageOutside: 'Cage tube, outside',
  cageWall: 'Cage tube, wall',
  ethanol: 'Ethanol in the fuel',
  noise: 'Noise, dB(A)',
}
export const LINE_SOURCE: Record<'drawn' | 'logged' | 'file', string> = {
  drawn: 'drawn on a plan',
  logged: 'logged on the course',
  file: 'a file',
}
export const DIFFERENTIAL: Record<'open' | 'limited' | 'locked', string> = {
  open: 'open',
  limited: 'limited slip',
  locked: 'locked, or a spool',
}
/** As a heading, or where a sentence begins. */
export const AXLE_WORDS: Record<AxleEnd, string> = { front: 'Front', rear: 'Rear' }
export const CORNER_WORDS: Record<Corner, string> = {
  frontLeft: 'Front left',
  frontRight: 'Front right',
  rearLeft: 'Rear left',
  rearRight: 'Rear right',
}
export const METHOD: Record<WeighMethod, string> = {
  fourPads: 'Four pads at once',
  threePads: 'Three pads and a block, twice',
  twoPads: 'Two pads, one axle at a time',
  axles: 'Weighbridge, axle by axle',
}
export const MEASURE: Record<Measure, string> = {
  mass: 'Mass',
  frontShare: 'Front share of mass',
  crossShare: 'Cross weight',
  wheelPower: 'Wheel power',
  meanPower: 'Mean power, band used',
  powerToWeight: 'Power to weight',
  quarterMile: '402 m',
  topSpeed: 'Top speed',
  driftWindow: 'Drift window',
  weakestLink: 'Weakest link',
  downforce: 'Downforce',
  aeroBalance: 'Aero balance, front',
  groundGap: 'Gap to the ground',
  classFails: 'Rules failed',
  price: 'Money so far',
  hours: 'Hands on it so far',
  noise: 'Noise',
  transferShare: 'Front share of the transfer',
  rideFront: 'Ride frequency, front',
  rideRear: 'Ride frequency, rear',
  brakingEfficiency: 'Braking that can be used',
  lockMargin: 'Rear locks after the front by',
  padOff: 'Discs outside of the pads’ window, K',
  lapTime: 'Best lap',
  lapBestThree: 'Three best laps, their mean',
  lapMedian: 'Median lap',
  sectorTime: 'Sector',
  cornerSpeed: 'Least speed in a corner',
  temperatureRead: 'Temperature, off a gauge',
  pressureRead: 'Pressure, off a gauge',
  hotPressure: 'Tyre pressures, hot',
}
export const COMPARATOR: Record<Comparator, string> = {
  atMost: 'at most',
  atLeast: 'at least',
  within: 'within',
}
/** Where an oil cooler gets its air. */
export const OIL_COOLER_PLACE: Record<OilCoolerPlace, string> = {
  own: 'in air of its own',
  ahead: 'ahead of the radiator',
  behind: 'behind the radiator',
}
/** A scale or a dyno of the workshop. */
export const INSTRUMENT_KIND: Record<InstrumentKind, string> = {
  pads: 'Scale pads',
  weighbridge: 'Weighbridge',
  partScale: 'Part scale',
  dyno: 'Dyno',
}

export const LOAD_KIND: Record<(typeof LOAD_KINDS)[number], string> = {
  fluid: 'a fluid',
  person: 'a person',
  thing: 'a thing',
}
export const GEARSET_KIND = {
  gearbox: 'Gearbox, its gears',
  finalDrive: 'Final drives',
  between: 'Drop, transfer or quick-change gears',
  tyre: 'Tyre',
} as const
/** What an alignment was measured with. */
export const ALIGNED_BY = {
  string: 'string',
  plates: 'toe plates',
  gauge: 'camber gauge and laser',
} as const

export const RUN_KINDS = ['laps', 'single', 'drift', 'stint'] as const
/** What is done after a run, by running time. */
export const RUN_CHECKS = ['cooledDown', 'nuts', 'touched', 'levels'] as const
export const RUN_PURPOSES = [
  'baseLine',
  'change',
  'check',
  'bedIn',
  'shake60',
  'shake80',
  'shake100',
  'practice',
  'battle',
  'event',
] as const
export const LAP_MARKS = ['counts', 'out', 'in', 'traffic', 'error'] as const
export const TRACK_STATES = ['dry', 'damp', 'wet'] as const
/** What a driver feels in a part of a corner. */
export const FEELS = ['pushes', 'right', 'turnsTooMuch'] as const
/** Braking and traction: what gives up. */
export const HOLDS = ['front', 'right', 'rear'] as const
export const RUN_KIND = {
  laps: 'laps',
  single: 'single runs against the clock',
  drift: 'drift runs',
  stint: 'a stint of an endurance race',
} as const
export const RUN_CHECK: Record<(typeof RUN_CHECKS)[number], string> = {
  cooledDown: 'cooled down',
  nuts: 'wheel nuts to torque',
  touched: 'what was undone, to torque again',
  levels: 'oil and coolant looked at',
}
export const RUN_PURPOSE = {
  baseLine: 'a base line',
  change: 'a change',
  check: 'a check, back on the base line',
  bedIn: 'bedding in',
  shake60: 'shakedown at 60 %',
  shake80: 'shakedown at 80 %',
  shake100: 'shakedown at full pace',
  practice: 'practice',
  battle: 'a battle',
  event: 'the event itself',
} as const
/** What a lap is, beside its time: only what counts is compared. */
export const LAP_IS = {
  counts: 'counts',
  out: 'out-lap',
  in: 'in-lap',
  traffic: 'traffic',
  error: 'error',
} as const
export const TRACK_STATE = { dry: 'dry', damp: 'damp', wet: 'wet' } as const
/** What a driver says of a car. */
export const HANDLING = {
  pushes: 'pushes',
  right: 'right',
  turnsTooMuch: 'turns in too much',
  front: 'front gives up',
  rear: 'rear gives up',
} as const
/** What a reading is of. */
export const READ_IN = {
  temperature: 'a temperature',
  pressure: 'a pressure',
  lambda: 'a mixture',
  current: 'a current',
  voltage: 'a voltage',
  engineSpeed: 'an engine speed',
  velocity: 'a speed',
} as const
export const LIMIT_BY = {
  nothing: 'nothing',
  engineSpeed: 'engine speed',
  temperature: 'a temperature',
} as const

export const JOB_KIND: Record<JobKind, string> = {
  work: 'work of any kind',
  measurement: 'measuring',
  stripping: 'stripping',
  cutting: 'cutting and welding',
  fitting: 'fitting and bolting up',
  plumbing: 'hoses and pipes',
  wiring: 'wiring',
  engine: 'engine and gearbox',
  bodywork: 'bodywork and paint',
  setUp: 'setting up',
}
export const JOB_STATE: Record<(typeof JOB_STATES)[number], string> = {
  toDo: 'to do',
  doing: 'begun',
  done: 'done',
  dropped: 'dropped',
}
export const JOB_PLACE: Record<(typeof JOB_PLACES)[number], string> = {
  anywhere: 'anywhere',
  bay: 'in the bay',
  bench: 'on the bench',
  outside: 'outside the house',
  track: 'at the track',
}
/** What is waited for besides parts. */
export const WAIT_KIND: Record<(typeof WAIT_KINDS)[number], string> = {
  shop: 'an outside shop',
  cure: 'paint, resin or sealer to cure',
  person: 'a person',
  money: 'money',
  other: 'something else',
}
/** How far a part that is to come has got. */
export const PART_STATE: Record<(typeof PART_STATES)[number], string> = {
  wanted: 'wanted',
  quoted: 'quoted',
  ordered: 'ordered',
  arrived: 'arrived',
  trialFitted: 'trial-fitted',
  fitted: 'fitted',
  returned: 'sent back',
}
export const PART_PURPOSE: Record<(typeof PART_PURPOSES)[number], string> = {
  planned: 'a planned swap',
  replacement: 'a replacement',
  option: 'an option that was taken',
  consumable: 'something used up',
  other: 'something else',
}
export const PART_CONDITION: Record<(typeof PART_CONDITIONS)[number], string> = {
  new: 'new',
  used: 'used',
  rebuilt: 'rebuilt',
}
export const FINDING: Record<(typeof FINDINGS)[number], string> = {
  rust: 'rust',
  crack: 'a crack',
  leak: 'a leak',
  wear: 'wear',
  bent: 'bent',
  missing: 'missing',
  other: 'something else',
}
/** What stands fast on a date. */
export const DATE_KIND: Record<(typeof DATE_KINDS)[number], string> = {
  round: 'a round or a test',
  dyno: 'a dyno that is booked',
  shop: 'an outside shop',
  transport: 'transport',
  other: 'something else',
}
export const WEEKDAY = {
  mon: 'Monday',
  tue: 'Tuesday',
  wed: 'Wednesday',
  thu: 'Thursday',
  fri: 'Friday',
  sat: 'Saturday',
  sun: 'Sunday',
} as const
/** What is guessed of a whole car before it is begun. */
export const GUESSED_OF: Record<(typeof GUESSED)[number], string> = {
  hours: 'hours of work',
  money: 'money',
  power: 'power at the wheels',
  mass: 'mass of the whole car',
}
