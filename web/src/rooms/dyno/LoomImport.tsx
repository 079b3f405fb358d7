import { useState } from 'react'
import { useBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { SideSheet } from '../../ui/SideSheet'
import { loomRows, type LoomRead } from './loomRows'
import { usualSupply } from './SupplySheet'
import { useSizing } from './useSizing'

/** A loom from a CSV, with what will be added and every bad row before anything is saved. */
export function LoomImport({ onClose }: { onClose: () => void }) {
  const { stage } = useBuild()
  const { sizing, saveSizing } = useSizing()
  const [read, setRead] = useState<LoomRead | null>(null)
  const [fault, setFault] = useState<string | null>(null)
  const open = async (file: File) => {
    if (file.size > 1_000_000) return setFault(`${file.name} has over 1 MB; that is no loom.`)
    setFault(null)
    setRead(loomRows(await file.text(), () => crypto.randomUUID()))
  }
  const add = () => {
    if (!read) return
    const supply = sizing.electrics ?? usualSupply()
    const problem = saveSizing(`Add ${read.circuits.length} circuits`, {
      electrics: { ...supply, circuits: [...supply.circuits, ...read.circuits] },
    })
    if (problem) return setFault(problem)
    onClose()
  }
  return (
    <SideSheet open onClose={onClose} title="Circuits from a CSV">
      <p className="mb-3 text-muted">
        A first line with circuit, draws (A) and one way (m); any of the other columns of the CSV that this
        room writes. They are added to {stage.name}.
      </p>
      <label className="flex flex-col gap-1 text-[13px] text-muted">
        CSV of the loom
        <input
          type="file"
          accept=".csv,.txt,text/csv,text/plain"
          className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
          onChange={(e) => e.target.files?.[0] && void open(e.target.files[0])}
        />
      </label>
      {fault && (
        <p role="alert" className="mt-2 text-oxide">
          {fault}
        </p>
      )}
      {read && (
        <div className="mt-3" data-testid="loom-preview">
          <p className="font-medium">
            {read.circuits.length} {read.circuits.length === 1 ? 'circuit' : 'circuits'}, {read.bad.length}{' '}
            left out
          </p>
          <ul className="max-h-[240px] overflow-y-auto text-[13.5px]">
            {read.bad.map(({ line, problem }) => (
              <li key={line} className="text-oxide">
                Line {line}: {problem}
              </li>
            ))}
            {read.circuits.map((c) => (
              <li key={c.id}>
                {c.name}, {c.current} A, {c.length.toFixed(1)} m
              </li>
            ))}
          </ul>
          <Button look="main" className="mt-3 w-full" disabled={read.circuits.length === 0} onClick={add}>
            Add {read.circuits.length} {read.circuits.length === 1 ? 'circuit' : 'circuits'}
          </Button>
        </div>
      )}
    </SideSheet>
  )
}
