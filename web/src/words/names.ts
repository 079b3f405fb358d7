import type { Build, DynoDay, Line, Pull } from '@bold-ballast/contract'
import type {
  AxleEnd,
  Corner,
  DynoKind,
  ElementKind,
  Grade,
  Launch,
  Lay,
  LifeMeasure,
  LineKind,
  HeadlineMeasure,
  InstrumentKind,
  Measure,
  Comparator,
  PullChannel,
  Obstacle,
  OilCoolerPlace,
  PullRole,
  Quantity,
  Ranking,
  RatingFlow,
  RatingKind,
  RuleMeasure,
  SetupCheck,
  Shaft,
  SheetName,
  SparMetal,
  SupportPlace,
  SteeringCheckName,
  SwapFault,
  Use,
  WeighMethod,
} from '@bold-ballast/core'

/** The words the interface uses for the values that records hold. */
/** How a figure is known. */
export const GRADE: Record<Grade, string> = {
  guess: 'guess',
  claim: 'claim',
  measured: 'measured',
  proven: 'proven',
}
export const DISCIPLINE: Record<Build['discipline'], string> = {
  track: 'Track',
  drift: 'Drift',
  timeAttack: 'Time attack',
}
export const LAYOUT: Record<Build['layout'], string> = {
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
export const LINE_KIND_HINT: Record<LineKind, string> = {
  off: 'a part that leaves the car',
  on: 'a part that comes onto the car',
  moved: 'the same part in another place',
  carried: 'weighed with what came off, goes on again with its replacement',
}
export const SYSTEM: Record<Line['system'], string> = {
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
export const FATE: Record<Line['fate'], string> = {
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
export const BOOST_CONTROL: Record<DynoDay['boostControl'], string> = {
  none: 'No boost',
  spring: 'Wastegate spring alone',
  controlled: 'Control holds pressure',
}
export const PULL_SOURCE: Record<Pull['source'], string> = {
  file: 'from a file',
  peaks: 'peaks typed',
  points: 'points typed',
  photo: 'off a picture',
  live: 'logged live',
}
export const CHANNEL: Record<PullChannel, string> = {
  boost: 'Boost',
  lambda: 'Mixture',
  ethanol: 'Ethanol',
  intake: 'Intake air',
  coolant: 'Coolant',
  oilPressure: 'Oil pressure',
  roadSpeed: 'Road speed',
}
export const PULL_ROLE: Record<PullRole, string> = {
  speed: 'Engine speed',
  torque: 'Torque',
  power: 'Power',
  ...CHANNEL,
  run: 'Number of the pull',
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
export const RANKING: Record<Ranking, string> = {
  quarterMile: 'Quickest 402 m',
  zeroToHundred: 'Quickest to 100 km/h',
  topSpeed: 'Highest top speed',
  window: 'Widest drift window',
  shifts: 'Fewest shifts a lap',
  inBand: 'Longest on the boil',
}
export const STEERING_CHECK: Record<SteeringCheckName, string> = {
  lock: 'Lock, inside wheel',
  rack: 'Rack travel to lock',
  tieRod: 'Tie-rod joint before it binds',
  overCentre: 'Tie rod to steering arm',
  wheelToArm: 'Front wheel to arm, full lock',
  rearToe: 'Rear toe over the travel',
  halfshaft: 'Half-shaft joint before it binds',
  rearWheelToArm: 'Rear wheel to arm',
}
export const SWAP_FAULT: Record<SwapFault, string> = {
  bolts: 'other bolts',
  spigot: 'the hub’s spigot is too large for its bore',
  brake: 'the rim is too small for the brake',
  gap: 'it comes too close to something',
  diameter: 'the tyre’s diameter differs by over 1 %',
}
export const OBSTACLE_SIDE: Record<Obstacle['side'], string> = {
  inside: 'inboard of the wheel',
  outside: 'outboard of it',
  above: 'above the tread',
}
/** The quantity that each kind of rating is in. */
export const RATED_IN = {
  ...{ torque: 'torque', power: 'power', speed: 'engineSpeed' },
  ...{ temperature: 'temperature', current: 'current', load: 'force' },
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
export const SHEET_NOTE: Record<SheetName, string> = {
  plywood: 'cheapest and heaviest; seal its edges',
  abs: 'can be heat-formed; brittle with fluids',
  corrugated: 'stiff one way only; two crossed layers mend that',
  aluminium: 'bends and stays bent; a structural grade',
  carbon: 'mask and eye protection when it is cut',
  honeycomb: 'lightest and dearest; mask and eyes; seal the edges',
}
export const SPAR: Record<SparMetal, string> = {
  aluminium: 'aluminium tube',
  steel: 'steel tube',
  carbon: 'carbon tube',
}
export const SUPPORT: Record<SupportPlace, string> = {
  across: 'between two that stand side by side',
  along: 'between the front and the rear row',
  lip: 'at the edge of the lip',
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
export const SETUP: Record<SetupCheck, string> = {
  level: 'levelness not looked at',
  pressures: 'tyres not set',
  barsOff: 'bars left connected',
  settled: 'not settled',
  straight: 'steering not straight',
  driverIn: 'nobody in the seat',
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
  lapTime: 'Best lap',
}
/** What a stage's summary knows by itself. */
export const HEADLINE_QUANTITY = {
  mass: 'mass',
  wheelPower: 'power',
  powerToWeight: 'powerToWeight',
} as const satisfies Record<HeadlineMeasure, string>
export const COMPARATOR: Record<Comparator, string> = {
  atMost: 'at most',
  atLeast: 'at least',
  within: 'within',
}

/** Options of a select from a table of words. */
export const optionsOf = (words: Record<string, string>): [string, string][] => Object.entries(words)

/** The views of a room: what stands in its address, and what it is called. */
export const SWAPS_VIEWS = [
  ['ledger', 'Ledger'],
  ['forecast', 'Forecast'],
  ['kilos', 'Where the kilos went'],
  ['parts', 'Parts we weighed'],
  ['bench', 'At the bench'],
] as const
export const SCALES_VIEWS = [
  ['weighIns', 'Weigh-ins'],
  ['perches', 'Perches'],
  ['ballast', 'Ballast'],
  ['height', 'Height of the mass'],
  ['instruments', 'Scales and dynos'],
] as const
export const DYNO_VIEWS = [
  ['days', 'Dyno days'],
  ['compare', 'Compare'],
  ['worth', 'What it is worth'],
  ['fuel', 'Fuel'],
  ['air', 'Air'],
  ['cooling', 'Cooling'],
  ['electrics', 'Electrics'],
  ['options', 'Options'],
] as const
export const AERO_VIEWS = [
  ['sheet', 'Loads'],
  ['trim', 'Trim'],
  ['holds', 'Will it hold?'],
  ['rolled', 'Measured'],
  ['class', 'Class'],
] as const
/** Of what is there, and of what is only tried. */
export const VERDICT = { met: 'met', missed: 'missed', cantTell: 'can’t tell yet' } as const
export const WOULD = { met: 'would meet it', missed: 'would miss it', cantTell: 'too close to tell' } as const
export const BOARD_VIEWS = [
  ['marks', 'Marks'],
  ['whatif', 'What if'],
] as const
export const PROOF_VIEWS = [
  ['sheet', 'Proof sheet'],
  ['gain', 'Gain split'],
  ['history', 'History'],
  ['claims', 'Claims'],
] as const
export const DRIVELINE_VIEWS = [
  ['gearing', 'Gearing'],
  ['launch', 'Launch'],
  ['drift', 'Drift window'],
  ['choices', 'Choices'],
  ['shelf', 'Shelf'],
  ['links', 'Weak links'],
  ['life', 'Life'],
  ['steering', 'Steering'],
  ['wheels', 'Wheels'],
] as const

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
