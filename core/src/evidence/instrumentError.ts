export const INSTRUMENT_KINDS = ['pads', 'weighbridge', 'partScale', 'dyno'] as const
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number]

/**
 * What instruments are off by themselves, shared by all that is read on them, as one standard uncertainty in shares of
 * the reading, where nobody checked them (common practice). No number of readings removes it.
 */
export const USUAL_OWN_ERROR = {
  /** Under a whole car. */
  pads: 0.001,
  weighbridge: 0.001,
  /** A bench or hanging scale for parts. */
  partScale: 0.001,
  /** A dyno's absolute figures; it cancels in a comparison on the same dyno and day. */
  dyno: 0.03,
} as const satisfies Record<InstrumentKind, number>
