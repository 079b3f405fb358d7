import { putEdit, withoutVersion, type Outing } from '@bold-ballast/contract'
import { useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'

/** What goes along to most days (common practice). */
const USUAL = [
  'Torque wrench and wheel sockets',
  'Jack and stands',
  'Tyre gauge and pump',
  'Tread thermometer',
  'Brake bleeding kit and fluid',
  'Engine oil and coolant',
  'Fire extinguisher',
  'Gloves, rags, spill kit',
  'Tape, cable ties, wire',
  'Battery charger or jump pack',
  'Helmets and suits',
  'Licences and papers',
] as const

/** Tools and the like that go along, ticked as they are packed. A new day begins with what the last one took. */
export function ToolsToTake({ day }: { day: Outing }) {
  const { view, save } = useBuild()
  const [text, setText] = useState('')
  const put = (label: string, take: Outing['take']) =>
    save(label, [putEdit(view, 'outing', { ...withoutVersion(day), take })])
  const last = view.outings
    .filter((o) => o.id !== day.id && o.take.length > 0)
    .sort((a, b) => b.date.localeCompare(a.date))[0]
  const begin = () =>
    put(
      'What goes along',
      (last?.take.map((one) => one.name) ?? [...USUAL]).map((name) => ({ name, packed: false })),
    )
  const add = () => {
    const name = text.trim()
    if (name === '') return
    put(`${name} goes along`, [...day.take, { name, packed: false }])
    setText('')
  }
  const left = day.take.filter((one) => !one.packed).length
  return (
    <section aria-label="Tools to take" className="mt-3 text-[15px]">
      <h4 className="text-[16px] font-medium">
        Tools{' '}
        {day.take.length > 0 && (
          <span className="text-[13.5px] font-normal text-muted" data-testid="tools-left">
            {left === 0 ? 'all packed' : `${left} of ${day.take.length} not packed yet`}
          </span>
        )}
      </h4>
      {day.take.length === 0 ? (
        <MayOnly right="log">
          <Button className="mt-1" onClick={begin}>
            {last ? `Take what ${last.name} took` : 'Begin with the usual list'}
          </Button>
        </MayOnly>
      ) : (
        <ul className="grid gap-x-6 @2xl:grid-cols-2">
          {day.take.map((one, i) => (
            <li key={i} className="flex items-center justify-between">
              <label className="inline-flex min-h-8 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-4 accent-blued"
                  checked={one.packed}
                  onChange={() =>
                    put(
                      one.packed ? `${one.name} is not packed` : `${one.name} is packed`,
                      day.take.map((t, k) => (k === i ? { ...t, packed: !t.packed } : t)),
                    )
                  }
                />
                <span className={one.packed ? 'text-muted line-through' : ''}>{one.name}</span>
              </label>
              <Button
                look="quiet"
                className="!px-1 !text-muted"
                onClick={() =>
                  put(
                    `${one.name} stays`,
                    day.take.filter((_, k) => k !== i),
                  )
                }
              >
                Drop<span className="sr-only"> {one.name}</span>
              </Button>
            </li>
          ))}
        </ul>
      )}
      <MayOnly right="log">
        <form
          className="mt-1 flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault()
            add()
          }}
        >
          <label className="text-[13px] text-muted">
            Something more
            <input
              value={text}
              maxLength={120}
              autoComplete="off"
              onChange={(event) => setText(event.target.value)}
              className="block h-9 w-56 rounded-[3px] border border-edge bg-panel px-2 text-ink"
            />
          </label>
          <Button type="submit">Add it</Button>
        </form>
      </MayOnly>
    </section>
  )
}
