import { kilosBySystem, stagesUpTo } from '@bold-ballast/model'
import { SYSTEM } from '@bold-ballast/contract'
import { carFacts } from '@bold-ballast/model'
import {
  massAboard,
  formatFigure,
  formatNumber,
  formatQuantity,
  fromSi,
  kilosOf,
  swapWorth,
  type KilosOf,
  type Unit,
} from '@bold-ballast/core'
import { csvOf } from '@bold-ballast/words'
import { useMemo } from 'react'
import { useMay } from '../../../store/me'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { TableHead } from '../../../ui/TableHead'
import { Steps } from './Steps'

interface Group {
  readonly id: string
  readonly name: string
  readonly kilos: KilosOf
}

/** Where the kilos went: stage by stage, by system, swap by swap for what they cost, and how high they sat. */
export function KilosView() {
  const { view, stage, ledger, unit } = useBuild()
  const { summary } = useLiveBuild()
  const mass = unit('mass')
  const height = summary.planned.centre.z.value
  const upTo = useMemo(() => stagesUpTo(ledger.stages, stage.id), [ledger.stages, stage.id])
  const swaps = useMemo(() => upTo.flatMap((s) => ledger.swapsOf(s.id)), [upTo, ledger])
  const groups = useMemo(() => {
    const lines = swaps.flatMap((s) => s.counted)
    return kilosBySystem(lines, height).map(({ system, kilos }): Group => ({
      id: system,
      name: SYSTEM[system],
      kilos,
    }))
  }, [swaps, height])
  const stages = useMemo(
    () =>
      upTo.map((s) => ({
        id: s.id,
        name: `${ledger.stages.indexOf(s) + 1} ${s.name}`,
        change: kilosOf(
          ledger.swapsOf(s.id).flatMap((swap) => swap.counted),
          height,
        ).net.value,
      })),
    [upTo, ledger, height],
  )
  const aboardNow = massAboard(view.build.reference, carFacts(view))
  const condition =
    Math.abs(aboardNow) < 0.05 ? [] : [{ id: 'condition', name: 'Reference condition', change: aboardNow }]
  if (swaps.length === 0) {
    return (
      <EmptyRoom title="Nothing has moved yet">
        Once parts are off and on, this shows which systems the kilos came from, stage by stage, how high they
        sat, and what each swap’s kilos cost in hours and money.
      </EmptyRoom>
    )
  }
  const figure = (kg: number) => `${kg > 0 ? '+' : ''}${formatFigure(kg, mass)}`
  const saveCsv = () => {
    const header = ['system', 'off (kg)', 'on (kg)', 'net (kg)', `kg m above ${height.toFixed(3)} m`]
    const rows = groups.map(({ name, kilos: k }) => [name, k.off.value, k.on.value, k.net.value, k.moment])
    download(`${view.build.name} ${stage.name} kilos.csv`, csvOf(header, rows), 'text/csv')
  }
  const widest = Math.max(...groups.map((g) => Math.abs(g.kilos.net.value)), 1e-9)
  return (
    <div className="max-w-[980px]">
      <Steps
        title="From as bought to the end of this stage"
        start={view.build.baseMass}
        steps={[...stages, ...condition]}
        unit={mass}
        filename={`${view.build.name} kilos by stage`}
      />
      <section aria-label="By system" className="mt-6">
        <div className="flex items-baseline justify-between">
          <h2 className="text-[20px]">By system</h2>
          <Button look="quiet" onClick={saveCsv}>
            CSV
          </Button>
        </div>
        <table className="w-full" data-testid="by-system">
          <TableHead
            columns={[
              { says: 'System', className: 'w-[150px]' },
              { says: 'Change', unseen: true },
              { says: `Off (${mass.symbol})`, figures: true, className: 'max-md:hidden' },
              { says: `On (${mass.symbol})`, figures: true, className: 'max-md:hidden' },
              { says: `Net (${mass.symbol})`, figures: true },
              { says: 'Height (kg·m)', figures: true },
            ]}
          />
          <tbody>
            {groups.map(({ id, name, kilos }) => (
              <tr key={id} className="border-b border-line">
                <th scope="row" className="py-1.5 text-left font-medium">
                  {name}
                </th>
                <td>
                  <NetBar net={kilos.net.value} widest={widest} />
                </td>
                <td className="text-right text-muted max-md:hidden">{formatFigure(kilos.off.value, mass)}</td>
                <td className="text-right text-muted max-md:hidden">{formatFigure(kilos.on.value, mass)}</td>
                <td className="figure text-right text-[17px]">{figure(kilos.net.value)}</td>
                <td className="text-right">
                  {kilos.moment > 0 ? '+' : ''}
                  {formatNumber(kilos.moment, 1)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="mt-1 text-[13px] text-muted">
          Height counts each kilogram by how far it sits above the centre of mass (
          {formatQuantity(height, unit('length'))}): below zero lowers the car’s mass, whatever it weighs.
        </p>
      </section>
      <WhatItCost swaps={swaps} height={height} unit={mass} />
    </div>
  )
}

/** A bar from the middle: to the left what was saved, to the right what was added. */
function NetBar({ net, widest }: { net: number; widest: number }) {
  const wide = (Math.abs(net) / widest) * 48
  return (
    <svg aria-hidden className="block h-[18px] w-full min-w-[80px]">
      <line x1="50%" x2="50%" y1="0" y2="18" stroke="var(--edge)" />
      <rect
        x={`${net < 0 ? 50 - wide : 50}%`}
        width={`${wide}%`}
        y="4"
        height="10"
        fill={net < 0 ? 'var(--zinc)' : 'var(--oxide)'}
      />
    </svg>
  )
}

function WhatItCost({
  swaps,
  height,
  unit,
}: {
  swaps: ReturnType<ReturnType<typeof useBuild>['ledger']['swapsOf']>
  height: number
  unit: Unit
}) {
  const { view } = useBuild()
  const seesMoney = useMay('money')
  const currency = view.build.currency || 'money'
  const rows = swaps
    .map(({ swap, counted }) => {
      const kilos = kilosOf(counted, height)
      return { swap, kilos, worth: swapWorth(-kilos.net.value, swap.workTime, swap.cost) }
    })
    .filter(({ swap }) => swap.workTime !== null || swap.cost !== null)
    .sort((a, b) => (b.worth.perHour ?? -1) - (a.worth.perHour ?? -1))
  const inUnit = (kg: number | null) => (kg === null ? '–' : formatNumber(fromSi(kg, unit), 2))
  return (
    <section aria-label="What the kilos cost" className="mt-6">
      <h2 className="text-[20px]">What the kilos cost</h2>
      {rows.length === 0 ? (
        <p className="text-muted">
          No hours or money are noted yet. Open a swap in the ledger (the pencil) and note what it took.
        </p>
      ) : (
        <table className="w-full" data-testid="what-it-cost">
          <TableHead
            columns={[
              { says: 'Swap' },
              { says: `Found (${unit.symbol})`, figures: true },
              { says: 'Hours', figures: true },
              ...(seesMoney ? [{ says: `Cost (${currency})`, figures: true }] : []),
              { says: `${unit.symbol} an hour`, figures: true },
              ...(seesMoney ? [{ says: `${unit.symbol} per 100 ${currency}`, figures: true }] : []),
            ]}
          />
          <tbody>
            {rows.map(({ swap, kilos, worth }) => (
              <tr key={swap.id} className="border-b border-line">
                <th scope="row" className="py-1.5 text-left font-medium">
                  {swap.name}
                </th>
                <td className="figure text-right text-[17px]">{formatFigure(-kilos.net.value, unit)}</td>
                <td className="text-right text-muted">
                  {swap.workTime === null ? '–' : formatNumber(swap.workTime / 3600, 1)}
                </td>
                {seesMoney && (
                  <td className="text-right text-muted">
                    {swap.cost === null ? '–' : formatNumber(swap.cost, 0)}
                  </td>
                )}
                <td className="text-right">{inUnit(worth.perHour)}</td>
                {seesMoney && (
                  <td className="text-right">
                    {worth.perHundred === null && swap.cost !== null && swap.cost <= 0 && -kilos.net.value > 0
                      ? 'free'
                      : inUnit(worth.perHundred)}
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  )
}
