import { formatNumber, toSi, type Quantity, type ReadingsMade, type Unit } from '@bold-ballast/core'
import { planOfRepeats, type TestInstrument } from '@bold-ballast/model'
import { describeDifferencePlan } from '@bold-ballast/words'
import { useMemo, useState, type ReactNode } from 'react'
import { QuantityField } from './QuantityField'
import { ShowWorking } from './ShowWorking'

const percent = (share: number) => `±${formatNumber(share * 100, 2)} %`

/** How many pulls or weighings a wanted difference takes to show, and in which order: before anybody makes them. */
export function PlanRepeats({
  instrument,
  about,
  made,
  quantity,
  unit,
  start,
  children,
}: {
  readonly instrument: TestInstrument
  /** As much as is read, SI. */
  readonly about: number
  /** Readings of the one before that stand; null for none. */
  readonly made: ReadingsMade | null
  readonly quantity: Quantity
  readonly unit: Unit
  /** The difference that stands in the field first, in the unit. */
  readonly start: number
  /** What else is worth a word. */
  readonly children?: ReactNode
}) {
  const [wanted, setWanted] = useState<number | null>(() => toSi(start, unit))
  const plan = useMemo(
    () => (wanted && wanted > 0 ? planOfRepeats(wanted, about, instrument, made) : null),
    [wanted, about, instrument, made],
  )
  const { kind, name, scatter, betweenDays, own, isUsual } = instrument
  const one = kind === 'dyno' ? 'From pull to pull' : 'From weighing to weighing'
  return (
    <section
      aria-label="Plan the test first"
      className="no-print mt-4 border-t border-line pt-3"
      data-testid="plan-first"
    >
      <h3 className="text-[17px]">Plan the test first</h3>
      <div className="mt-1 flex flex-wrap items-end gap-4">
        <div className="w-[150px]">
          <QuantityField
            label="A difference of"
            quantity={quantity}
            unit={unit}
            value={wanted}
            onChange={setWanted}
          />
        </div>
        <p className="max-w-[620px] min-w-[240px] flex-1 text-[15px]" data-testid="readings-it-takes">
          {plan ? describeDifferencePlan(plan, kind) : 'Type a difference above zero that would be worth it.'}{' '}
          <span className="text-[13.5px] text-muted">
            {isUsual
              ? 'Nothing was read yet: what is usual is taken (common practice).'
              : `By what is known of ${name || (kind === 'dyno' ? 'that dyno' : 'those scales')}.`}{' '}
            {children}{' '}
            <ShowWorking
              working={{
                title: 'Readings it takes',
                formula: 'error(readings, days) · (t.975 + t.80) ≤ difference',
                inputs: [
                  [one, percent(scatter)],
                  ...(betweenDays > 0 ? [['From day to day', percent(betweenDays)] as [string, string]] : []),
                  ['Off by itself, of the difference alone', percent(own)],
                ],
                result: plan ? describeDifferencePlan(plan, kind) : 'no difference typed',
                source: 'power of a t test (Draper and Smith); the order is common practice',
              }}
            />
          </span>
        </p>
      </div>
    </section>
  )
}
