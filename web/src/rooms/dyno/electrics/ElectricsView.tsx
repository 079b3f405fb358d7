import {
  checkCircuit,
  electricsTotals,
  formatNumber,
  formatQuantity,
  type Circuit,
  valueAt,
} from '@bold-ballast/core'
import { Suspense, useMemo, useState } from 'react'
import { toast } from '../../../ui/toast'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { later } from '../../../ui/later'
import { FOLDED, TableHead } from '../../../ui/TableHead'
import { USE } from '@bold-ballast/contract'
import { loomCsv } from './loomRows'
import { useSizing } from '../useSizing'
import { RowButtons } from '../../../ui/RowButtons'

const LoomImport = later(() => import('./LoomImport'), 'LoomImport')
const SupplySheet = later(() => import('./SupplySheet'), 'SupplySheet')
const amps = (a: number) => formatNumber(a, Math.abs(a) < 100 ? 1 : 0)
const square = (area: number | null) => (area === null ? '–' : `${Number((area * 1e6).toFixed(2))}`)
const hours = (seconds: number) =>
  seconds < 5400 ? `${formatNumber(seconds / 60, 0)} min` : `${formatNumber(seconds / 3600, 1)} h`

/** The loom: what every circuit draws, its wire and fuse, the power module's outputs, alternator and battery. */
export function ElectricsView({ onOpen }: { onOpen: (circuitId: string | null) => void }) {
  const { view, stage, unit } = useBuild()
  const { sizing, carriedFrom, saveSizing } = useSizing()
  const [supplyOpen, setSupplyOpen] = useState(false)
  const [importOpen, setImportOpen] = useState(false)
  const [filter, setFilter] = useState<'all' | 'wrong'>('all')
  const [sort, setSort] = useState<'asTyped' | 'current' | 'name'>('asTyped')
  const { electrics } = sizing
  const checks = useMemo(
    () => (electrics ? electrics.circuits.map((c) => checkCircuit(c, electrics)) : []),
    [electrics],
  )
  const sheet = (
    <Suspense>
      {supplyOpen && <SupplySheet onClose={() => setSupplyOpen(false)} />}
      {importOpen && <LoomImport onClose={() => setImportOpen(false)} />}
    </Suspense>
  )
  if (!electrics)
    return (
      <>
        <EmptyRoom
          title="No loom yet"
          action={
            <Button look="main" onClick={() => setSupplyOpen(true)}>
              Type battery, alternator and module
            </Button>
          }
        >
          Then add circuit by circuit. You get wire and fuse for each, which outputs of the power module are
          used, whether the alternator keeps up at idle, how long the battery lasts, and the loom as a CSV.
        </EmptyRoom>
        {sheet}
      </>
    )
  const totals = electricsTotals(electrics.circuits, electrics)
  const wrong = checks.filter((c) => c.faults.length > 0).length
  const listed = checks
    .filter((c) => filter === 'all' || c.faults.length > 0)
    .sort((a, b) =>
      sort === 'current'
        ? b.circuit.current - a.circuit.current
        : sort === 'name'
          ? a.circuit.name.localeCompare(b.circuit.name)
          : 0,
    )
  const remove = (gone: Circuit) => {
    const fault = saveSizing(`Remove ${gone.name}`, {
      electrics: { ...electrics, circuits: electrics.circuits.filter((c) => c.id !== gone.id) },
    })
    if (fault) toast.error(fault)
    else toast(`${gone.name} removed. Ctrl+Z brings it back.`)
  }
  const saveCsv = () => {
    const checkOf = new Map(checks.map((check) => [check.circuit.id, check]))
    const text = loomCsv(
      checks.map(({ circuit }) => circuit),
      {
        titles: ['wire advised (mm²)', 'drop (V)', 'fuse advised (A)', 'what is wrong'],
        cells: ({ id }) => {
          const { areaAdvised, drop, fuseAdvised, faults } = valueAt(checkOf, id)
          return [square(areaAdvised), drop.toFixed(3), fuseAdvised, faults.join(' ')]
        },
      },
    )
    download(`${view.build.name} loom.csv`, text, 'text/csv')
  }
  const figures: [string, string, string][] = [
    ['Engine running, mean', `${amps(totals.running)} A`, ''],
    [
      'Alternator at idle',
      `${totals.leftAtIdle >= 0 ? '+' : ''}${amps(totals.leftAtIdle)} A`,
      totals.idling === null ? 'keeps up' : `half the battery is gone in ${hours(totals.idling)}`,
    ],
    [
      'Alternator at speed',
      `${totals.leftAtSpeed >= 0 ? '+' : ''}${amps(totals.leftAtSpeed)} A`,
      totals.leftAtSpeed >= 0 ? 'keeps up' : 'short',
    ],
    [
      'Key on, engine off',
      `${amps(totals.keyOn)} A`,
      totals.engineOff === null ? 'nothing draws' : `half the battery is gone in ${hours(totals.engineOff)}`,
    ],
    ['Everything at once', `${amps(totals.peak)} A`, ''],
    [
      'Copper of the loom',
      formatQuantity(totals.loomMass, unit('mass')),
      `battery ${formatQuantity(electrics.batteryMass, unit('mass'))}`,
    ],
  ]
  const BOX = 'rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink'
  return (
    <>
      {carriedFrom && <p className="mb-2 text-[13px] text-muted">Carried on from {carriedFrom.name}.</p>}
      <section aria-label="What it draws">
        <dl
          className="grid grid-cols-2 gap-x-6 gap-y-1 @2xl:grid-cols-3 @5xl:grid-cols-6"
          data-testid="electrics"
        >
          {figures.map(([name, figure, note]) => (
            <div key={name} className="border-b border-line py-1">
              <dt className="text-[13px] text-muted">{name}</dt>
              <dd>
                <span className={`figure text-[22px] ${figure.startsWith('−') ? 'text-oxide' : ''}`}>
                  {figure}
                </span>
                {note && <span className="block text-[12.5px] text-muted">{note}</span>}
              </dd>
            </div>
          ))}
        </dl>
      </section>
      <div className="mt-3 flex flex-wrap items-center gap-x-5 gap-y-2">
        {totals.channels.length > 0 && (
          <p className="text-[13.5px]" data-testid="channels">
            Outputs:{' '}
            {totals.channels.map(({ class: c, used, isShort }, i) => (
              <span key={c.name} className={isShort ? 'text-oxide' : ''}>
                {i > 0 && ', '}
                {c.name} {used} of {c.count}
                {isShort && ' (too few)'}
              </span>
            ))}
          </p>
        )}
        <span className="ml-auto flex flex-wrap items-center gap-2">
          <label className="flex items-center gap-2 text-[13px] text-muted">
            Show
            <select
              className={BOX}
              value={filter}
              onChange={(e) => setFilter(e.target.value as 'all' | 'wrong')}
            >
              <option value="all">all {checks.length}</option>
              <option value="wrong">what is wrong ({wrong})</option>
            </select>
          </label>
          <label className="flex items-center gap-2 text-[13px] text-muted">
            by
            <select className={BOX} value={sort} onChange={(e) => setSort(e.target.value as typeof sort)}>
              <option value="asTyped">order typed</option>
              <option value="current">current</option>
              <option value="name">name</option>
            </select>
          </label>
          <Button look="quiet" onClick={() => setSupplyOpen(true)}>
            Battery, alternator, module
          </Button>
          <Button look="quiet" onClick={() => setImportOpen(true)}>
            From a CSV
          </Button>
          <Button look="quiet" onClick={saveCsv}>
            CSV
          </Button>
        </span>
      </div>
      <div className="mt-2 overflow-x-auto" role="region" aria-label="Circuits">
        <table className="w-full" data-testid="circuits">
          <TableHead
            folds
            columns={[
              { says: 'Circuit' },
              { says: 'Draws (A)', figures: true },
              { says: 'At the start (A)', figures: true },
              { says: 'Output', className: 'pl-4' },
              { says: 'Wire (mm²)', figures: true },
              { says: 'Drop (V)', figures: true },
              { says: 'Fuse (A)', figures: true },
              { says: 'Change', unseen: true, figures: true },
            ]}
          />
          <tbody>
            {listed.map(({ circuit: c, areaAdvised, drop, fuseAdvised, faults }) => (
              <tr
                key={c.id}
                className="border-b border-line align-top @max-2xl:grid @max-2xl:grid-cols-3 @max-2xl:gap-x-3 @max-2xl:py-2"
              >
                <th scope="row" className="py-1.5 text-left font-medium @max-2xl:col-span-3 @max-2xl:py-0">
                  {c.name}
                  <span className="block text-[12.5px] font-normal text-muted">
                    {USE[c.use]}, {formatNumber(c.duty * 100, 0)} % of the time, {formatNumber(c.length, 1)} m
                  </span>
                  {faults.map((fault) => (
                    <span key={fault} className="block text-[12.5px] font-normal text-oxide">
                      {fault}
                    </span>
                  ))}
                </th>
                <Cell label="Draws (A)">{amps(c.current)}</Cell>
                <Cell label="Start (A)">{amps(c.inrush)}</Cell>
                <td className="py-1.5 pl-4 @max-2xl:p-0">
                  <span className={FOLDED}>Output</span>
                  {c.channel ?? 'own fuse'}
                </td>
                <Cell label="Wire (mm²)">
                  {square(c.wireArea ?? areaAdvised)}
                  {c.wireArea === null && <span className="unit"> advised</span>}
                </Cell>
                <Cell label="Drop (V)">{formatNumber(drop, 2)}</Cell>
                <Cell label="Fuse (A)">
                  {c.fuse ?? fuseAdvised ?? '–'}
                  {c.fuse === null && fuseAdvised !== null && <span className="unit"> advised</span>}
                </Cell>
                <td className="py-1 text-right whitespace-nowrap @max-2xl:col-span-3">
                  <RowButtons name={c.name} onChange={() => onOpen(c.id)} onRemove={() => remove(c)} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {electrics.circuits.length === 0 && (
        <p className="mt-3 text-muted">
          No circuit yet on {stage.name}. Add the fuel pump first: it is never off.
        </p>
      )}
      <p className="mt-3 text-[13px] text-muted">
        Wire: about 10 A for 1 mm² in a warm bundle, and the drop allowed. Fuses protect the wire. Battery off
        before working on the loom; the cut-off switch where the rules put it.
      </p>
      {sheet}
    </>
  )
}

function Cell({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <td className="figure py-1.5 text-right text-[17px] whitespace-nowrap @max-2xl:p-0 @max-2xl:text-left">
      <span className={FOLDED}>{label}</span>
      {children}
    </td>
  )
}
