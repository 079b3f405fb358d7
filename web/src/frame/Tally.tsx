import { formatFigure, formatKnown, totalsOfStage } from '@bold-ballast/core'
import { Fragment, Suspense, useDeferredValue } from 'react'
import { Link } from 'react-router'
import { isHeadline, marksOf } from '@bold-ballast/model'
import { useBuild, useLiveBuild } from '../store/useBuild'
import { later } from '../ui/later'
import { nameOfMark } from '@bold-ballast/words'
import { roomPath } from './rooms'

/** With it come laps, runs and all else that a mark can stand on: more than a first page needs. */
export const TallyMark = later(() => import('./TallyMark'), 'TallyMark')

const BOX =
  'shrink-0 border-r border-line px-4.5 py-2.5 text-[13px] text-muted last:border-r-0 max-md:px-3 max-md:py-1.5'

/** What is still to find on each mark of the stage, in words and figures. Always there. */
export function Tally() {
  const { view, stage, unit, units, buildId } = useBuild()
  const { ledger, summary } = useLiveBuild()
  const marks = marksOf(view, stage.id)
  const { net, pending } = totalsOfStage(ledger.swapsOf(stage.id).map((s) => s.counted))
  const mass = formatKnown(summary.mass.value, summary.mass.sigma, unit('mass'))
  // A lap can take long to read: the room stands before that.
  const isThere = useDeferredValue(true, false)
  const isHalf = summary.openLinesSoFar > 0
  const change = `${net.value > 0 ? '+' : ''}${formatFigure(net.value, unit('mass'))} ${unit('mass').symbol} in this stage`
  return (
    <section
      aria-label="Tally"
      data-testid="tally"
      className="tally flex min-h-[78px] overflow-x-auto max-md:min-h-[70px] border-b bg-panel print:flex-wrap print:overflow-visible"
      tabIndex={0}
    >
      {summary.planned.impossible && (
        <div className={`${BOX} text-oxide`} role="alert">
          <b className="figure block text-[18px]">More comes off than the car weighs</b>
          One line is too heavy: check its unit.
        </div>
      )}
      {isHalf
        ? (
            [
              ['As it stands', summary.standing],
              ['When it is finished', summary.finished],
            ] as const
          ).map(([when, car]) => (
            <div key={when} className={BOX}>
              {when}
              <b className="figure block text-[21px] leading-tight whitespace-nowrap text-ink">
                {formatFigure(car.mass.value, unit('mass'))}{' '}
                <span className="unit">{unit('mass').symbol}</span>
              </b>
              <span className="whitespace-nowrap">
                {car.powerToWeight
                  ? `${formatFigure(car.powerToWeight.value, unit('powerToWeight'))} ${unit('powerToWeight').symbol}${car.powerFrom === 'plan' ? ', planned power' : ''}`
                  : 'no power pulled'}
              </span>
            </div>
          ))
        : !marks.some((m) => m.measure === 'mass') && (
            <div className={BOX}>
              Mass
              <b className="figure block text-[21px] leading-tight text-ink">
                {mass.figure} <span className="unit">{mass.unit}</span>
              </b>
              <span>{change}</span>
            </div>
          )}
      {marks.map((mark) => {
        const named = <div className={BOX}>{nameOfMark(mark, units, view.conditions)}</div>
        if (!isThere && !isHeadline(mark)) return <Fragment key={mark.id}>{named}</Fragment>
        return (
          <Suspense key={mark.id} fallback={named}>
            <TallyMark mark={mark} pending={pending.value} className={BOX} />
          </Suspense>
        )
      })}
      {marks.length === 0 && (
        <div className={BOX}>
          Marks
          <b className="figure block text-[21px] leading-tight text-ink">none set</b>
          <Link className="font-medium text-blued hover:underline" to={roomPath(buildId, stage.id, 'board')}>
            Set one on the Board
          </Link>
        </div>
      )}
    </section>
  )
}
