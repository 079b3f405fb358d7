import { fileOf, type Swap, putEdit } from '@bold-ballast/contract'
import { ledgerCsv } from './ledger/ledgerCsv'
import { Suspense, useMemo, useRef, useState } from 'react'
import { useSearchParams } from 'react-router'
import { toast } from '../../ui/toast'
import { useBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { download } from '../../ui/download'
import { EmptyRoom } from '../../ui/EmptyRoom'
import { GradeKey } from '../../ui/grades'
import { RoomHead } from '../../ui/RoomHead'
import { RoomViews, useRoomView } from '../../ui/RoomViews'
import { SWAPS_VIEWS } from '../../roomViews'
import { LedgerGrid, type LedgerGridHandle } from './ledger/LedgerGrid'
import { rowsOf, SORTS, type Sort } from './ledger/ledgerRows'
import { ConditionBar } from './ledger/ConditionBar'
import { StageTotals } from './ledger/StageTotals'
import { later } from '../../ui/later'
const LineSheet = later(() => import('./ledger/LineSheet'), 'LineSheet')

const ForecastView = later(() => import('./forecast/ForecastView'), 'ForecastView')
const KilosView = later(() => import('./kilos/KilosView'), 'KilosView')
const PartsView = later(() => import('./parts/PartsView'), 'PartsView')
const BenchView = later(() => import('./bench/BenchView'), 'BenchView')
const PasteSheet = later(() => import('./ledger/PasteSheet'), 'PasteSheet')
const TogetherSheet = later(() => import('./ledger/TogetherSheet'), 'TogetherSheet')
const SwapSheet = later(() => import('./ledger/SwapSheet'), 'SwapSheet')
const GrowthSheet = later(() => import('./forecast/GrowthSheet'), 'GrowthSheet')

/** The mass ledger of a stage: parts off, on, moved and carried over. */
export function SwapsRoom() {
  const { view, stage, ledger, unit, save } = useBuild()
  const [filter, setFilter] = useState('')
  const [sort, setSort] = useState<Sort>('order')
  const [naming, setNaming] = useState<string | null>(null)
  const [entryAt, setEntryAt] = useState<string | null>(null)
  const [lineOpen, setLineOpen] = useState<string | null>(null)
  const [swapOpen, setSwapOpen] = useState<string | null>(null)
  const [together, setTogether] = useState<string | null>(null)
  const [pasting, setPasting] = useState(false)
  const [growthOpen, setGrowthOpen] = useState(false)
  const viewOpen = useRoomView(SWAPS_VIEWS)
  const [, setParams] = useSearchParams()
  const grid = useRef<LedgerGridHandle>(null)
  const swaps = ledger.swapsOf(stage.id)
  const lineCount = swaps.reduce((n, s) => n + s.lines.length, 0)
  const rows = useMemo(() => rowsOf(swaps, filter, sort, entryAt), [swaps, filter, sort, entryAt])

  const addSwap = () => {
    const swap: Omit<Swap, 'version'> = {
      id: crypto.randomUUID(),
      stageId: stage.id,
      name: `Swap ${swaps.length + 1}`,
      order: (swaps.at(-1)?.swap.order ?? -1) + 1,
      workTime: null,
      cost: null,
      note: '',
    }
    save('Add a swap', [putEdit(view, 'swap', swap)])
    setParams({})
    setFilter('')
    setEntryAt(swap.id)
    setNaming(swap.id)
    grid.current?.editName(swap.id)
  }
  const saveCsv = () => {
    const mass = unit('mass').symbol
    const { lines } = fileOf({ ...view, lines: swaps.flatMap((s) => [...s.lines]) })
    const nameOf = new Map(swaps.map((s) => [s.swap.id, s.swap.name]))
    const text = ledgerCsv(lines, (id) => nameOf.get(id) ?? '')
    download(`${view.build.name} ${stage.name} swaps.csv`, text, 'text/csv')
    toast(
      `${lines.length} lines saved as CSV, in kg and mm${mass === 'kg' ? '' : ' whatever is shown here'}.`,
    )
  }

  return (
    <>
      <RoomHead title="Swaps" action={{ label: 'New swap', kind: 'swap', act: addSwap }}>
        Stage {ledger.stages.indexOf(stage) + 1}, {stage.name}: {swaps.length}{' '}
        {swaps.length === 1 ? 'swap' : 'swaps'}, {lineCount} {lineCount === 1 ? 'line' : 'lines'}
      </RoomHead>
      {viewOpen !== 'bench' && (
        <>
          <ConditionBar />
          <StageTotals />
        </>
      )}
      <RoomViews label="Views of the swaps" views={SWAPS_VIEWS} open={viewOpen} />
      <Suspense>
        {viewOpen === 'forecast' && (
          <ForecastView onOpenLine={setLineOpen} onGrowth={() => setGrowthOpen(true)} />
        )}
        {viewOpen === 'kilos' && <KilosView />}
        {viewOpen === 'parts' && <PartsView />}
        {viewOpen === 'bench' && <BenchView key={stage.id} />}
      </Suspense>
      {viewOpen !== 'ledger' ? null : swaps.length === 0 ? (
        <EmptyRoom
          title="Nothing swapped in this stage yet"
          action={
            <span className="flex flex-wrap gap-2">
              <Button look="main" onClick={addSwap}>
                New swap
              </Button>
              <Button onClick={() => setPasting(true)}>Paste or import a list</Button>
            </span>
          }
        >
          A swap is one change: what comes off, what goes on, what only moves, and what is carried over to the
          new part. Weigh both sides and the credit is banked; until then it is pending.
        </EmptyRoom>
      ) : (
        <>
          <div className="my-2 flex flex-wrap items-center gap-2">
            <input
              type="search"
              aria-label="Filter lines"
              placeholder="Filter: part, system, grade"
              value={filter}
              onChange={(e) => setFilter(e.target.value)}
              className="w-[230px] rounded-[3px] border border-edge bg-panel px-2 py-1"
            />
            <select
              aria-label="Sort lines"
              value={sort}
              onChange={(e) => setSort(e.target.value as Sort)}
              className="rounded-[3px] border border-edge bg-panel px-2 py-1"
            >
              {Object.entries(SORTS).map(([value, words]) => (
                <option key={value} value={value}>
                  {words}
                </option>
              ))}
            </select>
            <Button look="quiet" onClick={() => setPasting(true)}>
              Paste or import
            </Button>
            <Button look="quiet" onClick={saveCsv}>
              CSV
            </Button>
            <span className="ml-auto max-lg:hidden">
              <GradeKey />
            </span>
          </div>
          <LedgerGrid
            naming={naming}
            ref={grid}
            rows={rows}
            entryAt={entryAt}
            onEntryAt={setEntryAt}
            onOpenLine={setLineOpen}
            onOpenSwap={setSwapOpen}
          />
        </>
      )}
      <Suspense>
        {swapOpen && (
          <SwapSheet
            key={swapOpen}
            swapId={swapOpen}
            onClose={() => setSwapOpen(null)}
            onTogether={() => (setTogether(swapOpen), setSwapOpen(null))}
          />
        )}
        {pasting && <PasteSheet onClose={() => setPasting(false)} />}
        {together && <TogetherSheet swapId={together} onClose={() => setTogether(null)} />}
        {growthOpen && <GrowthSheet onClose={() => setGrowthOpen(false)} />}
        {lineOpen && <LineSheet key={lineOpen} lineId={lineOpen} onClose={() => setLineOpen(null)} />}
      </Suspense>
    </>
  )
}
