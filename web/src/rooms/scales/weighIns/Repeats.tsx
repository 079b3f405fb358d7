import type { WeighIn } from '@bold-ballast/contract'
import { formatKnown, formatQuantity, repeatReadings, type WeighInReading, valueAt } from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { Figure } from '../../../ui/Figure'
import { GradeMark } from '../../../ui/grades'

/** Several weighings of one state of the car, brought to the reference condition: do they repeat, do they creep? */
export function Repeats({
  weighIns,
  readings,
}: {
  /** Oldest first. */
  weighIns: readonly WeighIn[]
  readings: ReadonlyMap<string, WeighInReading>
}) {
  const { unit } = useBuild()
  const mass = unit('mass')
  if (weighIns.length === 0) return null
  const { total, repeatability, drift, drifts, moreToProve, counted } = repeatReadings(
    weighIns.map((w) => valueAt(readings, w.id)),
  )
  const creep = drift && formatKnown(Math.abs(drift.value), drift.sigma, mass)
  return (
    <section aria-label="Repeats" className="mt-4 border-t border-line pt-3" data-testid="repeats">
      <h2 className="text-[19px]">Repeats</h2>
      {counted === 1 ? (
        <p className="text-[13.5px] text-muted">
          {weighIns.length === 1 ? 'Weighed once.' : 'Weighed once with a scale of this kind.'} Roll off,
          settle and weigh once more: two that agree prove the figure.
        </p>
      ) : (
        <>
          <p className="flex flex-wrap items-center gap-2">
            <Figure known={total} unit={mass} className="text-[20px]" />
            <GradeMark grade={total.grade} word />
          </p>
          <p className="mt-1 text-[13.5px] text-muted">
            {counted} weighings repeat to{' '}
            {repeatability === null ? '–' : formatQuantity(repeatability, mass, 2)}.{' '}
            {moreToProve > 0 &&
              `They are further apart than pads of this kind should be: weigh ${moreToProve} more before trusting any. `}
            {drifts &&
              creep &&
              `They creep by ${creep.figure} ±${creep.spread} ${mass.symbol} from one to the next: look for tyres losing air, fuel, or a pad’s zero.`}
          </p>
        </>
      )}
    </section>
  )
}
