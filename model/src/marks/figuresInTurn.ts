import type { BuildDocument } from '@bold-ballast/contract'
import { carsOf } from '../car/carAt'
import { chanceOfMark } from './chanceOfMark'
import { markFigures, readMark } from './markFigures'

/**
 * Works out what every mark asks of every stage, one figure at a time, so that whoever asks may do something else in
 * between. What is worked out is kept with its car: afterwards `readMark` only looks it up.
 *
 * @example [...figuresInTurn(document)].length // 3, a figure for each mark at each stage
 */
export function* figuresInTurn(document: BuildDocument): Generator<void> {
  const cars = carsOf(document)
  for (const mark of document.marks)
    for (const car of cars) {
      if (mark.stageId === car.stage.id) chanceOfMark(car, mark, readMark(car, mark))
      else markFigures(car, mark)
      yield
    }
}
