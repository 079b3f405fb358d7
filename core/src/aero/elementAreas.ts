import { wingCoefficients, type WingShape } from './finiteWing'

export const ELEMENT_KINDS = [
  'wing',
  'splitter',
  'diffuser',
  'floor',
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
export function elementAreas({ kind, span, chord, lift, drag, wing, sealed }: AeroElement): ElementAreas {
  if (!(span > 0 && chord > 0)) throw new RangeError('an element has a width and a length above zero')
  const area = span * chord
  if (kind === 'wing' && wing) {
    const c = wingCoefficients({ span, chord }, wing)
    return { downforceArea: c.lift * area, dragArea: c.drag * area, stalled: c.stalled }
  }
  const left = kind === 'splitter' && !sealed ? UNSEALED : 1
  return { downforceArea: lift * area * left, dragArea: drag * area, stalled: false }
}

/** What an element of a kind usually does, and how far that may be off: nobody measured this one. */
export const USUAL_ELEMENT: Readonly<
  Record<ElementKind, { readonly lift: number; readonly drag: number; readonly spread: number }>
> = {
  wing: { lift: 0, drag: 0, spread: 0.2 },
  splitter: { lift: 0.8, drag: 0.06, spread: 0.4 },
  diffuser: { lift: 0.7, drag: 0.02, spread: 0.5 },
  floor: { lift: 0.12, drag: -0.01, spread: 0.6 },
  canards: { lift: 0.6, drag: 0.25, spread: 0.5 },
  spoiler: { lift: 0.7, drag: 0.3, spread: 0.4 },
  vent: { lift: 0.25, drag: 0.03, spread: 0.6 },
  body: { lift: -0.12, drag: 0.36, spread: 0.15 },
}
