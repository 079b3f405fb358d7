import {
  axleReactions,
  defaultSigma,
  judge,
  peaksOf,
  ratingOnFuel,
  roadSpeedAt,
  SHOCK,
  usualLoss,
  weakLinks,
  type AxleEnd,
  type AxleLoad,
  type DrivelineLoad,
  type Judgement,
  type Link,
} from '@bold-ballast/core'
import type { Component } from '@bold-ballast/contract'
import type { Car } from './Car'
import type { GearedCar } from './gearedCar'

export interface Rung extends Link {
  readonly part: Component & { readonly rating: number }
  /** The rating on the fuel that is burnt, where that isn't the one it was stated for. */
  readonly onFuel: number | null
  /** Where margin and uncertainty point. What loads a link is worked out, so it shows nothing: only driving does. */
  readonly points: Judgement['verdict']
}

/** What loads the driveline of a car, at the power that is planned for it where one is. */
export function drivelineLoad(
  { build: { layout }, summary: { plannedPower } }: Pick<Car, 'build' | 'summary'>,
  geared: GearedCar,
): DrivelineLoad {
  const { drive } = geared
  const [least, most] = drive.loss ? [drive.loss.least, drive.loss.most] : usualLoss(layout, geared.day.kind)
  const peaks = peaksOf(geared.curve)
  const wheel = plannedPower?.value ?? peaks.power.value
  const crank = wheel / (1 - (least + most) / 2)
  // At the top of each gear, where downforce presses hardest.
  const reactions = drive.ratios.map((_, gear) =>
    axleReactions(geared.axle, roadSpeedAt(geared.gearing, gear, geared.gearing.limiter)),
  )
  const axle = (end: AxleEnd, share: number): AxleLoad => ({
    share,
    tyreForces: reactions.map((r) => r[end] ?? Infinity),
  })
  const axles: DrivelineLoad['axles'] =
    layout === 'all'
      ? { front: axle('front', 1 - drive.rearSplit), rear: axle('rear', drive.rearSplit) }
      : { [layout]: axle(layout, 1) }
  return {
    // The curve's own shape, brought to the power that is planned.
    power: crank,
    torque: (peaks.torque.value * crank) / peaks.power.value,
    ratios: drive.ratios,
    between: drive.between,
    finalDrive: drive.finalDrive,
    rollingRadius: drive.rollingRadius,
    shock: SHOCK[drive.launch],
    lockedDifferential: drive.lockedDifferential,
    axles,
  }
}

/**
 * The ladder of links of a car, weakest first, with what was stated for another fuel put right; none while gears or a
 * curve are missing.
 *
 * @example ladderOf(carAt(document, stageId))[0]?.margin // 1.54
 */
export function ladderOf(
  car: Pick<Car, 'build' | 'summary' | 'components' | 'ethanol' | 'geared'>,
): readonly Rung[] {
  if (!car.geared) return []
  const { ethanol } = car
  const load = drivelineLoad(car, car.geared)
  const rated = car.components.flatMap((part) => {
    if (part.rating === null) return []
    const { rating, flow, statedEthanol: stated } = part
    const onFuel =
      part.kind === 'power' && flow !== null && ethanol !== null && ethanol !== stated
        ? ratingOnFuel(rating, flow, { stated, burnt: ethanol })
        : null
    return [{ part: { ...part, rating }, onFuel }]
  })
  const links = weakLinks(
    rated.map(({ part, onFuel }) => {
      const rating = onFuel ?? part.rating
      return { ...part, rating, ratingSigma: defaultSigma(rating, part.grade) }
    }),
    load,
  )
  const byId = new Map(rated.map((own) => [own.part.id, own]))
  return links.flatMap((link): Rung[] => {
    const own = byId.get(link.component.id)
    if (!own) return []
    const { verdict: points } = judge(
      { value: link.margin, sigma: link.marginSigma, grade: 'claim' },
      { comparator: 'atLeast', value: own.part.wantedMargin, tolerance: 0 },
    )
    return [{ ...link, ...own, points }]
  })
}
