import type { Component } from '@bold-ballast/contract'
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
  type Link,
} from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild, useLiveBuild } from '../../store/useBuild'
import { useCarried } from '../../store/useCarried'
import type { Verdict } from '../../ui/PlumbBar'
import { useFitted } from './useFitted'
import type { GearedCar } from '../../store/useGearing'

export interface Rung extends Link {
  readonly part: Component & { readonly rating: number }
  /** The rating on the fuel that is burnt, where that isn't the one it was stated for. */
  readonly onFuel: number | null
  readonly verdict: Verdict
}

/** The ladder of links of a stage, weakest first, with what loads them; null planned power takes the curve's own. */
export function useLadder(car: GearedCar): {
  readonly rungs: readonly Rung[]
  readonly load: DrivelineLoad
  /** Ethanol in what is burnt, and where that is known from; null where nobody said. */
  readonly ethanol: number | null
} {
  const { view } = useBuild()
  const { summary } = useLiveBuild()
  const { record: sizing } = useCarried('sizing')
  const fitted = useFitted()
  const { drive } = car
  const day = view.dynoDays.find((d) => d.dyno === car.curveOf.dyno)
  const ethanol = sizing?.engine?.ethanol ?? day?.ethanol ?? null
  const load = useMemo<DrivelineLoad>(() => {
    const [least, most] = drive.loss
      ? [drive.loss.least, drive.loss.most]
      : usualLoss(view.build.layout, day?.kind ?? 'rollerLoaded')
    const peaks = peaksOf(car.curve)
    const wheel = summary.plannedPower?.value ?? peaks.power.value
    const crank = wheel / (1 - (least + most) / 2)
    // At the top of each gear, where downforce presses hardest.
    const reactions = drive.ratios.map((_, gear) =>
      axleReactions(car.axle, roadSpeedAt(car.gearing, gear, car.gearing.limiter)),
    )
    const axle = (end: AxleEnd, share: number): AxleLoad => ({
      share,
      tyreForces: reactions.map((r) => r[end] ?? Infinity),
    })
    const { layout } = view.build
    const axles: DrivelineLoad['axles'] =
      layout === 'all'
        ? { front: axle('front', 1 - drive.rearSplit), rear: axle('rear', drive.rearSplit) }
        : { [layout]: axle(layout, 1) }
    return {
      // The curve's own shape, brought to the power that is planned.
      ...{ power: crank, torque: (peaks.torque.value * crank) / peaks.power.value },
      ...{ ratios: drive.ratios, between: drive.between, finalDrive: drive.finalDrive },
      ...{ rollingRadius: drive.rollingRadius, shock: SHOCK[drive.launch] },
      ...{ lockedDifferential: drive.lockedDifferential, axles },
    }
  }, [car, drive, summary.plannedPower, view.build, day])
  const rungs = useMemo(() => {
    const rated = fitted.flatMap((part) => {
      if (part.rating === null) return []
      const changes =
        part.kind === 'power' && part.flow !== null && ethanol !== null && ethanol !== part.statedEthanol
      const onFuel = changes
        ? ratingOnFuel(part.rating, part.flow!, { stated: part.statedEthanol, burnt: ethanol })
        : null
      return [{ part: { ...part, rating: part.rating }, onFuel }]
    })
    const links = weakLinks(
      rated.map(({ part, onFuel }) => {
        const rating = onFuel ?? part.rating
        return { ...part, rating, ratingSigma: defaultSigma(rating, part.grade) }
      }),
      load,
    )
    return links.map((link): Rung => {
      const own = rated.find((r) => r.part.id === link.component.id)!
      const { verdict } = judge(
        { value: link.margin, sigma: link.marginSigma, grade: 'claim' },
        { comparator: 'atLeast', value: own.part.wantedMargin, tolerance: 0 },
      )
      return { ...link, ...own, verdict }
    })
  }, [fitted, load, ethanol])
  return { rungs, load, ethanol }
}
