import { formatNumber, type AxleCar } from '@bold-ballast/core'
import {
  downforceShareLine,
  finalDriveLine,
  shiftTimeLine,
  wingLines,
  type Car,
  type TradeLine,
} from '@bold-ballast/model'

/** One thing turned, all else alike: what it does to the lap of each course. */
export interface Trade {
  readonly key: string
  readonly title: string
  readonly xTitle: string
  readonly line: TradeLine
  /** As it is shown along x, and in words. */
  readonly shown: (value: number) => number
  readonly says: (value: number) => string
  /** As it is now. */
  readonly now: number
}

const degrees = (rad: number) => (rad * 180) / Math.PI

/** What of a car can be traded by itself: each wing's angle, the final drive, the time of a shift, the downforce's balance. */
export function tradesOf(car: Car, axles: AxleCar): Trade[] {
  const final = finalDriveLine(axles)
  const shift = shiftTimeLine(axles)
  const share = downforceShareLine(axles)
  const total = axles.downforce.front + axles.downforce.rear
  return [
    ...wingLines(car, axles).map(({ element, now, ...line }): Trade => ({
      key: `wing ${element.id}`,
      title: `${element.name}, angle`,
      xTitle: 'Angle (°)',
      line,
      shown: degrees,
      says: (v) => `${formatNumber(degrees(v), 1)}°`,
      now,
    })),
    ...(final && axles.drive.kind === 'gears'
      ? [
          {
            key: 'final',
            title: 'Final drive',
            xTitle: 'Final drive',
            line: final,
            shown: (v: number) => v,
            says: (v: number) => `a final drive of ${formatNumber(v, 2)}`,
            now: axles.drive.finalDrive,
          },
        ]
      : []),
    ...(shift && axles.drive.kind === 'gears'
      ? [
          {
            key: 'shift',
            title: 'Time of a shift',
            xTitle: 'A shift takes (s)',
            line: shift,
            shown: (v: number) => v,
            says: (v: number) => `a shift of ${formatNumber(v, 2)} s`,
            now: axles.drive.shiftTime,
          },
        ]
      : []),
    ...(share
      ? [
          {
            key: 'share',
            title: 'Downforce in front, all of it as now',
            xTitle: 'Of the downforce in front (%)',
            line: share,
            shown: (v: number) => v * 100,
            says: (v: number) => `${formatNumber(v * 100, 0)} % in front`,
            now: axles.downforce.front / total,
          },
        ]
      : []),
  ]
}
