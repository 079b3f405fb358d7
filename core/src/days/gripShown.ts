import { quantileOf } from '../numeric/quantileOf'
import { channelOf, type RunLog } from './RunLog'

/** What a car held at speeds from one to another, m/s²; null where there was too little of it. */
export interface GripShown {
  /** m/s */
  readonly from: number
  readonly to: number
  readonly sideways: number | null
  readonly braking: number | null
  /** Samples in it. */
  readonly samples: number
}

/** Ten samples a second: half a second of it. Fewer say nothing. */
const LEAST = 20
/** What is held but for a twentieth of the samples: single ones are kerbs and bumps. */
const HELD = 0.95
/** Braking and cornering count where it does hardly anything else, as a share of the other. */
const PURE = 0.35

/**
 * What the tyres held of a car that was driven, by speed: sideways in corners, and lengthways under braking.
 *
 * It is what the driver asked of them, which may be less than they have.
 *
 * @param band how wide a range of speeds is, m/s
 * @returns nothing for a log without speed or acceleration; ranges with too little in them are left out
 * @throws {RangeError} for a range that isn't above zero
 * @source common practice: the 95th percentile in each range of speeds
 * @example gripShown(log, 10).length // 0
 */
export function gripShown(log: Pick<RunLog, 'channels'>, band: number): GripShown[] {
  if (!(band > 0)) throw new RangeError('a range of speeds is above zero')
  const [speed, sideways, forward] = (['speed', 'sideways', 'forward'] as const).map((role) =>
    channelOf(log, role),
  )
  if (!speed || !(sideways ?? forward)) return []
  const bands = new Map<number, { samples: number; side: number[]; brake: number[] }>()
  speed.forEach((v, i) => {
    if (!(v > 1)) return
    const at = Math.floor(v / band)
    const found = bands.get(at) ?? { samples: 0, side: [], brake: [] }
    bands.set(at, found)
    found.samples += 1
    const across = Math.abs(sideways?.[i] ?? 0)
    const along = -(forward?.[i] ?? 0)
    if (across > 0 && Math.abs(along) < PURE * across) found.side.push(across)
    if (along > 0 && across < PURE * along) found.brake.push(along)
  })
  const held = (values: number[]) =>
    values.length < LEAST ? null : quantileOf(Float64Array.from(values).sort(), HELD)
  return [...bands]
    .sort(([a], [b]) => a - b)
    .map(([at, { samples, side, brake }]) => ({
      from: at * band,
      to: (at + 1) * band,
      sideways: held(side),
      braking: held(brake),
      samples,
    }))
    .filter((one) => one.sideways !== null || one.braking !== null)
}
