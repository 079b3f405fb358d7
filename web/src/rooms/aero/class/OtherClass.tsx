import { RULE_MEASURE, type Rulebook } from '@bold-ballast/contract'
import { classMoves, classReport, type Known, type RuleMeasure } from '@bold-ballast/core'
import { useState } from 'react'
import { Choose } from '../../../ui/Choose'

/** What another class would open up and what it would close, and how the car as it is would fare there. */
export function OtherClass({
  rulebook,
  others,
  values,
  say,
}: {
  rulebook: Rulebook
  others: readonly Rulebook[]
  values: Readonly<Partial<Record<RuleMeasure, Known>>>
  say: (measure: RuleMeasure, si: number) => string
}) {
  const [otherId, setOtherId] = useState<string | null>(null)
  const other = others.find((b) => b.id === otherId) ?? null
  const after = other ? classReport(other.rules, values) : []
  return (
    <section aria-label="Another class" className="mt-5 border-t border-line pt-3">
      <h2 className="text-[19px]">In another class?</h2>
      <span className="mt-1 block w-fit">
        <Choose
          label="Moved to"
          wide={false}
          value={other?.id ?? null}
          options={[['', 'choose one'], ...others.map((b) => [b.id, b.name] as const)]}
          onChange={setOtherId}
        />
      </span>
      {other && (
        <>
          <p className="mt-2 text-[15px]" data-testid="move-says">
            There {after.filter((r) => r.verdict === 'fail').length} would fail and{' '}
            {after.filter((r) => r.verdict === 'pass').length} pass of {after.length}.
          </p>
          <ul className="text-[14px]" data-testid="moves">
            {classMoves(rulebook.rules, other.rules).map((move) => (
              <li
                key={`${move.measure} ${move.from} ${move.to}`}
                className="flex flex-wrap gap-x-4 border-b border-line py-1"
              >
                <span className={`w-16 ${move.change === 'opens' ? 'text-zinc' : 'text-oxide'}`}>
                  {move.change}
                </span>
                <span className="min-w-[220px] flex-1">{RULE_MEASURE[move.measure]}</span>
                <span>
                  {move.from === null ? 'no limit' : say(move.measure, move.from)} →{' '}
                  {move.to === null ? 'no limit' : say(move.measure, move.to)}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}
