import { wingCoefficients, type WingShape } from './finiteWing'

export const ELEMENT_KINDS = [
  'wing',
  'splitter',
  'diffuser',
  'floor',
  'skirts',
  'vanes',
  'canards',
  'spoiler',
  'vent',
  'body',
] as const
export type ElementKind = (typeof ELEMENT_KINDS)[number]

/** Something that the air presses on. SI; places as in the ledger: behind the front axle, above the ground. */
export interface AeroElement {
  readonly id: string
  readonly name: string
  readonly kind: ElementKind
  /** Middle of its area. */
  readonly x: number
  readonly z: number
  readonly span: number
  readonly chord: number
  /** Coefficients on span times chord; lift counts down. A wing's follow from its shape. */
  readonly lift: number
  readonly drag: number
  readonly wing: WingShape | null
  /** Of a splitter: closed against the bumper. */
  readonly sealed: boolean
  /** Relative standard uncertainty of both areas. */
  readonly spread: number
  /** What measuring the whole car made of it; `null` where nobody has. */
  readonly correction: AreaCorrection | null
}

/** Times what shape and coefficients say, and how far off each may still be, as shares. */
export interface AreaCorrection {
  readonly lift: number
  readonly drag: number
  readonly liftSpread: number
  readonly dragSpread: number
}

export interface ElementAreas {
  /** C_L·A, pressing down, and C_D·A, m². */
  readonly downforceArea: number
  readonly dragArea: number
  readonly stalled: boolean
}

/** What a gap to the bumper leaves of a splitter's downforce (common practice). */
export const UNSEALED = 0.7

/**
 * The downforce and drag areas of an element.
 *
 * @throws {RangeError} for a span or chord that is not above zero, or a polar of one point
 * @source F = q·C·A; wings as `finiteWing`; an open gap costs a splitter 30 % (common practice)
 * @example elementAreas({ ...splitter, span: 1.7, chord: 0.25, lift: 0.8 }).downforceArea // 0.34
 */
export function elementAreas(element: AeroElement): ElementAreas {
  const { kind, span, chord, lift, drag, wing, sealed, correction } = element
  if (!(span > 0 && chord > 0)) throw new RangeError('an element has a width and a length above zero')
  const area = span * chord
  const [down, back] = [correction?.lift ?? 1, correction?.drag ?? 1]
  if (kind === 'wing' && wing) {
    const c = wingCoefficients({ span, chord }, wing)
    return { downforceArea: c.lift * area * down, dragArea: c.drag * area * back, stalled: c.stalled }
  }
  const left = kind === 'splitter' && !sealed ? UNSEALED : 1
  return { downforceArea: lift * area * left * down, dragArea: drag * area * back, stalled: false }
}

/** What an element of a kind usually does, and how far that may be off: nobody measured this one. */
export const USUAL_ELEMENT: Readonly<
  Record<ElementKind, { readonly lift: number; readonly drag: number; readonly spread: number }>
> = {
  wing: { lift: 0, drag: 0, spread: 0.2 },
  splitter: { lift: 0.8, drag: 0.06, spread: 0.4 },
  diffuser: { lift: 0.7, drag: 0.02, spread: 0.5 },
  floor: { lift: 0.12, drag: -0.01, spread: 0.6 },
  skirts: { lift: 0.25, drag: 0.005, spread: 0.7 },
  vanes: { lift: 0.2, drag: 0.08, spread: 0.7 },
  canards: { lift: 0.6, drag: 0.25, spread: 0.5 },
  spoiler: { lift: 0.7, drag: 0.3, spread: 0.4 },
  vent: { lift: 0.25, drag: 0.03, spread: 0.6 },
  body: { lift: -0.12, drag: 0.36, spread: 0.15 },
}

/** How far off an element's downforce and drag may be, as shares. */
export const spreadsOf = ({ spread, correction }: AeroElement): { lift: number; drag: number } => ({
  lift: correction?.liftSpread ?? spread,
  drag: correction?.dragSpread ?? spread,
})
