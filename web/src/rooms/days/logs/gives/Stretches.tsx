import { putEdit, type Outing } from '@bold-ballast/contract'
import {
  formatFigure,
  formatNumber,
  formatQuantity,
  itemAt,
  speedsWithin,
  type LogStretch,
} from '@bold-ballast/core'
import { blankDownforceTest } from '../../../../sheets/blankDownforceTest'
import { useBuild, useLiveBuild } from '../../../../store/useBuild'
import { Button } from '../../../../ui/Button'
import { MayOnly } from '../../../../ui/MayOnly'
import type { LoggedRun } from '../lapsLogged'
import { useRunCar } from '../useGripLimits'
import { Given } from './Given'

/** So many points of a stretch are handed over, and so many stretches. */
const MOST_POINTS = 600
const MOST_RUNS = 12
/** Steady stretches that a downforce log needs, and holds. */
const LEAST_RIDES = 3
const MOST_RIDES = 500
const longest = (all: readonly LogStretch[]) => [...all].sort((a, b) => b.to - b.from - (a.to - a.from))

/** Stretches that rolled out, and speeds that were held, for Aero. */
export function Stretches({ one: { log, look, run }, day }: { one: LoggedRun; day: Outing }) {
  const { view, unit, saveSaying } = useBuild()
  const { summary } = useLiveBuild()
  const velocity = unit('velocity')
  const car = useRunCar(run)
  const coasts = longest(look.coasts)
  const { held, rides } = look
  if (coasts.length === 0 && held.length === 0) return null
  const keepRides = () => {
    const exact = (value: number) => Number(value.toFixed(6))
    saveSaying(
      `Downforce log of ${log.name}`,
      [
        putEdit(view, 'downforceTest', {
          ...blankDownforceTest(crypto.randomUUID(), day.stageId, view.build, summary),
          date: day.date,
          name: `${day.name}, run ${run.order}, logged`,
          ...(run.air && { air: run.air }),
          runs: [
            {
              wingId: null,
              angle: null,
              points: (rides ?? []).slice(0, MOST_RIDES).map(({ speed, front, rear, held: lasted }) => ({
                speed: exact(speed),
                front: exact(front),
                rear: exact(rear),
                held: exact(lasted),
              })),
            },
          ],
        }),
      ],
      'Aero, Rolled out, has it now: look at its motion ratios and wheel rates there.',
    )
  }
  const keep = () =>
    car &&
    saveSaying(
      `Coast-down of ${log.name}`,
      [
        putEdit(view, 'coastDown', {
          id: crypto.randomUUID(),
          stageId: day.stageId,
          date: day.date,
          name: `${day.name}, run ${run.order}, logged`,
          mass: Math.round(car.mass * 10) / 10,
          equivalentMass: Number((car.wheelInertia / car.rollingRadius ** 2).toFixed(1)),
          air: run.air ?? { temperature: 288.15, pressure: 101_300, humidity: 0.6 },
          runs: coasts.slice(0, MOST_RUNS).flatMap((stretch) => {
            const points = speedsWithin(log, stretch, MOST_POINTS)
            return points.length < 10 ? [] : [{ direction: 'out' as const, points }]
          }),
          note: 'From a log: all one way, so wind is in it. Was it out of gear?',
        }),
      ],
      'Aero, Rolled out, has it now.',
    )
  return (
    <Given name="Stretches for Aero">
      {coasts.length > 0 && car && (
        <>
          {coasts.length} {coasts.length === 1 ? 'stretch' : 'stretches'} rolled out, the longest{' '}
          {formatNumber(itemAt(coasts, 0).to - itemAt(coasts, 0).from, 0)} s from{' '}
          {formatFigure(itemAt(coasts, 0).starts, velocity, 0)} to{' '}
          {formatQuantity(itemAt(coasts, 0).ends, velocity, 0)}.{' '}
          <MayOnly right="log">
            <Button look="quiet" className="no-print !px-0" onClick={keep}>
              Keep as a coast-down
            </Button>
          </MayOnly>{' '}
        </>
      )}
      {held.length > 0 && (
        <>
          Speed was held for over three seconds {held.length} {held.length === 1 ? 'time' : 'times'}:{' '}
          {held
            .slice(0, 4)
            .map(
              ({ starts, from, to }) =>
                `${formatQuantity(starts, velocity, 0)} from ${formatNumber(from, 0)} to ${formatNumber(to, 0)} s`,
            )
            .join(', ')}
          .{' '}
          {rides === null ? (
            'With ride heights or damper travel beside, Aero reads downforce from it.'
          ) : rides.length >= LEAST_RIDES ? (
            <MayOnly right="log">
              <Button look="quiet" className="no-print !px-0" onClick={keepRides}>
                Keep as a downforce log
              </Button>
            </MayOnly>
          ) : (
            'Ride heights are there: three speeds held for two seconds are wanted.'
          )}
        </>
      )}
    </Given>
  )
}
