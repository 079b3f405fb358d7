import {
  aeroBalance,
  aeroSigma,
  dynamicPressure,
  givesWay,
  groundGap,
  known,
  placedAreas,
  plateOf,
  STANDARD_GRAVITY,
  type Known,
  type MarkFigures,
  type StageSummary,
} from '@bold-ballast/core'
import type { AeroElement, BuildDocument, Stage } from '@bold-ballast/contract'
import { carriedAt } from '../car/carriedAt'
import { computed, NOTHING, once, workedOut } from './computedFigures'
import { fittedAt } from '../car/fittedAt'
import { sheetMaterialOf } from '../car/sheetMaterialOf'
import { stanceAt } from '../car/stanceAt'

/** What a gap is off by, as a share of what is taken from it, and by the tape (common practice). */
const GAP_MODEL = 0.2
const TAPE = 0.003

/**
 * What the air does to a stage's car: downforce, balance, and the gap that is left to the ground.
 *
 * @param density of the air, kg/m³
 */
export function airFigures(
  document: BuildDocument,
  stages: readonly Stage[],
  summaries: readonly StageSummary[],
  at: number,
  density: () => number,
): {
  readonly elements: () => readonly AeroElement[]
  readonly downforce: (speed: number | null) => MarkFigures
  readonly frontShare: () => MarkFigures
  readonly groundGap: (speed: number | null) => MarkFigures
} {
  const { build } = document
  const summary = summaries[at]!
  const stageId = stages[at]!.id
  const elements = once(() => fittedAt(document.aeroElements, stages, stageId))
  const balance = once(() => aeroBalance(placedAreas(elements()), build.wheelbase))
  const doubt = once(() => aeroSigma(elements(), build.wheelbase))
  /** Everything was measured on the car. */
  const isShown = once(() => elements().every((e) => e.grade === 'measured' || e.grade === 'proven'))
  /** Typed coefficients point; only what was measured on this car shows. */
  const shownOr = (figure: Known): MarkFigures => (isShown() ? computed(figure, true) : workedOut(figure))
  const downforce = (speed: number | null): MarkFigures => {
    if (elements().length === 0 || speed === null) return NOTHING
    const toMass = dynamicPressure(density(), speed) / STANDARD_GRAVITY
    return shownOr(known(balance().total * toMass, 'claim', doubt().total * toMass))
  }
  const frontShare = (): MarkFigures => {
    const { frontShare: share } = balance()
    const { frontShare: sigma } = doubt()
    if (share === null || sigma === null) return NOTHING
    return shownOr(known(share, 'claim', sigma))
  }
  const leastGap = (speed: number | null): MarkFigures => {
    const low = elements().filter(
      (e): e is AeroElement & { panel: NonNullable<AeroElement['panel']> } => e.panel !== null,
    )
    if (low.length === 0 || speed === null) return NOTHING
    const pressure = dynamicPressure(density(), speed)
    const stance = stanceAt(
      build,
      summary,
      carriedAt(document.attitudes, stages, stageId),
      balance(),
      pressure,
    )
    const gaps = low.map((e) => {
      const [area] = placedAreas([e])
      const plate = plateOf(sheetMaterialOf(e.panel, document.sheetStocks), e.panel.thickness, e.panel.lay)
      const even = (Math.abs(area!.downforceArea) * pressure) / (e.span * e.chord)
      return {
        z: e.z,
        ...groundGap({ ...e, gives: givesWay(plate, e.panel, even).gives }, build.wheelbase, stance.attitude),
      }
    })
    const least = gaps.reduce((a, b) => (b.gap < a.gap ? b : a))
    return workedOut(known(least.gap, 'claim', Math.hypot(TAPE, GAP_MODEL * (least.z - least.gap))))
  }
  return { elements, downforce, frontShare, groundGap: leastGap }
}
