import type { Mark } from '@bold-ballast/contract'
import { judgeTried, markFigures, type Asked } from '@bold-ballast/model'
import { comparatorWords, nameOfMark, unitOfMeasure, VERDICT, WOULD } from '@bold-ballast/words'
import {
  formatKnown,
  formatNumber,
  fromSi,
  judgeFigures,
  type Known,
  type Measure,
  type Unit,
  itemAt,
} from '@bold-ballast/core'
import type { ReactNode } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useCar } from '../../../store/useCar'
import { domainOf, PlumbBar, VERDICT_TEXT } from '../../../ui/PlumbBar'
import { markRows, targetAt } from '../markRows'
import type { Tried } from './useTried'

/** Said of every car, whether a mark is set on it or not. */
const ALWAYS: readonly Measure[] = ['mass', 'wheelPower', 'powerToWeight', 'quarterMile', 'topSpeed']
/** Said where there is something to say. */
const IF_KNOWN: readonly Measure[] = ['driftWindow', 'aeroBalance', 'weakestLink', 'price', 'hours']

/** Courses said beside the marks. */
const MOST_LAPS = 3

interface Row {
  readonly key: string
  readonly asked: Asked
  readonly target: Mark | null
}
const bare = (measure: Measure): Asked => ({
  measure,
  conditionId: null,
  gear: null,
  place: '',
  part: '',
  speed: null,
})

/** The stage as it stands beside what is tried on it, measure by measure, judged by the marks that it is on its way to. */
export function TriedTable({ tried, heads }: { tried: readonly Tried[]; heads: readonly ReactNode[] }) {
  const { own, ledger, stage, units } = useBuild()
  const car = useCar()
  const at = ledger.stages.indexOf(stage)
  const { currency } = own.build
  const marked: Row[] = markRows(own.marks, ledger.stages).map(({ key, marks }) => {
    const target = targetAt(marks, ledger.stages, at)
    return { key, asked: target, target }
  })
  const has = (measure: Measure) => marked.some((row) => row.asked.measure === measure)
  const plain = [...ALWAYS, ...IF_KNOWN]
    .filter((measure) => !has(measure) && (measure !== 'driftWindow' || own.build.discipline === 'drift'))
    .map((measure): Row => ({ key: measure, asked: bare(measure), target: null }))
  const laps = [...own.courses]
    .sort((a, b) => a.order - b.order)
    .filter((c) => !marked.some((r) => r.asked.measure === 'lapTime' && c.name.includes(r.asked.place)))
    .slice(0, MOST_LAPS)
    .map(({ id, name }): Row => ({ key: id, asked: { ...bare('lapTime'), place: name }, target: null }))
  const rows = [...marked, ...plain, ...laps].map((row) => ({
    ...row,
    start: markFigures(car, row.asked),
    cells: tried.map((t) => t.figure(row.asked)),
  }))
  const shown = rows.filter((row) => row.start.value !== null || row.cells.some((c) => c.value !== null))
  return (
    <div
      className="relative overflow-x-auto"
      role="region"
      aria-label="What is tried, side by side"
      tabIndex={0}
    >
      <table className="w-full border-collapse" data-testid="tried">
        <thead>
          <tr className="align-bottom">
            <th
              scope="col"
              className="sticky left-0 z-10 min-w-[140px] bg-chalk pr-3 text-left text-[12.5px] font-normal text-muted"
            >
              Measure
            </th>
            <th scope="col" className="min-w-[150px] px-2 py-1 text-left align-top font-medium">
              As it stands
            </th>
            {tried.map(({ branch }, i) => (
              <th key={branch.id} scope="col" className="min-w-[170px] px-2 py-1 text-left align-top">
                {heads[i]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map(({ key, asked, target, start, cells }) => {
            const unit = unitOfMeasure(asked.measure, units, currency)
            const spans = [start.value, ...cells.map((c) => c.value)].flatMap((v) =>
              v ? [v.value - v.sigma, v.value + v.sigma] : [],
            )
            const domain = domainOf([...spans, ...(target ? [target.value] : [])])
            const say = (value: Known | null) => {
              if (!value) return '–'
              return `${formatKnown(value.value, value.sigma, unit).figure} ${unit.symbol}`.trim()
            }
            return (
              <tr key={key} className="border-b border-line align-top">
                <th scope="row" className="sticky left-0 z-10 bg-chalk py-1.5 pr-3 text-left font-medium">
                  {nameOfMark(asked, units, own.conditions)}
                  {target && (
                    <span className="block text-[12.5px] font-normal text-muted">
                      {comparatorWords(unit)[target.comparator]}{' '}
                      {formatNumber(fromSi(target.value, unit), unit.decimals)} {unit.symbol}
                    </span>
                  )}
                </th>
                <Cell
                  value={start.value}
                  verdict={target && judgeFigures(start, target).verdict}
                  {...{ domain, mark: target?.value ?? null, says: say(start.value) }}
                  {...{ change: null, words: VERDICT }}
                />
                {cells.map(({ value, change }, i) => (
                  <Cell
                    key={itemAt(tried, i).branch.id}
                    value={value}
                    verdict={target && judgeTried({ value, change }, target).verdict}
                    {...{ domain, mark: target?.value ?? null, says: say(value), words: WOULD }}
                    change={change === null || !value ? null : sayChange(change, value.value, unit)}
                  />
                ))}
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
}

/** By how much a figure differs from what it was, in a unit; in one that runs the other way, the other way. */
function sayChange(change: number, value: number, unit: Unit): string {
  if (Math.abs(change) < 1e-9) return 'as it is'
  const shown = fromSi(value, unit) - fromSi(value - change, unit)
  const decimals = Math.max(unit.decimals, Math.abs(change) < 0.1 ? 2 : 1)
  return `${shown > 0 ? '+' : '−'}${formatNumber(Math.abs(shown), decimals)}`
}

function Cell({
  value,
  verdict,
  domain,
  mark,
  says,
  change,
  words,
}: {
  value: Known | null
  verdict: 'met' | 'missed' | 'cantTell' | null
  domain: readonly [number, number]
  mark: number | null
  says: string
  change: string | null
  words: typeof VERDICT | typeof WOULD
}) {
  return (
    <td className="px-2 py-1">
      <PlumbBar {...{ value, mark, verdict, domain, label: says }} />
      <span className="flex flex-wrap items-baseline gap-x-2">
        <span className={`figure text-[16px] ${verdict ? VERDICT_TEXT[verdict] : ''}`}>{says}</span>
        {change && <span className="text-[12.5px] text-muted">{change}</span>}
        {verdict && <span className={`text-[12.5px] ${VERDICT_TEXT[verdict]}`}>{words[verdict]}</span>}
      </span>
    </td>
  )
}
