import { RULE_MEASURE, putEdit, type Rulebook } from '@bold-ballast/contract'
import { csvOf } from '@bold-ballast/words'
import {
  classReport,
  formatNumber,
  fromSi,
  RULE_MEASURES,
  type RuleMeasure,
  type RuleResult,
} from '@bold-ballast/core'
import { useMemo, useState } from 'react'
import { toast } from '../../../ui/toast'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { Choose } from '../../../ui/Choose'
import { download } from '../../../ui/download'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { CarViews } from '../loads/CarViews'
import { useAero } from '../useAero'
import { blankScrutiny } from './blankScrutiny'
import { ChangeCost } from './ChangeCost'
import { OtherClass } from './OtherClass'
import { ruleCsv } from './ruleRows'
import { RULE_SAYS, RULE_TONE } from './ruleWords'
import { useRuleValues } from '../useRuleValues'

const byOrder = (a: Rulebook, b: Rulebook) => a.order - b.order

/** The car against the rules of its class: what passes, what fails, what nobody knows; and what another class changes. */
export function ClassView({
  onRulebook,
  onScrutiny,
  onImport,
}: {
  onRulebook: (id: string | null) => void
  onScrutiny: () => void
  onImport: (book: Rulebook) => void
}) {
  const { view, stage, units, unit, save, removeSaying } = useBuild()
  const { values, scrutiny, rulebook, envelope } = useRuleValues()
  const { elements } = useAero()
  const [chosen, setChosen] = useState<string | null>(null)
  const books = useMemo(() => [...view.rulebooks].sort(byOrder), [view.rulebooks])
  const others = books.filter((b) => b.id !== rulebook?.id)
  const results = useMemo(() => (rulebook ? classReport(rulebook.rules, values) : []), [rulebook, values])
  if (books.length === 0)
    return (
      <EmptyRoom
        title="No rulebook yet"
        action={
          <Button look="main" onClick={() => onRulebook(null)}>
            Type the rules of a class
          </Button>
        }
      >
        Each rule is a measure with a limit, in the scrutineer’s words, with its clause. You get what passes,
        what fails and by how much, what nobody has measured, and what another class would open or close.
      </EmptyRoom>
    )
  const say = (measure: RuleMeasure, si: number) => {
    const quantity = RULE_MEASURES[measure]
    if (quantity === null) return `${formatNumber(si, 1)} dB`
    const shown = unit(quantity)
    return `${formatNumber(fromSi(si, shown), quantity === 'length' ? 0 : shown.decimals)} ${shown.symbol}`
  }
  const choose = (id: string | null) => {
    const record = { ...(scrutiny ?? blankScrutiny(stage.id)), rulebookId: id }
    const faults = save('Choose the class', [putEdit(view, 'scrutiny', record)])
    if (faults) toast(faults[0].problem)
  }
  const remove = (book: Rulebook) => {
    removeSaying('rulebook', book.id, book.name)
  }
  const count = (verdict: RuleResult['verdict']) => results.filter((r) => r.verdict === verdict).length
  const saveCsv = () =>
    download(
      `${view.build.name} class.csv`,
      csvOf(
        ['clause', 'measure', 'rule', 'limit (SI)', 'value (SI)', 'in hand (SI)', 'verdict'],
        results.map(({ rule, value, margin, verdict }) => [
          rule.clause,
          RULE_MEASURE[rule.measure],
          rule.wording,
          rule.limit,
          value?.value,
          margin,
          verdict,
        ]),
      ),
      'text/csv',
    )
  return (
    <section aria-label="Class">
      <div className="flex flex-wrap items-end gap-3">
        <Choose
          label="Built for"
          wide={false}
          value={rulebook?.id ?? null}
          options={[['', 'no class chosen'], ...books.map((b) => [b.id, b.name] as const)]}
          onChange={choose}
        />
        {rulebook && (
          <>
            <Button look="quiet" onClick={() => onRulebook(rulebook.id)}>
              Change the rulebook
            </Button>
            <Button look="quiet" onClick={() => onImport(rulebook)}>
              Rules from CSV
            </Button>
            <Button
              look="quiet"
              onClick={() => download(`${rulebook.name}.csv`, ruleCsv(rulebook, units), 'text/csv')}
            >
              Rules as CSV
            </Button>
            <Button look="quiet" className="!text-muted" onClick={() => remove(rulebook)}>
              Remove<span className="sr-only"> {rulebook.name}</span>
            </Button>
          </>
        )}
        <Button onClick={() => onScrutiny()}>Type what was measured</Button>
        {results.length > 0 && (
          <Button look="quiet" onClick={saveCsv}>
            Report as CSV
          </Button>
        )}
      </div>
      {rulebook && (
        <>
          <p className="mt-3 text-[17px]" data-testid="class-says">
            {count('fail') === 0 && count('cantTell') === 0
              ? `All ${results.length} rules pass.`
              : [
                  count('fail') > 0 && `${count('fail')} ${count('fail') === 1 ? 'fails' : 'fail'}`,
                  count('cantTell') > 0 && `${count('cantTell')} can’t be told yet`,
                  `${count('pass')} ${count('pass') === 1 ? 'passes' : 'pass'}`,
                ]
                  .filter(Boolean)
                  .join(', ')
                  .replace(/^./, (c) => c.toUpperCase()) + '.'}{' '}
            <span className="text-[13.5px] text-muted">
              Edition {rulebook.edition || '–'}, {rulebook.date}.
            </span>
          </p>
          {envelope && elements.length > 0 && (
            <div className="my-3">
              <CarViews {...{ elements, envelope, chosen }} onChoose={setChosen} />
            </div>
          )}
          <ul className="mt-2" data-testid="rules">
            {results.map(({ rule, value, margin, verdict }) => (
              <li
                key={rule.id}
                className="grid items-baseline gap-x-4 border-b border-line py-2 @2xl:grid-cols-[1fr_240px_170px_100px]"
              >
                <span>
                  <span className="font-medium">{RULE_MEASURE[rule.measure]}</span>
                  <span className="block text-[12.5px] text-muted">
                    {[rule.clause, rule.wording].filter(Boolean).join(': ')}
                  </span>
                </span>
                <span className="figure text-[19px]">
                  {value ? say(rule.measure, value.value) : '–'}
                  <span className="unit">
                    {' '}
                    {rule.comparator === 'atMost' ? 'at most' : 'at least'} {say(rule.measure, rule.limit)}
                  </span>
                </span>
                <span className="text-[14px]">
                  {margin === null
                    ? 'nobody has measured it'
                    : `${say(rule.measure, Math.abs(margin))} ${margin >= 0 ? 'in hand' : 'over the line'}`}
                </span>
                <span className={RULE_TONE[verdict]}>{RULE_SAYS[verdict]}</span>
              </li>
            ))}
          </ul>
        </>
      )}
      {rulebook && <ChangeCost rules={rulebook.rules} {...{ values, say }} />}
      {others.length > 0 && rulebook && <OtherClass {...{ rulebook, others, values, say }} />}
      <p className="mt-4 text-[13px] text-muted">
        This is what you typed of a rulebook. The organiser’s own book and its scrutineers decide.
      </p>
    </section>
  )
}
