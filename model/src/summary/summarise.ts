import type { BuildDocument, BuildSummary } from '@bold-ballast/contract'
import { carAt, carsOf } from '../car/carAt'
import { readMark } from '../marks/markFigures'
import { faultAmong, leastAmong } from '../ledger/massFault'
import { foldBuild } from '../ledger/foldBuild'
import { unnamed, type CarNow } from '@bold-ballast/core'

/** What is left to say of a build whose records lead nowhere: it is listed, and opens where it can be mended. */
export function summaryWithout(
  build: Pick<BuildSummary, 'id' | 'name' | 'car' | 'discipline' | 'layout' | 'units'>,
): BuildSummary {
  const { id, name, car, discipline, layout, units } = build
  return {
    id,
    name,
    car,
    discipline,
    layout,
    units,
    stages: [],
    marks: { met: 0, missed: 0, cantTell: 0 },
    fault: { why: 'cantBeSummarised' },
  }
}

const sentCar = ({ mass, power, powerToWeight, ...from }: CarNow): CarNow => ({
  ...from,
  mass: unnamed(mass),
  power: power && unnamed(power),
  powerToWeight: powerToWeight && unnamed(powerToWeight),
})

/** Folds a document into what the Garage shows of it. */
export const summarise = (document: BuildDocument): BuildSummary => summariseWhole(document).summary

/** The same, with what the car weighs at least over its stages by the books, kg; null where it has no stage. */
export function summariseWhole(document: BuildDocument): { summary: BuildSummary; lightest: number | null } {
  const { id, name, car, discipline, layout, units } = document.build
  const { ledger: index, summaries } = foldBuild(document)
  const fault = faultAmong(index.stages, summaries)
  const marks = { met: 0, missed: 0, cantTell: 0 }
  for (const stage of index.stages)
    for (const mark of document.marks.filter((m) => m.stageId === stage.id))
      marks[readMark(carAt(document, stage.id), mark).verdict] += 1
  const summary = {
    id,
    name,
    car,
    discipline,
    layout,
    units,
    marks,
    fault: fault && { why: 'weighsNothing' as const, ...fault },
    stages: carsOf(document).map(({ stage, summary: s }) => ({
      id: stage.id,
      name: stage.name,
      mass: unnamed(s.mass),
      massFrom: s.massFrom,
      standing: sentCar(s.standing),
      finished: sentCar(s.finished),
      isDone: s.openLinesSoFar === 0,
    })),
  }
  return { summary, lightest: leastAmong(index.stages, summaries)?.mass ?? null }
}
