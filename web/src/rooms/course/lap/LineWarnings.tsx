import { formatNumber, itemAt } from '@bold-ballast/core'
import type { CourseDrawn } from '@bold-ballast/model'

/** What is odd about a line that can be driven all the same: an end that doesn't meet its start, a crossing. */
export function LineWarnings({ drawn }: { drawn: CourseDrawn }) {
  return (
    <>
      {drawn.gap !== null && drawn.gap > 0.01 * drawn.length && (
        <p role="status" className="mb-2 text-[14px] text-ochre">
          As typed its end lies {formatNumber(drawn.gap, 0)} m from its start
          {drawn.turnsOff !== null &&
            Math.abs(drawn.turnsOff) > 0.05 &&
            `, and it turns ${formatNumber(Math.abs((drawn.turnsOff * 180) / Math.PI), 0)}° too ${drawn.turnsOff > 0 ? 'much to the left' : 'much to the right'}`}
          : a corner to the other side, or a length, is off. The lap is driven along it as it is.
        </p>
      )}
      {drawn.crossings.length > 0 && (
        <p role="status" className="mb-2 text-[14px] text-ochre">
          Its line crosses itself at {formatNumber(itemAt(drawn.crossings, 0)[0], 0)} and{' '}
          {formatNumber(itemAt(drawn.crossings, 0)[1], 0)} m
          {drawn.crossings.length > 1 && `, and ${drawn.crossings.length - 1} times more`}: over a bridge, or
          a corner goes to the other side.
        </p>
      )}
    </>
  )
}
