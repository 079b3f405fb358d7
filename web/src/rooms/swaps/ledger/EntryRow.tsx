import { type Line, newLine, nextOrder, putEdit } from '@bold-ballast/contract'
import { formatQuantity } from '@bold-ballast/core'
import { Check, X } from 'lucide-react'
import { useEffect, useId, useRef, useState, type KeyboardEvent } from 'react'
import { takesTooMuch } from '../../../store/commit'
import { draft } from '../../../store/draft'
import { useAppDispatch } from '../../../store/store'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { forgetText, keepText, keptText } from '../../../ui/keptText'
import { CHOICES, COLUMN_TITLES, GRID, readCell, type CellUnits, type Column } from '../cells'
import { useWeighedParts } from '../parts/useWeighedParts'
import type { RowPlace } from './LineRow'
import { massDoubt } from '@bold-ballast/model'

const FIELDS = [
  'kind',
  'name',
  'system',
  'quantity',
  'mass',
  'grade',
  'fitted',
  'position',
] as const satisfies readonly Column[]
const START: Record<Column, string> = {
  kind: 'off',
  name: '',
  system: 'body',
  quantity: '1',
  mass: '',
  grade: 'measured',
  fitted: 'yes',
  position: '',
}
const BOX = 'h-[33px] w-full min-w-0 border border-edge bg-panel px-1.5 max-md:h-11'

