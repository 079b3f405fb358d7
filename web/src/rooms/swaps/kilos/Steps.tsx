import { formatFigure, formatQuantity, fromSi, type Unit, itemAt } from '@bold-ballast/core'
import { csvOf } from '@bold-ballast/words'
import { useState } from 'react'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'

export interface Step {
  readonly id: string
  readonly name: string
  /** kg, negative for a saving. */
  readonly change: number
}

/** One bar a step, hanging where the last one ended: from what the car weighed to what it weighs. */
export function Steps({
  title,
  start,
  steps,
  unit,
  filename,
}: {
  title: string
  start: number
  steps: readonly Step[]
  unit: Unit
  filename: string
}) {
  const [asTable, setAsTable] = useState(false)
  const levels = steps.reduce<number[]>((all, step) => [...all, itemAt(all, -1) + step.change], [start])
  const end = itemAt(levels, -1)
  const [low, high] = [Math.min(...levels), Math.max(...levels)]
  const floor = low - 0.25 * Math.max(high - low, 0.02 * high)
  const at = (kg: number) => `${(100 * (kg - floor)) / (high - floor) || 0}%`
  const wide = (a: number, b: number) => `${(100 * Math.abs(a - b)) / (high - floor) || 0}%`
  const rows = [
    {
      id: 'start',
      name: 'As bought',
      from: floor,
      to: start,
      says: formatFigure(start, unit, 0),
      tone: '--solid',
    },
    ...steps.map((step, i) => ({
      id: step.id,
      name: step.name,
      from: itemAt(levels, i),
      to: itemAt(levels, i + 1),
      says: `${step.change > 0 ? '+' : ''}${formatFigure(step.change, unit)}`,
      tone: step.change <= 0 ? '--zinc' : '--oxide',
    })),
    {
      id: 'end',
      name: 'End of the stage',
      from: floor,
      to: end,
      says: formatFigure(end, unit, 0),
      tone: '--blued',
    },
  ]
  const header = ['step', `change (${unit.symbol})`, `then (${unit.symbol})`]
  const table = steps.map((s, i) => [
    s.name,
    fromSi(s.change, unit).toFixed(2),
    fromSi(itemAt(levels, i + 1), unit).toFixed(2),
  ])
  return (
    <figure aria-label={title}>
      <figcaption className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-[20px]">{title}</h2>
        <span className="no-print flex gap-1">
          <Button look="quiet" aria-pressed={asTable} onClick={() => setAsTable(!asTable)}>
            {asTable ? 'Chart' : 'Table'}
          </Button>
          <Button look="quiet" onClick={() => download(`${filename}.csv`, csvOf(header, table), 'text/csv')}>
            CSV
          </Button>
        </span>
      </figcaption>
      <p className="sr-only">
        From {formatQuantity(start, unit)} as bought to {formatQuantity(end, unit)}:{' '}
        {steps.map((s) => `${s.name} ${formatQuantity(s.change, unit)}`).join(', ')}.
      </p>
      {asTable ? (
        <table className="w-full">
          <thead>
            <tr>
              {header.map((h) => (
                <th key={h} scope="col" className="border-b border-edge py-1 text-left font-medium">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.map(([name, change, then], i) => (
              <tr key={itemAt(steps, i).id} className="border-b border-line">
                <td className="py-1">{name}</td>
                <td>{change}</td>
                <td>{then}</td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : (
        <ol aria-hidden className="mt-2" data-testid="steps">
          {rows.map((row) => (
            <li
              key={row.id}
              className="grid grid-cols-[150px_1fr_80px] items-center gap-3 py-1 max-md:grid-cols-[96px_1fr_62px]"
            >
              <span className="text-[13.5px] leading-tight">{row.name}</span>
              <svg className="block h-[18px] w-full overflow-visible">
                <line
                  x1={at(row.to)}
                  x2={at(row.to)}
                  y1="9"
                  y2="30"
                  stroke="var(--edge)"
                  strokeDasharray="2 2"
                />
                <rect
                  x={at(Math.min(row.from, row.to))}
                  width={wide(row.from, row.to)}
                  y="2"
                  height="14"
                  fill={`var(${row.tone})`}
                />
              </svg>
              <span className="figure text-right text-[17px]">{row.says}</span>
            </li>
          ))}
        </ol>
      )}
      <p className="text-[13px] text-muted">In {unit.symbol}; the bars start at a cut axis.</p>
    </figure>
  )
}
