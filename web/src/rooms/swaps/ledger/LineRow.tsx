import { LINE_KIND, SYSTEM, type Line } from '@bold-ballast/contract'
import { formatFigure, piecesOf } from '@bold-ballast/core'
import { Check, Ellipsis } from 'lucide-react'
import { memo } from 'react'
import { ElsewhereDot } from '../../../ui/ElsewhereDot'
import { GradeMark } from '../../../ui/grades'
import { LINE_KIND_HINT } from '@bold-ballast/words'
import { CellEditor, type CellEditorProps } from './CellEditor'
import { COLUMN_TITLES, COLUMNS, GRID, placeText, type CellUnits, type Column } from '../cells'

export interface RowPlace {
  readonly ref: (node: Element | null) => void
  readonly index: number
  readonly start: number
}

export interface LineRowProps extends RowPlace, Pick<CellEditorProps, 'onDraft' | 'onKeep' | 'onLeave'> {
  readonly line: Line
  /** What it does to the car, signed, kg: all its pieces, and of an allowance what is left. */
  readonly counts: number
  readonly units: CellUnits
  /** The column the cursor is in, if it is in this row. */
  readonly at: Column | null
  readonly editing: { startWith: string | null } | null
  readonly onAt: (rowId: string, column: Column, edit: boolean) => void
  readonly onOpen: (lineId: string) => void
}

const WAY: Record<Line['kind'], string> = { off: '−', on: '+', moved: '→', carried: '↷' }

function Shown({ line, column, units }: { line: Line; column: Column; units: CellUnits }) {
  switch (column) {
    case 'kind':
      return (
        <span title={LINE_KIND_HINT[line.kind]}>
          <span className="figure mr-1.5 inline-block w-3 text-center">{WAY[line.kind]}</span>
          {LINE_KIND[line.kind]}
        </span>
      )
    case 'name':
      return (
        <>
          <ElsewhereDot recordId={line.id} />
          {line.name}
          {line.role === 'allowance' && <span className="text-[12.5px] text-muted"> (allowance)</span>}
        </>
      )
    case 'system':
      return <span className="text-muted">{SYSTEM[line.system]}</span>
    case 'quantity':
      return <>{piecesOf(line)}</>
    case 'mass':
      return (
        <span className="figure text-[16px]">
          {formatFigure(line.mass, units.mass, line.mass < 1 ? 3 : 2)}
        </span>
      )
    case 'grade':
      return <GradeMark grade={line.grade} word />
    case 'fitted':
      return line.fitted ? (
        <Check size={16} aria-label="done" className="inline-block align-[-3px] text-zinc" />
      ) : (
        <span className="text-ochre">open</span>
      )
    case 'position':
      return <span className="text-[12.5px] text-muted">{placeText(line, units.length) || '–'}</span>
  }
}

const RIGHT = new Set<Column>(['quantity', 'mass'])

/** One part: a row of cells at a bench, a card on a phone. Drawn again only when it changes itself. */
export const LineRow = memo(function LineRow({
  ref,
  index,
  start,
  line,
  counts,
  units,
  at,
  editing,
  onAt,
  onOpen,
  ...edit
}: LineRowProps) {
  return (
    <div
      ref={ref}
      data-index={index}
      role="row"
      aria-rowindex={index + 1}
      style={{ transform: `translateY(${start}px)` }}
      className={`absolute top-0 left-0 w-full border-b border-line ${editing ? 'z-10' : ''}`}
    >
      <div className={`${GRID} max-md:hidden`} role="presentation">
        {COLUMNS.map((column) => {
          const isAt = at === column
          return (
            <div
              key={column}
              role="gridcell"
              data-cell={`${line.id}:${column}`}
              aria-label={`${COLUMN_TITLES[column]} of ${line.name}`}
              tabIndex={isAt && !editing ? 0 : -1}
              onFocus={(event) =>
                event.target === event.currentTarget && !isAt && onAt(line.id, column, false)
              }
              onDoubleClick={() => onAt(line.id, column, column !== 'fitted')}
              className={`h-[33px] min-w-0 ${isAt && editing ? '' : 'truncate px-2 leading-[33px] max-xl:px-1'} ${RIGHT.has(column) ? 'text-right' : ''} ${isAt && !editing ? 'bg-bench focus:outline-2 focus:-outline-offset-2 focus:outline-blued' : ''}`}
            >
              {isAt && editing && column !== 'fitted' ? (
                <CellEditor
                  line={line}
                  column={column}
                  units={units}
                  startWith={editing.startWith}
                  {...edit}
                />
              ) : (
                <Shown line={line} column={column} units={units} />
              )}
            </div>
          )
        })}
        <div role="gridcell" className="truncate px-2 text-right leading-[33px]">
          {line.kind === 'moved' ? (
            <span className="text-muted">moves</span>
          ) : (
            <span className="figure text-[16px]">{`${counts > 0 ? '+' : ''}${formatFigure(counts, units.mass, Math.abs(counts) < 1 ? 3 : 2)}`}</span>
          )}
        </div>
        <div role="gridcell">
          <button
            tabIndex={-1}
            className="flex h-[33px] w-full items-center justify-center text-muted hover:text-blued"
            aria-label={`All about ${line.name}`}
            onClick={() => onOpen(line.id)}
          >
            <Ellipsis size={15} aria-hidden />
          </button>
        </div>
      </div>
      <div role="gridcell" className="md:hidden">
        <button
          className="prints grid w-full grid-cols-[1fr_auto] gap-x-3 px-3 py-2 text-left"
          onClick={() => onOpen(line.id)}
        >
          <span className="truncate font-medium">
            {WAY[line.kind]} {line.name}
            {piecesOf(line) > 1 && ` × ${piecesOf(line)}`}
          </span>
          <span className="figure justify-self-end text-[18px]">
            {formatFigure(line.mass, units.mass, 2)} <span className="unit">{units.mass.symbol}</span>
          </span>
          <span className="text-[12.5px] text-muted">
            {LINE_KIND[line.kind]}, {SYSTEM[line.system].toLowerCase()}
            {!line.fitted && ', open'}
          </span>
          <span className="justify-self-end text-[12.5px] text-muted">
            <GradeMark grade={line.grade} word />
          </span>
        </button>
      </div>
    </div>
  )
})
