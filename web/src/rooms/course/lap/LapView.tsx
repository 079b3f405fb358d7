import { lapParts, named } from '@bold-ballast/core'
import { lapDoubt } from '@bold-ballast/model'
import type { Course } from '@bold-ballast/contract'
import { useMemo, useState } from 'react'
import { useLiveCar } from '../../../store/useCar'
import { Button } from '../../../ui/Button'
import { Choice } from '../../../ui/Choice'
import { download } from '../../../ui/download'
import { ChooseCourse } from '../ChooseCourse'
import { lapOfCar, type FoundLap } from '../lapOfCar'
import { NoLap, type LapWays } from '../NoLap'
import { useChosenCourse } from '../useChosenCourse'
import { AsSlide } from './AsSlide'
import { balanceSays } from './balanceSays'
import { CornerTable } from './CornerTable'
import { Driven } from './Driven'
import { lapCsv } from './lapCsv'
import { LapFigures } from './LapFigures'
import { LapMap } from './LapMap'
import { LineWarnings } from './LineWarnings'
import { SectorTable } from './SectorTable'
import { SpeedAlong } from './SpeedAlong'
import { TakenForGranted } from './TakenForGranted'
import { WhereItWent } from './WhereItWent'

type Start = 'flying' | 'standing'
const STARTS = [
  ['flying', 'Flying'],
  ['standing', 'From standing'],
] as const
/** The lap of the car on a course: how long, where fast, what holds it where, and what it was taken for granted with. */
export function LapView(ways: LapWays) {
  const car = useLiveCar()
  const { course } = useChosenCourse()
  const [start, setStart] = useState<Start>('flying')
  const isStanding = start === 'standing'
  const found = useMemo(() => lapOfCar(car, course, isStanding), [car, course, isStanding])
  if (!found || !course) return <NoLap {...ways} />
  return (
    <section aria-label="Lap">
      <div className="flex flex-wrap items-end gap-3">
        <ChooseCourse />
        {course.closed && <Choice label="It begins" value={start} options={STARTS} onChange={setStart} />}
      </div>
      {'problem' in found ? (
        <p role="alert" className="mt-3 text-oxide">
          No lap: {found.problem}.
        </p>
      ) : (
        <WholeLap
          key={course.id}
          course={course}
          found={found}
          isStanding={isStanding && course.closed}
          onBasis={ways.onBasis}
        />
      )}
    </section>
  )
}

function WholeLap({
  course,
  found: { lap, drawn },
  isStanding,
  onBasis,
}: {
  course: Course
  found: FoundLap
  isStanding: boolean
  onBasis: () => void
}) {
  const car = useLiveCar()
  const [at, setAt] = useState(0)
  const known = useMemo(() => named(lap.time, 'guess', lapDoubt(car, course)), [car, course, lap.time])
  const parts = useMemo(
    () =>
      lapParts(
        lap,
        drawn.corners.map((c) => [c.from, c.to] as const),
      ),
    [lap, drawn],
  )
  return (
    <>
      <p className="mt-3 max-w-[820px] text-[16px]" data-testid="lap-says">
        {drawn.corners.length > 0 && balanceSays(parts)}{' '}
        <span className="text-[13.5px] text-muted">
          A car that is always at the limit of its tyres, its engine or its brakes: it compares cars.
        </span>
      </p>
      <LapFigures lap={lap} known={known} />
      {!isStanding && <Driven lap={lap} onBasis={onBasis} />}
      <LineWarnings drawn={drawn} />
      <div className="grid items-start gap-x-5 @4xl:grid-cols-[minmax(0,11fr)_minmax(0,9fr)]">
        <LapMap name={course.name} lap={lap} drawn={drawn} at={at} onAt={setAt} />
        <SpeedAlong
          name={course.name}
          lap={lap}
          length={drawn.length}
          corners={drawn.corners}
          at={at}
          onAt={setAt}
        />
      </div>
      <CornerTable parts={parts} corners={drawn.corners} />
      <SectorTable lap={lap} sectors={drawn.sectors} />
      <WhereItWent lap={lap} />
      <AsSlide length={drawn.length} />
      <p className="no-print mt-2">
        <Button look="quiet" onClick={() => download(`lap-${course.name}.csv`, lapCsv(lap), 'text/csv')}>
          CSV of the lap, SI
        </Button>
      </p>
      <TakenForGranted course={course} onBasis={onBasis} />
    </>
  )
}
