import {
  aeroBalance,
  dynamicPressure,
  givesWay,
  groundGap as gapOf,
  known,
  placedAreas,
  plateOf,
} from '@bold-ballast/core'
import type { AeroElement } from '@bold-ballast/contract'
import { sheetMaterialOf } from '../car/sheetMaterialOf'
import { stanceAt } from '../car/stanceAt'
import { NOTHING, workedOut } from './computedFigures'
import type { MeasureOfCar } from './MeasureOfCar'

/** What a gap is off by, as a share of what is taken from it, and by the tape (common practice). */
const GAP_MODEL = 0.2
const TAPE = 0.003

type Panelled = AeroElement & { panel: NonNullable<AeroElement['panel']> }

/** The least gap that a splitter or floor leaves to the ground at a speed, m. */
export const groundGap: MeasureOfCar = {
  workOut: (car, { speed }) => {
    const low = car.aero.elements.filter((e): e is Panelled => e.panel !== null)
    if (low.length === 0 || speed === null) return NOTHING
    const pressure = dynamicPressure(car.airDensity, speed)
    const { attitude } = stanceAt(car, pressure)
    const gaps = low.map((e) => {
      const plate = plateOf(sheetMaterialOf(e.panel, car.sheets), e.panel.thickness, e.panel.lay)
      const { total } = aeroBalance(placedAreas([e]), car.build.wheelbase)
      const even = (Math.abs(total) * pressure) / (e.span * e.chord)
      const { gives } = givesWay(plate, e.panel, even)
      return { z: e.z, ...gapOf({ ...e, gives }, car.build.wheelbase, attitude) }
    })
    const least = gaps.reduce((a, b) => (b.gap < a.gap ? b : a))
    return workedOut(known(least.gap, 'claim', Math.hypot(TAPE, GAP_MODEL * (least.z - least.gap))))
  },
  says: {
    missing: 'Say how a splitter or floor is built.',
    unproven: 'nobody has said how it pitches and rolls',
    workedOut: 'the gap is worked out from springs, loads and panels, not seen',
    settled: 'Marker paint or a logged ride height at that speed would settle it',
  },
  needsMass: true,
  settledBy: 'sayPitch',
  // What was said of pitch and roll isn't said better by saying it again.
  canSettle: ({ attitude }) => attitude === null,
  helpedBy: 'support',
}
