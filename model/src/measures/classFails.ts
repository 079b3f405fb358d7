import { classReport } from '@bold-ballast/core'
import { countedUp, NOTHING } from './computedFigures'
import { ruleValues } from '../marks/ruleValues'
import type { MeasureOfCar } from './MeasureOfCar'

/** How many rules of its class it fails. */
export const classFails: MeasureOfCar = {
  workOut: (car) => {
    if (!car.rulebook) return NOTHING
    const report = classReport(car.rulebook.rules, ruleValues(car))
    const count = report.filter((r) => r.verdict === 'fail').length
    return countedUp(
      count,
      report.every((r) => r.verdict !== 'cantTell'),
    )
  },
  says: {
    missing: 'Choose the class and type its rules.',
    unproven: 'some of its rules can’t be told yet',
  },
  settledBy: 'measureForClass',
  helpedBy: 'mendRules',
}