/** A line being written: type, Enter, and the next one is ready. The totals move while it is typed. */
export function EntryRow({
  ref,
  index,
  start,
  swapId,
  units,
  onClose,
}: RowPlace & { swapId: string; units: CellUnits; onClose: () => void }) {
  const { view, buildId, save } = useBuild()
  const dispatch = useAppDispatch()
  const key = `line.new.${swapId}`
  const listId = useId()
  const [values, setValues] = useState(() => keptText<typeof START>(key) ?? START)
  const [problem, setProblem] = useState<{ field: Column | null; words: string } | null>(null)
  const [doubt, setDoubt] = useState<ReturnType<typeof massDoubt>>(null)
  const lineId = useRef(crypto.randomUUID())
  const name = useRef<HTMLInputElement>(null)

  useEffect(() => {
    // The swap's own name may be open for typing; then the focus belongs there first.
    if (!document.activeElement?.matches('input')) name.current?.focus()
    return () => void dispatch(draft.actions.cleared())
  }, [dispatch])

  const known = useWeighedParts(values.name)
  const past = known.get(values.name.trim().toLowerCase())

  const lineFrom = (
    from: Record<Column, string>,
  ): { line: Omit<Line, 'version'> } | { field: Column; words: string } => {
    const siblings = view.lines.filter((l) => l.swapId === swapId)
    // Every field of the row is read into it below.
    let line = newLine({
      id: lineId.current,
      swapId,
      kind: 'on',
      name: '',
      system: 'other',
      mass: 0,
      grade: 'guess',
      order: nextOrder(siblings),
    })
    for (const field of FIELDS) {
      const read = readCell(field, from[field], units)
      if ('problem' in read) return { field, words: read.problem }
      line = { ...line, ...read.patch }
    }
    return { line }
  }
  const set = (field: Column, value: string) => {
    const next = { ...values, [field]: value }
    setValues(next)
    keepText(key, next)
    setProblem(null)
    setDoubt(null)
    const read = lineFrom({ ...next, name: next.name || '…' })
    dispatch(
      'line' in read
        ? draft.actions.typing({ buildId, edits: [putEdit(view, 'line', read.line)] })
        : draft.actions.cleared(),
    )
  }
  const add = (mass?: number, confirmed = false) => {
    const read = lineFrom(values)
    if (!('line' in read)) return setProblem(read)
    const line = mass === undefined ? read.line : { ...read.line, mass }
    const question = confirmed || doubt ? null : massDoubt(line, units.mass)
    if (question) return setDoubt(question)
    if (dispatch(takesTooMuch(buildId)) && mass === undefined)
      return setProblem({
        field: 'mass',
        words: 'That takes more off than the car weighs. Check the mass and the unit.',
      })
    const faults = save(`Add ${line.name}`, [putEdit(view, 'line', line)])
    if (faults) return setProblem({ field: null, words: faults[0].problem })
    lineId.current = crypto.randomUUID()
    setValues({ ...values, name: '', mass: '', quantity: '1', position: '' })
    forgetText(key)
    setDoubt(null)
    name.current?.focus()
  }
  const onKeyDown = (event: KeyboardEvent) => {
    // Letters are what is typed; undo is the page's where nothing is.
    if (!event.ctrlKey && !event.metaKey) event.stopPropagation()
    if (event.key === 'Enter' && !(event.target instanceof HTMLButtonElement)) {
      event.preventDefault()
      add()
    } else if (event.key === 'Escape') onClose()
  }
  const shared = (field: Column) => ({
    'aria-label': `${COLUMN_TITLES[field]}, new line`,
    'aria-invalid': problem?.field === field || undefined,
    value: values[field],
    className: `${BOX} ${problem?.field === field ? 'border-oxide' : ''}`,
  })
  const massRead = values.mass ? readCell('mass', values.mass, units) : null
  const says =
    problem?.words ??
    doubt?.question ??
    (past && !values.mass
      ? `Ours weighed ${formatQuantity(past.mass, units.mass, 2)} last time: ${past.build}, ${past.stage}.`
      : null) ??
    (massRead && 'understood' in massRead && massRead.understood?.includes('=') ? massRead.understood : null)
  return (
    <div
      ref={ref}
      data-index={index}
      role="row"
      aria-label="New line"
      style={{ transform: `translateY(${start}px)` }}
      className="absolute top-0 left-0 z-10 w-full border-b border-edge bg-chalk"
      onKeyDown={onKeyDown}
    >
      <div role="gridcell" className={`${GRID} max-md:grid max-md:grid-cols-2 max-md:gap-2 max-md:p-2`}>
        {FIELDS.map((field) => {
          const choices = CHOICES[field]
          if (choices) {
            return (
              <select key={field} {...shared(field)} onChange={(e) => set(field, e.target.value)}>
                {choices.map(([value, words]) => (
                  <option key={value} value={value}>
                    {words}
                  </option>
                ))}
              </select>
            )
          }
          if (field === 'fitted') {
            return (
              <label key={field} className="flex items-center justify-center gap-2">
                <input
                  type="checkbox"
                  aria-label="Done, new line"
                  className="size-4 accent-blued"
                  checked={values.fitted === 'yes'}
                  onChange={(e) => set('fitted', e.target.checked ? 'yes' : 'no')}
                />
                <span className="md:hidden">done</span>
              </label>
            )
          }
          const hints: Partial<Record<Column, string>> = {
            name: 'Part',
            mass: units.mass.symbol,
            position: 'x y z',
            quantity: 'pcs',
          }
          return (
            <input
              key={field}
              {...shared(field)}
              ref={field === 'name' ? name : undefined}
              list={field === 'name' ? listId : undefined}
              placeholder={hints[field]}
              autoComplete="off"
              inputMode={field === 'mass' || field === 'quantity' ? 'decimal' : 'text'}
              onChange={(e) => set(field, e.target.value)}
            />
          )
        })}
        <datalist id={listId}>
          {[...known.values()].map((part) => (
            <option key={part.lineId} value={part.name} />
          ))}
        </datalist>
        <button
          onClick={() => add()}
          className="flex items-center justify-center gap-1 bg-blued text-on-blued"
          title="Enter"
        >
          <Check size={15} aria-hidden /> Add
        </button>
        <button
          onClick={onClose}
          aria-label="Stop adding"
          title="Esc"
          className="flex items-center justify-center text-muted"
        >
          <X size={15} aria-hidden />
        </button>
      </div>
      {says && (
        <div
          role={problem || doubt ? 'alert' : 'status'}
          className={`px-3 py-1.5 text-[12.5px] ${problem ? 'text-oxide' : doubt ? 'text-ochre' : 'text-muted'}`}
        >
          {says}
          {doubt && (
            <span className="ml-2 inline-flex flex-wrap gap-1">
              {doubt.instead.map(({ words, mass }) => (
                <Button key={words} onClick={() => add(mass, true)}>
                  {words}
                </Button>
              ))}
              <Button onClick={() => add(undefined, true)}>It is right</Button>
            </span>
          )}
        </div>
      )}
    </div>
  )
}
