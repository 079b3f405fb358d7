import type { Course } from '@bold-ballast/contract'
import { axleCarOf, formatNumber, type AxleCar } from '@bold-ballast/core'
import { massLine, powerLine } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { ChooseCourse } from '../ChooseCourse'
import { drawnOf } from '../drawnOr'
import { lapOfCar } from '../lapOfCar'
import { NoLap, type LapWays } from '../NoLap'
import { useChosenCourse } from '../useChosenCourse'
import { BestCombination } from './BestCombination'
import { bestOfBoth } from './bestOfBoth'
import { PowerOrMass } from './PowerOrMass'
import { MOST_COURSES, TradeChart } from './TradeChart'
import { tradesOf } from './tradesOf'
import { useTradeLaps, type TradeTask } from './useTradeLaps'

/** Trade-offs drawn: wing, final drive, downforce balance and power against mass, by the lap. */
export function TradeView(ways: LapWays) {
  const car = useLiveCar()
  const { course } = useChosenCourse()
  const found = useMemo(() => lapOfCar(car, course), [car, course])
  if (!found || !course) return <NoLap {...ways} />
  return (
    <section aria-label="Trade-offs">
      <ChooseCourse />
      {'problem' in found ? (
        <p role="alert" className="mt-3 text-oxide">
          No lap: {found.problem}.
        </p>
      ) : (
        <Trades key={course.id} course={course} />
      )}
    </section>
  )
}

function Trades({ course }: { course: Course }) {
  const { unit } = useBuild()
  const car = useLiveCar()
  const { courses } = useChosenCourse()
  const axles = useMemo((): AxleCar | null => (car.geared ? axleCarOf(car.geared.run) : null), [car])
  const places = useMemo(
    () => drawnOf([course, ...courses.filter((c) => c.id !== course.id)]).slice(0, MOST_COURSES),
    [courses, course],
  )
  const trades = useMemo(() => (axles ? tradesOf(car, axles) : []), [car, axles])
  const both = useMemo(() => (axles ? bestOfBoth(car, axles) : null), [car, axles])
  const weighed = useMemo(() => (axles ? { power: powerLine(axles), mass: massLine(axles) } : null), [axles])
  const tasks = useMemo((): TradeTask[] => {
    const [main] = places
    if (!axles || !main || !weighed) return []
    return [
      ...trades.flatMap((trade) =>
        places.map(({ course: at, drawn }) => ({
          key: `${trade.key} ${at.id}`,
          cars: [axles, ...trade.line.cars],
          course: drawn.lap,
        })),
      ),
      { key: 'power', cars: weighed.power.cars, course: main.drawn.lap },
      { key: 'mass', cars: weighed.mass.cars, course: main.drawn.lap },
      ...(both ? [{ key: 'both', cars: [axles, ...both.cars], course: main.drawn.lap }] : []),
    ]
  }, [trades, places, axles, weighed, both])
  const { laps, progress, problem } = useTradeLaps(tasks)
  const power = unit('power')
  const mass = unit('mass')
  return (
    <>
      {problem && (
        <p role="alert" className="text-oxide">
          No laps: {problem}.
        </p>
      )}
      <p role="status" className="mt-2 text-[14px] text-muted" data-testid="trade-progress">
        {progress === null
          ? 'Each by itself, all else as it is; seconds against the car as it is. Below nought is quicker.'
          : `Driving laps: ${formatNumber(progress * 100, 0)} %`}
      </p>
      <BestCombination laps={laps.get('both')} both={both} />
      <div className="grid gap-x-6 @4xl:grid-cols-2">
        {trades.map((trade) => (
          <TradeChart key={trade.key} trade={trade} places={places} laps={laps} />
        ))}
        <PowerOrMass
          power={laps.get('power')}
          mass={laps.get('mass')}
          lines={weighed}
          powerUnit={power}
          massUnit={mass}
        />
      </div>
    </>
  )
}
