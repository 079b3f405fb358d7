import type { Quantity } from '../units/quantities'

/** What a mark's figure also depends on. */
export type MeasureNeed = 'condition' | 'gear' | 'speed' | 'part'

interface MeasureKind {
  /** `null` for money, counts and decibels. */
  readonly quantity: Quantity | null
  /** What is usually asked of it. */
  readonly usually: 'atMost' | 'atLeast' | 'within'
  readonly need: MeasureNeed | null
}

/** Everything that a mark can be set on, in the order in which marks are shown. */
export const MEASURE_KINDS = {
  mass: { quantity: 'mass', usually: 'atMost', need: 'condition' },
  frontShare: { quantity: 'share', usually: 'within', need: null },
  crossShare: { quantity: 'share', usually: 'within', need: null },
  wheelPower: { quantity: 'power', usually: 'atLeast', need: null },
  meanPower: { quantity: 'power', usually: 'atLeast', need: null },
  powerToWeight: { quantity: 'powerToWeight', usually: 'atLeast', need: null },
  quarterMile: { quantity: 'time', usually: 'atMost', need: null },
  topSpeed: { quantity: 'velocity', usually: 'atLeast', need: 'gear' },
  driftWindow: { quantity: 'velocity', usually: 'atLeast', need: 'gear' },
  weakestLink: { quantity: 'share', usually: 'atLeast', need: null },
  downforce: { quantity: 'mass', usually: 'atLeast', need: 'speed' },
  aeroBalance: { quantity: 'share', usually: 'within', need: null },
  groundGap: { quantity: 'length', usually: 'atLeast', need: 'speed' },
  classFails: { quantity: null, usually: 'atMost', need: null },
  price: { quantity: null, usually: 'atMost', need: null },
  hours: { quantity: 'time', usually: 'atMost', need: null },
  noise: { quantity: null, usually: 'atMost', need: null },
  transferShare: { quantity: 'share', usually: 'within', need: null },
  rideFront: { quantity: 'frequency', usually: 'atLeast', need: null },
  rideRear: { quantity: 'frequency', usually: 'atLeast', need: null },
  brakingEfficiency: { quantity: 'share', usually: 'atLeast', need: null },
  lockMargin: { quantity: 'acceleration', usually: 'atLeast', need: null },
  padOff: { quantity: null, usually: 'atMost', need: null },
  lapTime: { quantity: 'time', usually: 'atMost', need: null },
  lapBestThree: { quantity: 'time', usually: 'atMost', need: null },
  lapMedian: { quantity: 'time', usually: 'atMost', need: null },
  sectorTime: { quantity: 'time', usually: 'atMost', need: 'part' },
  cornerSpeed: { quantity: 'velocity', usually: 'atLeast', need: 'part' },
  temperatureRead: { quantity: 'temperature', usually: 'atMost', need: 'part' },
  pressureRead: { quantity: 'pressure', usually: 'atLeast', need: 'part' },
  hotPressure: { quantity: 'pressure', usually: 'within', need: null },
} as const satisfies Record<string, MeasureKind>

/** Measures of laps: each is a time, of a place. */
export const LAP_MEASURES: ReadonlySet<string> = new Set([
  'lapTime',
  'lapBestThree',
  'lapMedian',
  'sectorTime',
])
/** What runs show at a place, or at any. */
export const PLACE_MEASURES: ReadonlySet<string> = new Set([
  ...LAP_MEASURES,
  'cornerSpeed',
  'temperatureRead',
  'pressureRead',
  'hotPressure',
])
/** Of these the reading that is farthest from the mark counts, so that what is read depends on the mark. */
export const WINDOW_MEASURES: ReadonlySet<string> = new Set([
  'temperatureRead',
  'pressureRead',
  'hotPressure',
])

export type Measure = keyof typeof MEASURE_KINDS
export const MEASURES = Object.keys(MEASURE_KINDS) as [Measure, ...Measure[]]
