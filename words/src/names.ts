import type {
  LineKind,
  HeadlineMeasure,
  PullChannel,
  PullRole,
  Ranking,
  SetupCheck,
  SheetName,
  SupportPlace,
  SteeringCheckName,
  SwapFault,
} from '@bold-ballast/core'

export const LINE_KIND_HINT: Record<LineKind, string> = {
  off: 'a part that leaves the car',
  on: 'a part that comes onto the car',
  moved: 'the same part in another place',
  carried: 'weighed with what came off, goes on again with its replacement',
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
export const SHEET_NOTE: Record<SheetName, string> = {
  plywood: 'cheapest and heaviest; seal its edges',
  abs: 'can be heat-formed; brittle with fluids',
  corrugated: 'stiff one way only; two crossed layers mend that',
  aluminium: 'bends and stays bent; a structural grade',
  carbon: 'mask and eye protection when it is cut',
  honeycomb: 'lightest and dearest; mask and eyes; seal the edges',
}
export const SUPPORT: Record<SupportPlace, string> = {
  across: 'between two that stand side by side',
  along: 'between the front and the rear row',
  lip: 'at the edge of the lip',
}
export const SETUP: Record<SetupCheck, string> = {
  level: 'levelness not looked at',
  pressures: 'tyres not set',
  barsOff: 'bars left connected',
  settled: 'not settled',
  straight: 'steering not straight',
  driverIn: 'nobody in the seat',
}
/** What a stage's summary knows by itself. */
export const HEADLINE_QUANTITY = {
  mass: 'mass',
  wheelPower: 'power',
  powerToWeight: 'powerToWeight',
} as const satisfies Record<HeadlineMeasure, string>

/** Of what is there, and of what is only tried. */
export const VERDICT = { met: 'met', missed: 'missed', cantTell: 'can’t tell yet' } as const
export const WOULD = { met: 'would meet it', missed: 'would miss it', cantTell: 'too close to tell' } as const
