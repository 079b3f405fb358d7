import { sameRecord, type Line } from '@bold-ballast/contract'
import { useEffect, useRef, useState, type KeyboardEvent } from 'react'
import { useChanging } from '../../../store/live'
import { Button } from '../../../ui/Button'
import { CHOICES, COLUMN_TITLES, readCell, textOf, type CellUnits, type Column } from '../cells'
import { massDoubt } from '@bold-ballast/model'

/** Where to go when the cell has been kept. */
export type Leave = 'down' | 'right' | 'left' | 'stay'

export interface CellEditorProps {
  readonly line: Line
  readonly column: Column
  readonly units: CellUnits
  /** A first key that replaces what stood there. */
  readonly startWith: string | null
  readonly onDraft: (line: Line | null) => void
  /** Keeps the change; gives back what is wrong with it, if anything. */
  readonly onKeep: (line: Line, leave: Leave) => string | null
  readonly onLeave: () => void
}

/**
 * The version that a change of some fields is based on. Where somebody else has changed one of them since it was being
 * typed, it is the one that was seen: the server asks which stays.
 */
const versionUnder = (began: Line, now: Line, fields: readonly string[]): number =>
  fields.every((field) => sameRecord(Reflect.get(began, field), Reflect.get(now, field)))
    ? now.version
    : began.version

/** Edits one cell in place. What can't be kept stays, with the reason below it. */
export function CellEditor({ line, column, units, startWith, onDraft, onKeep, onLeave }: CellEditorProps) {
  const [text, setText] = useState(startWith ?? textOf(line, column, units))
  const [problem, setProblem] = useState<string | null>(null)
  const [doubt, setDoubt] = useState<ReturnType<typeof massDoubt>>(null)
  const box = useRef<HTMLInputElement & HTMLSelectElement>(null)
  const isLeaving = useRef(false)
  const [began] = useState(line)
  useChanging(line.id)
  const choices = CHOICES[column]
  const read = readCell(column, text, units)

  useEffect(() => {
    const node = box.current
    node?.focus()
    if (startWith === null && node instanceof HTMLInputElement) node.select()
  }, [startWith])

  const keep = (leave: Leave, confirmed = false, patch = 'patch' in read ? read.patch : null) => {
    if (!patch) return setProblem('problem' in read ? read.problem : null)
    const next = { ...line, ...patch, version: versionUnder(began, line, Object.keys(patch)) }
    const question =
      column === 'mass' && !confirmed && next.mass !== line.mass ? massDoubt(next, units.mass) : null
    if (question && !doubt) return setDoubt(question)
    isLeaving.current = true
    const wrong = onKeep(next, leave)
    if (wrong) {
      isLeaving.current = false
      setProblem(wrong)
    }
  }
  const onKeyDown = (event: KeyboardEvent) => {
    event.stopPropagation()
    if (event.key === 'Escape') {
      event.preventDefault()
      isLeaving.current = true
      onLeave()
    } else if (event.key === 'Enter' || event.key === 'Tab') {
      event.preventDefault()
      keep(event.key === 'Enter' ? 'down' : event.shiftKey ? 'left' : 'right')
    }
  }
  const change = (value: string) => {
    setText(value)
    setProblem(null)
    setDoubt(null)
    const typed = readCell(column, value, units)
    onDraft('patch' in typed ? { ...line, ...typed.patch } : null)
  }
  // Leaving with the mouse keeps what can be kept; what can't be kept keeps the cell open instead.
  const onBlur = (event: React.FocusEvent) => {
    if (isLeaving.current || event.relatedTarget?.closest('[data-cell-says]')) return
    keep('stay')
  }
  const says =
    problem ??
    doubt?.question ??
    ('understood' in read && read.understood?.includes('=') ? read.understood : null)
  const shared = {
    'aria-label': COLUMN_TITLES[column],
    'aria-invalid': problem ? true : undefined,
    onKeyDown,
    onBlur,
    className: 'h-full w-full min-w-0 border-2 border-blued bg-panel px-1.5 text-ink outline-none',
  }
  return (
    <div className="relative h-full">
      {choices ? (
        <select ref={box} value={text} onChange={(e) => change(e.target.value)} {...shared}>
          {choices.map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      ) : (
        <input
          ref={box}
          value={text}
          autoComplete="off"
          inputMode={column === 'mass' || column === 'quantity' ? 'decimal' : 'text'}
          onChange={(e) => change(e.target.value)}
          {...shared}
        />
      )}
      {says && (
        <div
          data-cell-says
          role={problem || doubt ? 'alert' : 'status'}
          className={`absolute top-full left-0 z-10 w-max max-w-[300px] rounded-b-[3px] border bg-panel px-2 py-1 text-[12.5px] shadow ${problem ? 'border-oxide text-oxide' : doubt ? 'border-ochre text-ochre' : 'text-muted'}`}
        >
          {says}
          {doubt && (
            <span className="mt-1 flex flex-wrap gap-1">
              {doubt.instead.map(({ words, mass }) => (
                <Button key={words} onClick={() => keep('stay', true, { mass })}>
                  {words}
                </Button>
              ))}
              <Button onClick={() => keep('stay', true)}>It is right</Button>
              <span className="self-center">Enter keeps it.</span>
            </span>
          )}
        </div>
      )}
    </div>
  )
}
