import { formatNumber, formatQuantity, lapSeconds, orWhy, type AxleCar } from '@bold-ballast/core'
import { COARSE_STEP, courseDrawn, plannedChanges, type PlannedChange } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { useMoney } from '../../../store/useMoney'
import { TableHead } from '../../../ui/TableHead'
import { useChosenCourse } from '../useChosenCourse'

/** Less than that is no gain that money or hours could be counted by, s. */
const LEAST_GAIN = 0.005

interface Worth {
  readonly change: PlannedChange
  /** s a lap; below zero where it is quicker. */
  readonly seconds: number
}

/** What is planned and compared at this stage: what it saves a lap, and what a tenth costs in money and hours. */
export function PlannedWorth({ axles, time }: { axles: AxleCar; time: number }) {
  const { view, unit } = useBuild()
  const car = useLiveCar()
  const { course } = useChosenCourse()
  const money = useMoney(view.build.currency)
  const planned = useMemo(() => plannedChanges(car, view.optionSets), [car, view.optionSets])
  const worths = useMemo((): Worth[] => {
    if (!course) return []
    const { coarse } = courseDrawn(course)
    const lap = (one: AxleCar) => lapSeconds(one, coarse, { step: COARSE_STEP })
    const base = lap(axles)
    return planned
      .flatMap((change) =>
        orWhy(
          (): Worth[] => [{ change, seconds: lap(change.made(axles)) - base }],
          () => [],
        ),
      )
      .sort((a, b) => perTenth(a.change.cost, a.seconds) - perTenth(b.change.cost, b.seconds))
  }, [planned, course, axles])
  if (worths.length === 0)
    return (
      <p className="mt-5 max-w-[760px] text-[14.5px] text-muted">
        Nothing is planned at this stage that could be driven: swaps with parts still to fit, and alternatives
        compared under Dyno, Options, stand here with what a tenth of a second costs.
      </p>
    )
  const right = 'px-2 text-right whitespace-nowrap tabular-nums'
  const tenth = (of: number | null, seconds: number, say: (n: number) => string) => {
    const each = perTenth(of, seconds)
    return of === null ? '–' : Number.isFinite(each) ? say(each) : 'none won'
  }
  return (
    <section aria-label="What is planned, by the tenth" className="mt-5">
      <h2 className="text-[20px]">What is planned, by the tenth</h2>
      <p className="max-w-[760px] text-[14px] text-muted">
        Each by itself, its kilos where they sit, on a lap of {formatNumber(time, 1)} s; the cheapest tenth
        first.
      </p>
      <div className="overflow-x-auto">
        <table className="w-full max-w-[980px]" data-testid="planned-worth">
          <caption className="sr-only">What planned changes are worth, and what a tenth costs</caption>
          <TableHead
            columns={[
              { says: 'What', className: 'pr-2' },
              { says: 'Mass', figures: true, className: 'px-2' },
              { says: 'Power', figures: true, className: 'px-2' },
              { says: 's a lap', figures: true, className: 'px-2' },
              { says: 'A tenth costs', figures: true, className: 'px-2' },
              { says: 'and takes', figures: true, className: 'px-2' },
            ]}
          />
          <tbody>
            {worths.map(({ change, seconds }) => (
              <tr key={change.id} className="border-b border-line">
                <th scope="row" className="py-1 pr-2 text-left font-medium">
                  {change.name}
                </th>
                <td className={right}>
                  {change.mass === 0
                    ? '–'
                    : `${change.mass > 0 ? '+' : ''}${formatQuantity(change.mass, unit('mass'))}`}
                </td>
                <td className={right}>
                  {change.power === 0
                    ? '–'
                    : `${change.power > 0 ? '+' : ''}${formatQuantity(change.power, unit('power'))}`}
                </td>
                <td className={`${right} figure text-[17px] ${seconds < 0 ? 'text-zinc' : 'text-oxide'}`}>
                  {seconds < 0 ? '−' : '+'}
                  {formatNumber(Math.abs(seconds), 3)}
                </td>
                <td className={right}>{tenth(change.cost, seconds, money)}</td>
                <td className={right}>
                  {tenth(change.workTime, seconds, (n) => `${formatNumber(n / 3600, 1)} h`)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  )
}

/** What a tenth of a second takes of something; without end where nothing is won. */
function perTenth(of: number | null, seconds: number): number {
  if (of === null || seconds > -LEAST_GAIN) return Infinity
  return of / (-seconds / 0.1)
}
