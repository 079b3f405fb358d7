import { newLine, type Edit, type Swap, LINE_KIND, putEdit } from '@bold-ballast/contract'
import { formatFigure, type Grade, type LineKind, itemAt } from '@bold-ballast/core'
import Papa from 'papaparse'
import { useId, useMemo, useState } from 'react'
import { toast } from '../../../ui/toast'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { forgetText, keepText, keptText } from '../../../ui/keptText'
import { SideSheet } from '../../../ui/SideSheet'
import { TableHead } from '../../../ui/TableHead'
import { optionsOf } from '../../../ui/optionsOf'
import { guessRoles, PASTE_ROLES, pastedLines, type PasteRole } from './pastedLines'

/** Rows that one batch may carry; a longer list is pasted in parts. */
const MOST_ROWS = 500
const SHOWN = 60
const BOX = 'rounded-[3px] border border-edge bg-panel px-2 py-1 text-[14px] text-ink'

/** A list from a spreadsheet or a CSV file: columns matched, every row shown before anything is added. */
export function PasteSheet({ onClose }: { onClose: () => void }) {
  const { view, stage, ledger, unit, save } = useBuild()
  const key = `paste.${stage.id}`
  const [text, setText] = useState(() => keptText<string>(key) ?? '')
  const [chosen, setChosen] = useState<PasteRole[] | null>(null)
  const [kind, setKind] = useState<LineKind>('off')
  const [grade, setGrade] = useState<Grade>('measured')
  const [fault, setFault] = useState<string | null>(null)
  const id = useId()
  const units = { mass: unit('mass'), length: unit('length') }
  const table = useMemo(
    () =>
      Papa.parse<string[]>(text.trim(), {
        delimiter: text.includes('\t') ? '\t' : '',
        skipEmptyLines: 'greedy',
      }).data,
    [text],
  )
  const guess = useMemo(() => guessRoles(table), [table])
  const roles = chosen && chosen.length === guess.roles.length ? chosen : guess.roles
  const titles = guess.hasHeader ? itemAt(table, guess.header) : []
  const body = table.slice(guess.header + 1)
  const rows = pastedLines(
    body,
    roles,
    units,
    { kind, grade, system: 'other', fitted: true },
    titles,
    guess.header + 1,
  )
  const good = rows.flatMap(({ row, swap, line }) => (line ? [{ row, swap, line }] : []))
  const bad = rows.filter((r) => !r.line)
  const change = (next: string) => {
    setText(next)
    setChosen(null)
    setFault(null)
    if (next) keepText(key, next)
    else forgetText(key)
  }
  const readFile = async (file: File | undefined) => {
    if (!file) return
    if (file.size === 0) return setFault('The file is empty.')
    if (file.size > 2 * 1024 * 1024) return setFault('A list has 2 MB at most. Is it a log of a pull?')
    change(await file.text())
  }
  const add = () => {
    if (good.length === 0)
      return setFault('No row can be added yet. Match the columns, or mend the rows named below.')
    if (good.length > MOST_ROWS) return setFault(`At most ${MOST_ROWS} rows at once: paste it in parts.`)
    const swaps = ledger.swapsOf(stage.id)
    let order = (swaps.at(-1)?.swap.order ?? -1) + 1
    const byName = new Map(
      swaps.map((s) => [s.swap.name.toLowerCase(), { id: s.swap.id, next: s.lines.length }]),
    )
    const edits: Edit[] = []
    for (const { swap, line } of good) {
      const name = swap || 'Pasted list'
      let at = byName.get(name.toLowerCase())
      if (!at) {
        at = { id: crypto.randomUUID(), next: 0 }
        byName.set(name.toLowerCase(), at)
        const record: Omit<Swap, 'version'> = {
          id: at.id,
          stageId: stage.id,
          name: name.slice(0, 120),
          order: order++,
          workTime: null,
          cost: null,
          note: '',
        }
        edits.push(putEdit(view, 'swap', record))
      }
      const record = newLine({
        // What a good row doesn't say is said nowhere.
        kind: 'on',
        name: '',
        system: 'other',
        mass: 0,
        grade: 'guess',
        ...line,
        id: crypto.randomUUID(),
        swapId: at.id,
        order: at.next++,
      })
      edits.push(putEdit(view, 'line', record))
    }
    const faults = save(`Add ${good.length} pasted lines`, edits)
    if (faults) return setFault([faults[0].field, faults[0].problem].filter(Boolean).join(': '))
    forgetText(key)
    toast(`${good.length} lines added. Ctrl+Z takes them all back.`)
    onClose()
  }
  return (
    <SideSheet open onClose={onClose} title="Paste or import a list" wide>
      <label htmlFor={id} className="text-[13px] text-muted">
        Copy rows in a spreadsheet and paste them here, headers or not
      </label>
      <textarea
        id={id}
        rows={6}
        value={text}
        onChange={(e) => change(e.target.value)}
        className={`${BOX} mt-1 w-full font-mono text-[12.5px]`}
        placeholder={'Front seat\t2\t19.4\nRear bench\t1\t21.3'}
      />
      <label className="mt-2 flex flex-col gap-1 text-[13px] text-muted">
        or a CSV file
        <input
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          className={BOX}
          onChange={(e) => void readFile(e.target.files?.[0])}
        />
      </label>
      {table.length > 0 && (
        <>
          <fieldset className="mt-3 flex flex-wrap gap-2">
            <legend className="text-[13px] text-muted">What the columns are</legend>
            {roles.map((role, i) => (
              <label key={i} className="flex flex-col text-[12.5px] text-muted">
                {titles[i] || `Column ${i + 1}`}
                <select
                  className={BOX}
                  value={role}
                  onChange={(e) => {
                    const next = e.target.value as PasteRole
                    setChosen(
                      roles.map((r, k) => (k === i ? next : r === next && next !== 'ignore' ? 'ignore' : r)),
                    )
                  }}
                >
                  {optionsOf(PASTE_ROLES).map(([value, words]) => (
                    <option key={value} value={value}>
                      {words}
                    </option>
                  ))}
                </select>
              </label>
            ))}
          </fieldset>
          <div className="mt-3 grid grid-cols-2 gap-3">
            <label className="flex flex-col gap-1 text-[13px] text-muted">
              Where no column says so, they are
              <select className={BOX} value={kind} onChange={(e) => setKind(e.target.value as LineKind)}>
                {optionsOf({ off: LINE_KIND.off, on: LINE_KIND.on }).map(([value, words]) => (
                  <option key={value} value={value}>
                    {words}
                  </option>
                ))}
              </select>
            </label>
            <label className="flex flex-col gap-1 text-[13px] text-muted">
              known by
              <select className={BOX} value={grade} onChange={(e) => setGrade(e.target.value as Grade)}>
                {(['guess', 'claim', 'measured'] as const).map((g) => (
                  <option key={g}>{g}</option>
                ))}
              </select>
            </label>
          </div>
          {bad.length > 0 && (
            <div role="status" className="mt-3 border-l-4 border-ochre pl-3 text-[13.5px]">
              {bad.length} {bad.length === 1 ? 'row is' : 'rows are'} left out:
              <ul className="list-disc pl-5">
                {bad.slice(0, 8).map((r) => (
                  <li key={r.row}>
                    Row {r.row}: {r.problems[0]}
                  </li>
                ))}
              </ul>
              {bad.length > 8 && `and ${bad.length - 8} more.`}
            </div>
          )}
          <table className="mt-3 w-full text-[13.5px]" data-testid="paste-preview">
            <TableHead
              columns={[
                { says: 'Part' },
                { says: 'Way' },
                { says: 'Pcs', figures: true },
                { says: `Each (${units.mass.symbol})`, figures: true },
              ]}
            />
            <tbody>
              {good.slice(0, SHOWN).map(({ row, line }) => (
                <tr key={row} className="border-b border-line">
                  <td className="py-1">{line.name}</td>
                  <td>{LINE_KIND[line.kind ?? 'on']}</td>
                  <td className="text-right">{line.quantity}</td>
                  <td className="text-right">{formatFigure(line.mass ?? 0, units.mass, 2)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {good.length > SHOWN && <p className="text-[13px] text-muted">and {good.length - SHOWN} more.</p>}
        </>
      )}
      {fault && (
        <p role="alert" className="mt-2 text-oxide">
          {fault}
        </p>
      )}
      <Button look="main" className="mt-4 w-full" onClick={add}>
        {good.length > 0 ? `Add ${good.length} ${good.length === 1 ? 'line' : 'lines'}` : 'Add the lines'}
      </Button>
    </SideSheet>
  )
}
