import { costOfChange, RULE_MEASURES, type Known, type Rule, type RuleMeasure } from '@bold-ballast/core'
import { useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Choose } from '../../../ui/Choose'
import { QuantityField } from '../../../ui/QuantityField'
import { RULE_MEASURE } from '@bold-ballast/contract'
import { optionsOf } from '../../../ui/optionsOf'
import { RULE_SAYS, RULE_TONE } from './ruleWords'

const DECIBEL = { symbol: 'dB', factor: 1, decimals: 1, aliases: [] }

/** What a change that is thought of would cost in compliance, before anybody picks up a spanner. */
export function ChangeCost({
  rules,
  values,
  say,
}: {
  rules: readonly Rule[]
  values: Readonly<Partial<Record<RuleMeasure, Known>>>
  say: (measure: RuleMeasure, si: number) => string
}) {
  const { unit } = useBuild()
  const [measure, setMeasure] = useState<RuleMeasure>('massWithDriver')
  const [by, setBy] = useState<number | null>(null)
  const quantity = RULE_MEASURES[measure]
  const shown = quantity === null ? DECIBEL : unit(quantity)
  const cost = useMemo(
    () => (by === null ? [] : costOfChange(rules, values, { [measure]: by })),
    [rules, values, measure, by],
  )
  return (
    <section aria-label="What a change would cost" className="mt-5 border-t border-line pt-3">
      <h2 className="text-[19px]">What would a change cost?</h2>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <Choose
          label="If it changed"
          wide={false}
          value={measure}
          options={optionsOf(RULE_MEASURE)}
          onChange={(m) => {
            if (!m || !(m in RULE_MEASURES)) return
            setMeasure(m as RuleMeasure)
            setBy(null)
          }}
        />
        <div className="w-[140px]">
          <QuantityField
            key={measure}
            label="By, below zero for less"
            quantity={quantity ?? 'share'}
            unit={shown}
            value={by}
            onChange={setBy}
          />
        </div>
      </div>
      {by !== null && (
        <ul className="mt-2 text-[14px]" data-testid="change-cost">
          {cost.length === 0 && (
            <li className="text-muted">
              {values[measure]
                ? 'No rule of this class minds.'
                : 'Nobody has measured it yet, so nobody can tell.'}
            </li>
          )}
          {cost.map(({ rule, before, after, margin, takes }) => (
            <li key={rule.id} className="flex flex-wrap gap-x-4 border-b border-line py-1">
              <span className="min-w-[220px] flex-1">{RULE_MEASURE[rule.measure]}</span>
              <span>
                {takes > 0 ? 'takes' : 'gives'} {say(rule.measure, Math.abs(takes))};{' '}
                {say(rule.measure, Math.abs(margin))} {margin >= 0 ? 'in hand' : 'over the line'}
              </span>
              <span className={`w-[180px] ${RULE_TONE[after.verdict]}`}>
                {before.verdict === after.verdict
                  ? RULE_SAYS[after.verdict]
                  : `${RULE_SAYS[before.verdict]} → ${RULE_SAYS[after.verdict]}`}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
