import { blankLapBasis, putEdit, type Course } from '@bold-ballast/contract'
import { formatFigure, formatNumber, orWhy } from '@bold-ballast/core'
import { gripByCorner, type DayLine } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from '../../../../store/useBuild'
import { useCarried } from '../../../../store/useCarried'
import { Button } from '../../../../ui/Button'
import { MayOnly } from '../../../../ui/MayOnly'
import type { LoggedRun } from '../lapsLogged'
import { useRunCar } from '../useGripLimits'
import { Given } from './Given'

const thousandth = (value: number) => Math.round(value * 1000) / 1000

/** Least speeds, corner by corner, beside those of the worked-out lap; and the grip that would make them alike. */
export function CornerGrip({ one, line, course }: { one: LoggedRun; line: DayLine; course: Course }) {
  const { view, stage, saveSaying, unit } = useBuild()
  const velocity = unit('velocity')
  const car = useRunCar(one.run)
  const { record } = useCarried('lapBasis')
  const found = useMemo(
    () =>
      car &&
      orWhy(
        () => gripByCorner({ ...car, fittedGrip: 1 }, course, line, one),
        () => null,
      ),
    [car, course, line, one],
  )
  if (!found || !car) return null
  const keep = () => {
    const before = record ?? { ...blankLapBasis(stage.id, crypto.randomUUID()), brakingUsed: car.brakeUsed }
    saveSaying(
      `Fit grip to least speeds of ${one.log.name}`,
      [
        putEdit(view, 'lapBasis', {
          ...before,
          gripFactor: { value: thousandth(found.factor.value), doubt: thousandth(found.factor.doubt) },
        }),
      ],
      `Course takes the grip times ${formatNumber(found.factor.value, 3)} from here on.`,
    )
  }
  return (
    <Given name="Least speeds, and those of Course’s lap">
      {found.corners.map(({ name, logged, workedOut }) => (
        <span key={name} className="mr-4 inline-block whitespace-nowrap">
          {name} <b className="figure">{formatFigure(logged, velocity, 0)}</b>{' '}
          <span className="text-muted">
            {formatFigure(workedOut, velocity, 0)} {velocity.symbol}
          </span>
        </span>
      ))}
      <p>
        They are alike with the grip times{' '}
        <b className="figure">
          {formatNumber(found.factor.value, 3)} ±{formatNumber(found.factor.doubt, 3)}
        </b>
        .{' '}
        <MayOnly right="plan">
          <Button look="quiet" className="no-print !px-0" onClick={keep}>
            Course takes that
          </Button>
        </MayOnly>
      </p>
    </Given>
  )
}
