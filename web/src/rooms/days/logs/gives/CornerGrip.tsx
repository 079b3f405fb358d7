import type { Course, Outing } from '@bold-ballast/contract'
import { formatFigure, formatNumber, orWhy } from '@bold-ballast/core'
import { gripByCorner, type DayLine } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from '../../../../store/useBuild'
import { useFitLap } from '../../../../store/useFitLap'
import { Button } from '../../../../ui/Button'
import { MayOnly } from '../../../../ui/MayOnly'
import type { LoggedRun } from '../lapsLogged'
import { useRunCar } from '../useGripLimits'
import { Given } from './Given'

/** Least speeds, corner by corner, beside those of the worked-out lap; and the grip that would make them alike. */
export function CornerGrip({
  one,
  day,
  line,
  course,
}: {
  one: LoggedRun
  day: Outing
  line: DayLine
  course: Course
}) {
  const { stage, unit } = useBuild()
  const velocity = unit('velocity')
  const car = useRunCar(one.run)
  const fitLaps = useFitLap()
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
  // A factor belongs to the stage that was driven.
  const isHere = day.stageId === stage.id
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
        {isHere ? (
          <MayOnly right="log">
            <Button
              look="quiet"
              className="no-print !px-0"
              onClick={() =>
                fitLaps(`Fit grip to least speeds of ${one.log.name}`, car, {
                  grip: found.factor,
                  power: null,
                })
              }
            >
              Course takes that
            </Button>
          </MayOnly>
        ) : (
          <span className="text-muted">Open the stage that was driven, and Course can take it.</span>
        )}
      </p>
    </Given>
  )
}
