import type { Measure } from '@bold-ballast/core'
import type { BuildFile, Mark } from '@bold-ballast/contract'
import {
  documentFrom,
  sampleBuild,
  sampleComponent,
  sampleDrive,
  sampleDynoDay,
  sampleElement,
  samplePull,
} from '@bold-ballast/contract/sampleBuild'
import { carAt } from '../car/carAt'
import { foldBuild } from '../ledger/foldBuild'
import { markFigures } from '../marks/markFigures'
import type { Asked } from '../measures/MeasureOfCar'

const newId = () => crypto.randomUUID()

/** For tests: a measure as a mark asks for it. */
export const askedFor = (measure: Measure, more: Partial<Asked> = {}): Asked => ({
  measure,
  conditionId: null,
  gear: null,
  place: '',
  part: '',
  speed: null,
  ...more,
})

/** For tests: a mark of at most 1, unless more is said. */
export const sampleMark = (
  stageId: string,
  measure: Measure,
  more: Partial<Mark> = {},
): Omit<Mark, 'version'> => ({
  id: newId(),
  stageId,
  ...askedFor(measure),
  comparator: 'atMost',
  value: 1,
  tolerance: 0,
  weight: 1,
  ...more,
})

/** For tests: a car with gears, a pull, a part with a rating, a splitter, and rules. */
export function wholeCar(): { file: BuildFile; stageId: string } {
  const file = sampleBuild(newId)
  file.build.baseMass = 1200
  const stageId = file.stages[0]!.id
  const day = sampleDynoDay(stageId, newId())
  const points = Array.from({ length: 12 }, (_, i) => ({ speed: 200 + i * 50, torque: 260 - (i - 6) ** 2 }))
  file.dynoDays.push(day)
  file.pulls.push({ ...samplePull(day.id, newId()), source: 'file', points, standsForStage: true })
  file.drivetrains.push({ id: newId(), stageId, drive: sampleDrive(), note: '' })
  file.components.push(sampleComponent(stageId, newId()))
  file.aeroElements.push(sampleElement(stageId, newId()))
  return { file, stageId }
}

/** For tests: the car of a stage of a file, and what a mark may ask of it. */
export function figuresOf(file: BuildFile, at = 0) {
  const document = documentFrom(file)
  const { ledger, summaries, stages } = foldBuild(document)
  const stage = stages[at]!
  const car = carAt(document, stage.id)
  return { figures: (asked: Asked) => markFigures(car, asked), car, summaries, document, ledger, stage }
}
