import { itemAt, type Measure } from '@bold-ballast/core'
import type { Step } from '@bold-ballast/model'

/** Where a figure comes from that a measure lacks: a room, and its view. */
export const ROOM_OF_MEASURE: Readonly<Record<Measure, string>> = {
  mass: 'scales',
  frontShare: 'scales',
  crossShare: 'scales',
  wheelPower: 'dyno',
  meanPower: 'dyno',
  powerToWeight: 'dyno',
  quarterMile: 'driveline',
  topSpeed: 'driveline',
  driftWindow: 'driveline?view=drift',
  weakestLink: 'driveline?view=links',
  downforce: 'aero',
  aeroBalance: 'aero',
  groundGap: 'aero?view=holds',
  classFails: 'aero?view=class',
  price: 'swaps',
  hours: 'swaps',
  noise: 'aero?view=class',
  transferShare: 'stance?view=roll',
  rideFront: 'stance?view=springs',
  rideRear: 'stance?view=springs',
  brakingEfficiency: 'stance?view=brakes',
  lockMargin: 'stance?view=brakes',
  padOff: 'stance?view=brakes',
  lapTime: 'course?view=courses',
  lapBestThree: 'days',
  lapMedian: 'days',
  sectorTime: 'days',
  cornerSpeed: 'days?view=logs',
  temperatureRead: 'days',
  pressureRead: 'days',
  hotPressure: 'days',
}

/** Where a step is done; what is to be typed in is typed where its measure says. */
const ROOM_OF_STEP: Partial<Record<Step['kind'], string>> = {
  weighCar: 'scales',
  weighCorners: 'scales',
  weighPart: 'swaps',
  pull: 'dyno',
  checkInstrument: 'scales?view=instruments',
  logDownforce: 'aero?view=rolled',
  sayPitch: 'aero?view=holds',
  measureForClass: 'aero?view=class',
  drive: 'driveline?view=life',
  finishSwap: 'swaps',
  strengthen: 'driveline?view=links',
  trim: 'aero?view=trim',
  support: 'aero?view=holds',
  turnBar: 'stance?view=roll',
  turnBrakeBar: 'stance?view=brakes',
  mendRules: 'aero?view=class',
  bringForward: 'swaps',
  findKilos: 'swaps?view=kilos',
  findPower: 'dyno?view=options',
}
export const roomOf = (step: Step): string =>
  ROOM_OF_STEP[step.kind] ?? ROOM_OF_MEASURE[itemAt(step.marks, 0).measure]
