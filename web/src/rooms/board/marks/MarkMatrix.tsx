import type { BuildDocument, Mark } from '@bold-ballast/contract'
import { carsOf, chanceOfMark, foldBuild, readMark } from '@bold-ballast/model'
import { nameOfMark, unitOfMeasure, isPointing, describeMark, sayOdds } from '@bold-ballast/words'
import { formatKnown, type MarkReading, itemAt } from '@bold-ballast/core'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { useBuild } from '../../../store/useBuild'
import { useWorkedOut } from '../../../store/useWorkedOut'
import { Choice } from '../../../ui/Choice'
import { domainOf, PlumbBar, VERDICT_TEXT } from '../../../ui/PlumbBar'
import { ROOM_OF_MEASURE } from './roomOf'
import { markRows, targetAt } from '../markRows'

const FILTERS = [
  ['all', 'All marks'],
  ['off', 'What is off or unsettled'],
] as const

interface Cell {
  readonly target: Mark
  readonly reading: MarkReading
  /** That it is met once its stage is finished; null at other stages, and without a figure. */
  readonly chance: number | null
  /** The mark is set for this very stage. */
  readonly isOwn: boolean
}

/** Marks down, stages across: planned beside proven in every cell, the reason and the evidence one click away. */
export function MarkMatrix() {
  // Every mark at every stage takes a while: what it came to before stands until it is worked out anew.
  const document = useWorkedOut()
  return document && <Matrix of={document} />
}

function Matrix({ of: view }: { of: BuildDocument }) {
  const { stage, units, buildId } = useBuild()
  const cars = carsOf(view)
  const { ledger } = foldBuild(view)
  const [filter, setFilter] = useState<'all' | 'off'>('all')
  const [chosen, setChosen] = useState<{ readonly key: string; readonly stageId: string } | null>(null)
  const { currency } = view.build
  const rows = useMemo(
    () =>
      markRows(view.marks, ledger.stages).map((row) => ({
        ...row,
        cells: ledger.stages.map((s, i): Cell => {
          const target = targetAt(row.marks, ledger.stages, i)
          const isOwn = target.stageId === s.id
          const car = itemAt(cars, i)
          const reading = readMark(car, target)
          return { target, reading, chance: isOwn ? chanceOfMark(car, target, reading) : null, isOwn }
        }),
      })),
    [view.marks, ledger.stages, cars],
  )
  const shown = rows.filter(
    (r) => filter === 'all' || r.cells.some((c) => c.isOwn && c.reading.verdict !== 'met'),
  )
  if (rows.length === 0) return null
  const picked = rows.find((r) => r.key === chosen?.key)
  const pickedAt = ledger.stages.findIndex((s) => s.id === chosen?.stageId)
  const cell = picked?.cells[pickedAt]
  const words = { units, currency, conditions: view.conditions }
  return (
    <section aria-label="All stages" className="mt-6">
      <div className="no-print flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-[19px]">All marks, all stages</h2>
        <Choice label="Shown" value={filter} options={FILTERS} onChange={setFilter} />
      </div>
      {shown.length === 0 ? (
        <p className="mt-2 text-zinc">Nothing is off, and nothing is unsettled.</p>
      ) : (
        <div className="relative mt-2 overflow-x-auto" role="region" aria-label="Marks by stage" tabIndex={0}>
          <table className="w-full border-collapse" data-testid="matrix">
            <thead>
              <tr>
                <th className="sticky left-0 z-10 min-w-[150px] bg-chalk pr-3 text-left text-[12.5px] font-normal text-muted">
                  Mark
                </th>
                {ledger.stages.map((s, i) => (
                  <th
                    key={s.id}
                    scope="col"
                    className={`min-w-[132px] px-2 py-1 text-left text-[12.5px] font-medium ${s.id === stage.id ? 'bg-bench' : ''}`}
                  >
                    {i + 1} {s.name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {shown.map((row) => {
                const unit = unitOfMeasure(itemAt(row.marks, 0).measure, units, currency)
                const domain = domainOf(
                  row.cells.flatMap(({ target, reading: { value, planned } }) => [
                    target.value,
                    ...(value ? [value.value - value.sigma, value.value + value.sigma] : []),
                    ...(planned ? [planned.value] : []),
                  ]),
                )
                return (
                  <tr key={row.key} className="border-b border-line">
                    <th scope="row" className="sticky left-0 z-10 bg-chalk py-1.5 pr-3 text-left font-medium">
                      {nameOfMark(itemAt(row.marks, 0), units, view.conditions)}
                    </th>
                    {row.cells.map(({ target, reading, chance, isOwn }, i) => {
                      const s = itemAt(ledger.stages, i)
                      const { value, planned, verdict } = reading
                      const known = value && formatKnown(value.value, value.sigma, unit)
                      const says = known ? `${known.figure} ${unit.symbol}`.trim() : '–'
                      const isOpen = chosen?.key === row.key && chosen.stageId === s.id
                      return (
                        <td key={s.id} className={`px-1 py-1 ${s.id === stage.id ? 'bg-bench' : ''}`}>
                          <button
                            type="button"
                            aria-pressed={isOpen}
                            onClick={() => setChosen(isOpen ? null : { key: row.key, stageId: s.id })}
                            className={`prints block w-full rounded-[3px] px-1 text-left hover:bg-panel ${isOpen ? 'bg-panel outline outline-blued' : ''}`}
                          >
                            <PlumbBar
                              value={value}
                              planned={value === planned ? null : planned}
                              mark={isOwn ? target.value : null}
                              verdict={isOwn ? verdict : null}
                              points={isPointing(reading)}
                              {...{ domain, label: `${s.name}: ${says}` }}
                            />
                            <span
                              className={`figure block text-[15px] ${isOwn ? VERDICT_TEXT[verdict] : 'text-muted'}`}
                            >
                              {says}
                            </span>
                            {chance !== null && (
                              <span className="block text-[12px] text-muted">{sayOdds(chance)}</span>
                            )}
                          </button>
                        </td>
                      )
                    })}
                  </tr>
                )
              })}
            </tbody>
          </table>
        </div>
      )}
      {cell && picked && (
        <p className="mt-2 text-[14px]" data-testid="matrix-says" role="status">
          <b>{itemAt(ledger.stages, pickedAt).name}:</b>{' '}
          {describeMark(cell.target, cell.reading, itemAt(cars, pickedAt).summary, words).reason}{' '}
          {!cell.isOwn &&
            `The mark is set for ${ledger.stages.find((s) => s.id === cell.target.stageId)?.name}. `}
          <Link
            className="text-blued hover:underline"
            to={`/builds/${buildId}/stages/${itemAt(ledger.stages, pickedAt).id}/${ROOM_OF_MEASURE[cell.target.measure]}`}
          >
            See the evidence
          </Link>
        </p>
      )}
    </section>
  )
}
