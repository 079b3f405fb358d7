import { itemAt } from '@bold-ballast/core'
import { withoutVersion, type Edit, type Line, type Swap, putEdit } from '@bold-ballast/contract'
import { useVirtualizer } from '@tanstack/react-virtual'
import {
  type KeyboardEvent,
  type Ref,
  useCallback,
  useEffect,
  useImperativeHandle,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from 'react'
import { takesTooMuch } from '../../../store/commit'
import { draft } from '../../../store/draft'
import { useAppDispatch } from '../../../store/store'
import { useBuild } from '../../../store/useBuild'
import { usePrinting } from '../../../ui/usePrinting'
import { COLUMN_TITLES, COLUMNS, GRID, type CellUnits, type Column } from '../cells'
import type { Leave } from './CellEditor'
import { EntryRow } from './EntryRow'
import type { LedgerRow } from './ledgerRows'
import { LineRow } from './LineRow'
import { SwapRow } from './SwapRow'

export interface LedgerGridHandle {
  /** Opens a swap's name for typing. */
  editName: (swapId: string) => void
}
interface At {
  readonly row: string
  readonly column: Column
}
export interface LedgerGridProps {
  readonly ref?: Ref<LedgerGridHandle>
  readonly rows: readonly LedgerRow[]
  /** A swap whose name is open for typing when the grid appears. */
  readonly naming: string | null
  readonly entryAt: string | null
  readonly onEntryAt: (swapId: string | null) => void
  readonly onOpenLine: (lineId: string) => void
  readonly onOpenSwap: (swapId: string) => void
}

/** The same function for the life of the component, calling its newest self: rows needn't be drawn again. */
function useNewest<A extends unknown[], R>(act: (...args: A) => R): (...args: A) => R {
  const newest = useRef(act)
  useEffect(() => {
    newest.current = act
  })
  return useCallback((...args: A) => newest.current(...args), [])
}

/**
 * The ledger as a grid: only the rows in view are drawn, arrows move, Enter edits in place, Tab goes on.
 * One row changes while somebody types; the totals listen to the draft.
 */
export function LedgerGrid({
  ref,
  rows,
  naming,
  entryAt,
  onEntryAt,
  onOpenLine,
  onOpenSwap,
}: LedgerGridProps) {
  const { view, buildId, unit, save, removeSaying } = useBuild()
  const dispatch = useAppDispatch()
  const holder = useRef<HTMLDivElement>(null)
  const [at, setAt] = useState<At>({ row: naming ?? rows[0]?.id ?? '', column: 'name' })
  const [editing, setEditing] = useState<{ startWith: string | null } | null>(
    naming ? { startWith: null } : null,
  )
  const wantsFocus = useRef(false)
  const units = useMemo<CellUnits>(() => ({ mass: unit('mass'), length: unit('length') }), [unit])
  const isPrinting = usePrinting()
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => holder.current,
    estimateSize: (i) => (rows[i]?.type === 'swap' ? 40 : 34),
    getItemKey: (i) => itemAt(rows, i).id,
    // Paper doesn't scroll: all rows are drawn for it.
    overscan: isPrinting ? rows.length : 12,
  })

  const scrollTo = useCallback(
    (row: string) => {
      const index = rows.findIndex((r) => r.id === row)
      if (index >= 0) virtual.scrollToIndex(index, { align: 'auto' })
    },
    [rows, virtual],
  )
  const goTo = useCallback(
    (next: At) => {
      setAt(next)
      wantsFocus.current = true
      scrollTo(next.row)
    },
    [scrollTo],
  )
  // Below many lines of its swap the row to type in would open out of sight.
  const shownEntry = useRef<string | null>(null)
  useLayoutEffect(() => {
    if (entryAt === shownEntry.current) return
    shownEntry.current = entryAt
    if (entryAt) scrollTo(`entry-${entryAt}`)
  }, [entryAt, scrollTo])
  useEffect(() => {
    if (!wantsFocus.current || editing) return
    const cell = holder.current?.querySelector<HTMLElement>(
      `[data-cell="${at.row}:${at.column}"], [data-cell="${at.row}:swap"]`,
    )
    if (cell) {
      cell.focus({ preventScroll: true })
      wantsFocus.current = false
    }
  })
  useImperativeHandle(
    ref,
    () => ({
      editName: (row) => {
        setAt({ row, column: 'name' })
        scrollTo(row)
        setEditing({ startWith: null })
      },
    }),
    [scrollTo],
  )

  const type = (line: Line | null) =>
    void dispatch(
      line
        ? draft.actions.typing({ buildId, edits: [putEdit(view, 'line', withoutVersion(line))] })
        : draft.actions.cleared(),
    )
  const stop = useCallback(() => {
    dispatch(draft.actions.cleared())
    setEditing(null)
    wantsFocus.current = true
  }, [dispatch])
  const step = (from: At, rowBy: number, columnBy: number): At => {
    const index = rows.findIndex((r) => r.id === from.row)
    let next = index + rowBy
    while (rows[next]?.type === 'entry') next += Math.sign(rowBy) || 1
    const row = rows[Math.min(rows.length - 1, Math.max(0, next))] ?? rows[index]
    const column = itemAt(
      COLUMNS,
      Math.min(COLUMNS.length - 1, Math.max(0, COLUMNS.indexOf(from.column) + columnBy)),
    )
    return { row: !row || row.type === 'entry' ? from.row : row.id, column }
  }
  const leaveBy = (leave: Leave) => {
    setEditing(null)
    if (leave === 'stay') return
    const next = leave === 'down' ? step(at, 1, 0) : step(at, 0, leave === 'right' ? 1 : -1)
    goTo(next)
    if (leave !== 'down' && next.column !== at.column && next.column !== 'fitted')
      setEditing({ startWith: null })
  }
  const keep = (line: Line, leave: Leave): string | null => {
    const before = view.lines.find((l) => l.id === line.id)
    const changed = before && COLUMNS.find((c) => JSON.stringify(before[c]) !== JSON.stringify(line[c]))
    if (dispatch(takesTooMuch(buildId)) && changed)
      return 'That takes more off than the car weighs. Check the mass and the unit.'
    if (changed) {
      const faults = save(`Change ${COLUMN_TITLES[changed].toLowerCase()} of ${line.name}`, [
        { op: 'put', kind: 'line', record: line },
      ])
      if (faults) return faults[0].problem
    } else dispatch(draft.actions.cleared())
    leaveBy(leave)
    return null
  }
  const rename = (swap: Swap, name: string): string | null => {
    if (name !== swap.name) {
      const faults = save(`Rename swap ${swap.name}`, [
        putEdit(view, 'swap', { ...withoutVersion(swap), name }),
      ])
      if (faults) return faults[0].problem
    }
    setEditing(null)
    if (entryAt !== swap.id) wantsFocus.current = true
    return null
  }
  const remove = (row: LedgerRow) => {
    if (row.type === 'entry') return
    removeSaying(row.type, row.id, row.type === 'swap' ? row.swap.name : row.line.name)
    goTo(step(at, 1, 0).row === at.row ? step(at, -1, 0) : step(at, 1, 0))
  }
  const move = (row: LedgerRow, by: 1 | -1) => {
    if (row.type === 'entry') return
    const siblings = rows.filter(
      (r) =>
        r.type === row.type &&
        (r.type !== 'line' || (row.type === 'line' && r.line.swapId === row.line.swapId)),
    )
    const from = siblings.findIndex((r) => r.id === row.id)
    if (!siblings[from + by]) return
    siblings.splice(from + by, 0, ...siblings.splice(from, 1))
    const edits = siblings.flatMap((r, order): Edit[] =>
      r.type === 'swap' && r.swap.order !== order
        ? [putEdit(view, 'swap', { ...withoutVersion(r.swap), order })]
        : r.type === 'line' && r.line.order !== order
          ? [putEdit(view, 'line', { ...withoutVersion(r.line), order })]
          : [],
    )
    save(`Move ${row.type === 'swap' ? row.swap.name : row.line.name}`, edits)
    wantsFocus.current = true
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const row = rows.find((r) => r.id === at.row)
    if (editing || !row || row.type === 'entry' || event.ctrlKey || event.metaKey) return
    if (!(event.target as HTMLElement).dataset['cell']) return
    const arrows: Record<string, [number, number]> = {
      ArrowUp: [-1, 0],
      ArrowDown: [1, 0],
      ArrowLeft: [0, -1],
      ArrowRight: [0, 1],
      PageDown: [15, 0],
      PageUp: [-15, 0],
    }
    const arrow = arrows[event.key]
    const handled = () => (event.preventDefault(), event.stopPropagation())
    if (arrow && event.altKey && arrow[0] !== 0) return (handled(), move(row, arrow[0] > 0 ? 1 : -1))
    if (arrow) return (handled(), goTo(step(at, arrow[0], arrow[1])))
    if (event.key === 'Home' || event.key === 'End')
      return (handled(), goTo({ row: at.row, column: event.key === 'Home' ? 'kind' : 'position' }))
    if (event.key === 'Delete') return (handled(), remove(row))
    if (event.key === 'i') return (handled(), onEntryAt(row.type === 'swap' ? row.id : row.line.swapId))
    if (row.type === 'line' && at.column === 'fitted' && (event.key === 'Enter' || event.key === ' ')) {
      handled()
      return void keep({ ...row.line, fitted: !row.line.fitted }, 'stay')
    }
    if (event.key === 'Enter' || event.key === 'F2') return (handled(), setEditing({ startWith: null }))
    // A digit starts typing over a number, as in any ledger; letters stay commands.
    if (
      row.type === 'line' &&
      /^[\d.,]$/.test(event.key) &&
      (at.column === 'mass' || at.column === 'quantity')
    )
      return (handled(), setEditing({ startWith: event.key }))
  }

  const onLineAt = useCallback((row: string, column: Column, edit: boolean) => {
    setAt({ row, column })
    if (edit) setEditing({ startWith: null })
  }, [])
  const onDraft = useNewest(type)
  const onKeep = useNewest(keep)

  return (
    <div
      role="grid"
      aria-label="Swaps of this stage"
      aria-rowcount={rows.length}
      tabIndex={-1}
      onKeyDown={onKeyDown}
      ref={holder}
      className="h-[max(360px,calc(100vh-410px))] overflow-auto rounded-[4px] border border-edge bg-panel print:h-auto print:overflow-visible"
    >
      <div
        role="row"
        className={`${GRID} sticky top-0 z-10 border-b border-edge bg-bench text-[12.5px] text-muted max-md:hidden`}
      >
        {COLUMNS.map((column) => (
          <span key={column} role="columnheader" className="truncate px-2 py-1.5 max-xl:px-1">
            {COLUMN_TITLES[column]}
            {column === 'mass' && ` (${units.mass.symbol})`}
            {column === 'position' && ` (${units.length.symbol})`}
          </span>
        ))}
        <span role="columnheader" className="px-2 py-1.5 text-right">
          Counts
        </span>
        <span role="columnheader">
          <span className="sr-only">More</span>
        </span>
      </div>
      <div role="presentation" style={{ height: virtual.getTotalSize(), position: 'relative' }}>
        {virtual.getVirtualItems().map((item) => {
          const row = itemAt(rows, item.index)
          const isAt = row.id === at.row
          const place = { ref: virtual.measureElement, index: item.index, start: item.start }
          if (row.type === 'entry')
            return (
              <EntryRow
                key={row.id}
                {...place}
                swapId={row.swapId}
                units={units}
                onClose={() => onEntryAt(null)}
              />
            )
          if (row.type === 'swap') {
            return (
              <SwapRow
                key={row.id}
                {...place}
                swap={row.swap}
                isAt={isAt}
                isEditing={isAt && editing !== null}
                onAt={() => setAt({ row: row.id, column: at.column })}
                onEdit={() => (setAt({ row: row.id, column: 'name' }), setEditing({ startWith: null }))}
                onRename={rename}
                onOpen={() => onOpenSwap(row.id)}
                onLeave={stop}
                onAdd={() => onEntryAt(row.id)}
                onRemove={() => remove(row)}
              />
            )
          }
          return (
            <LineRow
              key={row.id}
              {...place}
              line={row.line}
              counts={row.counts}
              units={units}
              at={isAt ? at.column : null}
              editing={isAt ? editing : null}
              onAt={onLineAt}
              onDraft={onDraft}
              onKeep={onKeep}
              onLeave={stop}
              onOpen={onOpenLine}
            />
          )
        })}
      </div>
    </div>
  )
}
