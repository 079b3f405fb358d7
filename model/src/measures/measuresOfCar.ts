import type { Measure } from '@bold-ballast/core'
import { aeroBalance } from './aeroBalance'
import { brakingEfficiency, lockMargin, padOff } from './brakingMeasures'
import { classFails } from './classFails'
import { crossShare } from './crossShare'
import { downforce } from './downforce'
import { driftWindow } from './driftWindow'
import { frontShare } from './frontShare'
import { groundGap } from './groundGap'
import { hours } from './hours'
import { lapBestThree, lapMedian } from './lapPace'
import { lapTime } from './lapTime'
import { mass } from './mass'
import { meanPower } from './meanPower'
import { noise } from './noise'
import { powerToWeight } from './powerToWeight'
import { price } from './price'
import { quarterMile } from './quarterMile'
import { rideFront, rideRear } from './rideFrequencies'
import { cornerSpeed, hotPressure, pressureRead, sectorTime, temperatureRead } from './runReadings'
import { topSpeed } from './topSpeed'
import { transferShare } from './transferShare'
import { weakestLink } from './weakestLink'
import { wheelPower } from './wheelPower'
import type { MeasureOfCar } from './MeasureOfCar'

/** Every measure that a mark can stand on. */
export const MEASURES_OF_CAR: Readonly<Record<Measure, MeasureOfCar>> = {
  mass,
  frontShare,
  crossShare,
  wheelPower,
  meanPower,
  powerToWeight,
  quarterMile,
  topSpeed,
  driftWindow,
  weakestLink,
  downforce,
  aeroBalance,
  groundGap,
  classFails,
  price,
  hours,
  noise,
  transferShare,
  rideFront,
  rideRear,
  brakingEfficiency,
  lockMargin,
  padOff,
  lapTime,
  lapBestThree,
  lapMedian,
  sectorTime,
  cornerSpeed,
  temperatureRead,
  pressureRead,
  hotPressure,
}
