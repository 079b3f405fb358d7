import type { Outing } from '@bold-ballast/contract'
import { formatNumber, itemAt, type Lap } from '@bold-ballast/core'
import { fitLap, lapsDriven, timedOutings } from '@bold-ballast/model'
import { toast } from 'sonner'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { useFitLap } from '../../../store/useFitLap'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'
import { useChosenCourse } from '../useChosenCourse'

/** Laps that were driven here beside the one that is worked out, and the factors that make them agree, if somebody wants them. */
export function Driven({ lap, onBasis }: { lap: Lap; onBasis: () => void }) {
  const { view, stage, ledger } = useBuild()
  const car = useLiveCar()
  const { course } = useChosenCourse()
  const fitLaps = useFitLap()
  if (!course || !car.geared) return null
  const laps = lapsDriven(timedOutings(view), course)
  const own = laps.filter((o) => o.stageId === stage.id)
  const fitted = car.lapBasis?.value
  const isFitted = fitted && (fitted.gripFactor || fitted.powerFactor)
  const says = (o: Outing & { bestLap: number }) => {
    const off = o.bestLap / lap.time - 1
    const share = formatNumber(Math.abs(off) * 100, 1)
    return `${formatNumber(o.bestLap, 2)} s on ${o.date}: ${share} % ${off >= 0 ? 'slower than' : 'quicker than'} worked out`
  }
  const { run } = car.geared
  const fit = (o: Outing & { bestLap: number }) => {
    const found = fitLap(run, course, { lap: o.bestLap, topSpeed: o.topSpeed })
    if (!found) {
      toast.error('No grip between 0.6 and 1.4 times the typed one makes that lap: something else is off.')
      return
    }
    fitLaps(`Fit the lap to ${o.name}`, run, found)
  }
  const best = own[0]
  const elsewhere = laps.filter((o) => o.stageId !== stage.id)
  return (
    <div className="mb-3 max-w-[820px] text-[15px]" data-testid="driven">
      {best ? (
        <p>
          <b className="font-medium">Driven at this stage:</b> {says(best)}
          {own.length > 1 && `; ${own.length - 1} more ${own.length === 2 ? 'day' : 'days'} were slower`}.
        </p>
      ) : (
        <p className="text-muted">
          Nobody has driven here at this stage
          {elsewhere.length > 0 &&
            `; the quickest at another is ${formatNumber(itemAt(elsewhere, 0).bestLap, 2)} s at ${
              ledger.stages.find((s) => s.id === itemAt(elsewhere, 0).stageId)?.name
            }`}
          . A logged day with its best lap shows how near the lap is.
        </p>
      )}
      {isFitted && (
        <p>
          Fitted:{' '}
          {[
            fitted.gripFactor &&
              `grip times ${formatNumber(fitted.gripFactor.value, 3)} ±${formatNumber(fitted.gripFactor.doubt, 3)}`,
            fitted.powerFactor &&
              `power times ${formatNumber(fitted.powerFactor.value, 3)} ±${formatNumber(fitted.powerFactor.doubt, 3)}`,
          ]
            .filter(Boolean)
            .join(', ')}
          , in every lap from stage {ledger.stages.findIndex((s) => s.id === car.lapBasis?.from.id) + 1} on.{' '}
          <Button look="quiet" className="!px-1" onClick={onBasis}>
            Change it
          </Button>
        </p>
      )}
      {best && (
        <MayOnly right="log">
          <Button onClick={() => fit(best)}>
            Fit grip{best.topSpeed === null ? '' : ' and power'} to that lap
          </Button>
        </MayOnly>
      )}
    </div>
  )
}
