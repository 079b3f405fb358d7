import { mean as meanOf } from '../numeric/mean'
import { USUAL_OWN_ERROR } from '../evidence/instrumentError'
import { ratioKnown, sumKnown, type Known } from '../evidence/known'
import { crossDoubt, type CrossSetting } from './crossDoubt'
import type { CornerSprings } from './cornerSprings'
import { CORNERS, fourPadWeighIn, type Corner, type CornerWeights } from './fourPadWeighIn'

export const WEIGH_METHODS = ['fourPads', 'threePads', 'twoPads', 'axles'] as const
export type WeighMethod = (typeof WEIGH_METHODS)[number]

/** What was read, by method. All readings in one unit, kg or N. */
export type ScaleReadings =
  | { readonly method: 'fourPads'; readonly corners: CornerWeights }
  | { readonly method: 'threePads'; readonly placements: readonly [PadPlacement, PadPlacement] }
  | { readonly method: 'twoPads'; readonly corners: CornerWeights }
  | { readonly method: 'axles'; readonly front: number; readonly rear: number }

/** Three pads under the car and a block of the pads' height under the fourth wheel. */
export interface PadPlacement {
  readonly block: Corner
  /** Readings of the three pads; whatever stands at the block is not read. */
  readonly corners: CornerWeights
}

/** How well a pad reads: its step, in the unit of the readings, and its standard error as a share. */
export interface PadQuality {
  readonly resolution: number
  readonly accuracy: number
  /** What all of them share, as a share of the reading: no second reading removes it; left out for what is usual. */
  readonly own?: number
}

export type ScaleMeasure = 'total' | 'front' | 'left' | 'cross'

export interface ScalesResult {
  readonly total: Known
  readonly front: Known
  /** `null` where the method can't tell. */
  readonly left: Known | null
  readonly cross: Known | null
  /** True where the figure depends on blocks being as high as pads and the car settling alike twice. */
  readonly crossIsIndicative: boolean
  readonly corners: CornerWeights | null
  /** Standard deviation of one reading, from corners read twice; `null` for methods that read once. */
  readonly repeatability: number | null
  /** What the method can't give, and why, in words. */
  readonly cannot: readonly { readonly measure: ScaleMeasure; readonly why: string }[]
}

/** Lifting an axle onto pads and off again settles the springs anew; half a per cent of cross is usual. */
const AGAIN = 0.004

/** What else moves a cross weight: how it was set, and the springs that it was set on, where they are known. */
export interface CrossCircumstances {
  readonly setting: CrossSetting
  readonly springs: CornerSprings | null
}
const NOBODY_LOOKED: CrossCircumstances = { setting: { level: null, settled: false }, springs: null }

/**
 * What a weighing can tell, by its method, and what it can't.
 *
 * Four pads give everything. Three pads in two placements give four corners with two of them read twice, and
 * two pads give one axle at a time; both were settled twice, so their cross weight is only indicative. A
 * weighbridge gives the axles. A cross weight also holds how level the pads stood and whether the springs had come to
 * rest, however well the pads read.
 *
 * @param readings by method; of pads in kg where springs are known
 * @param pad the pads' resolution, accuracy and own error
 * @param cross how it was set up; as if nobody had looked where it is left out
 * @throws {RangeError} when a pad is negative, the total is not positive, or both placements block one corner
 * @source common practice for what each method gives; JCGM 100:2008 (GUM), 5.1.2, equation 10, for the propagation
 * @example readScales({ method: 'axles', front: 450, rear: 430 }, pad).front.value // 0.5114
 */
export function readScales(
  readings: ScaleReadings,
  { own = USUAL_OWN_ERROR.pads, ...reading }: PadQuality,
  cross: CrossCircumstances = NOBODY_LOOKED,
): ScalesResult {
  const pad = { ...reading, own }
  switch (readings.method) {
    case 'fourPads': {
      const whole = fourPadWeighIn(readings.corners, pad)
      return { ...WHOLE, ...whole, cross: stood(whole, cross, 0), corners: readings.corners }
    }
    case 'threePads':
      return threePads(readings.placements, pad, cross)
    case 'twoPads': {
      const whole = fourPadWeighIn(readings.corners, pad)
      return {
        ...WHOLE,
        ...whole,
        cross: stood(whole, cross, AGAIN),
        crossIsIndicative: true,
        corners: readings.corners,
      }
    }
    case 'axles':
      return axles(readings, pad)
  }
}

const WHOLE = { crossIsIndicative: false, repeatability: null, cannot: [] } as const

/** A cross weight with what the floor, the springs, and being settled twice may have moved it by. */
const stood = (
  { total, cross }: { readonly total: Known; readonly cross: Known },
  { setting, springs }: CrossCircumstances,
  again: number,
): Known => ({ ...cross, sigma: Math.hypot(cross.sigma, crossDoubt(setting, total.value, springs), again) })

function threePads(
  [first, second]: readonly [PadPlacement, PadPlacement],
  pad: Required<PadQuality>,
  circumstances: CrossCircumstances,
): ScalesResult {
  if (first.block === second.block)
    throw new RangeError('both placements leave out the same corner: nothing read it')
  const corners = {} as Record<Corner, number>
  const differences: number[] = []
  for (const corner of CORNERS) {
    const reads = [first, second].filter((p) => p.block !== corner).map((p) => p.corners[corner])
    if (reads.some((r) => r < 0)) throw new RangeError('a pad reads below zero: it needs its zero set')
    corners[corner] = meanOf(reads)
    if (reads.length === 2) differences.push(reads[0]! - reads[1]!)
  }
  // Two readings of one corner differ by √2 times the spread of one.
  const repeatability = Math.sqrt(differences.reduce((sum, d) => sum + d ** 2, 0) / (2 * differences.length))
  const mean = meanOf(CORNERS.map((c) => corners[c]))
  const spread = mean > 0 ? repeatability / mean : 0
  const whole = fourPadWeighIn(corners, {
    ...pad,
    accuracy: Math.hypot(pad.accuracy, spread),
  })
  return {
    ...WHOLE,
    ...whole,
    cross: stood(whole, circumstances, AGAIN),
    crossIsIndicative: true,
    corners,
    repeatability,
  }
}

function axles({ front, rear }: { front: number; rear: number }, pad: Required<PadQuality>): ScalesResult {
  if (front < 0 || rear < 0) throw new RangeError('an axle reads below zero: the bridge needs its zero set')
  if (front + rear <= 0) throw new RangeError('the axles add up to zero')
  const read = (value: number): Known => ({
    value,
    sigma: Math.max(pad.resolution / Math.sqrt(12), pad.accuracy * value),
    grade: 'measured',
  })
  const total = sumKnown([
    { known: read(front), times: 1 },
    { known: read(rear), times: 1 },
    // Nothing by itself: what both axles' readings share.
    { known: { value: 0, sigma: pad.own * (front + rear), grade: 'measured' }, times: 1 },
  ])
  // Front over rear is a ratio of independent readings; the share s = r/(1 + r) has ds = (1 − s)² dr.
  const ratio = rear > 0 ? ratioKnown(read(front), read(rear)) : null
  const share = front / (front + rear)
  const why = 'A weighbridge reads axles, not wheels.'
  return {
    ...WHOLE,
    total,
    front: { value: share, sigma: ratio ? (1 - share) ** 2 * ratio.sigma : 0, grade: 'measured' },
    left: null,
    cross: null,
    corners: null,
    cannot: [
      { measure: 'left', why },
      { measure: 'cross', why },
    ],
  }
}
