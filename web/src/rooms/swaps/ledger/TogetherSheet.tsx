import { withoutVersion, putEdit, type Edit, type Line } from '@bold-ballast/contract'
import { formatFigure, formatQuantity, shareOut, weighPart, itemAt } from '@bold-ballast/core'
import { useState } from 'react'
import { toast } from '../../../ui/toast'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { QuantityField } from '../../../ui/QuantityField'
import { SideSheet } from '../../../ui/SideSheet'
import { forgetText, keepText, keptText } from '../../../ui/keptText'
import { freshWeighing } from './WeighingFields'

interface Typed {
  chosen: readonly string[]
  reading: number | null
  tare: number | null
}

/** A box of clips: several lines weighed at once, shared out by what each was thought to weigh. */
export function TogetherSheet({ swapId, onClose }: { swapId: string; onClose: () => void }) {
  const { view, unit, save } = useBuild()
  const mass = unit('mass')
  const lines = view.lines
    .filter((l) => l.swapId === swapId && l.role === 'part')
    .sort((a, b) => a.order - b.order)
  const key = `together.${swapId}`
  const [typed, setTyped] = useState<Typed>(
    () => keptText<Typed>(key) ?? { chosen: [], reading: null, tare: 0 },
  )
  const { chosen, reading, tare } = typed
  const change = (patch: Partial<Typed>) => {
    setTyped({ ...typed, ...patch })
    keepText(key, { ...typed, ...patch })
    setFault(null)
  }
  const [fault, setFault] = useState<string | null>(null)
  const [weighing] = useState(() => freshWeighing(view.lines))
  const picked = lines.filter((l) => chosen.includes(l.id))
  const piecesOf = (l: Line) => l.alsoAt.reduce((n, place) => n + place.quantity, l.quantity)
  const net = (reading ?? 0) - (tare ?? 0)
  const shares = shareOut(
    net,
    picked.map((l) => l.mass * piecesOf(l)),
  )
  const share = () => {
    if (picked.length < 2) return setFault('Choose at least two lines that lay on the scale together.')
    if (!reading || Number.isNaN(reading) || tare === null || Number.isNaN(tare))
      return setFault('Type what the scale read, and the tare.')
    const raw = { ...weighing, readings: [reading], tare, together: crypto.randomUUID() as string }
    try {
      weighPart(raw)
    } catch (error) {
      return setFault((error as Error).message)
    }
    const edits = picked.map((line, i): Edit =>
      putEdit(view, 'line', {
        ...withoutVersion(line),
        mass: itemAt(shares, i) / piecesOf(line),
        // Its own doubt stays out: what they weigh together is what counts, and that is shared.
        sigma: 0,
        grade: 'measured',
        weighing: raw,
      }),
    )
    const faults = save(`Weigh ${picked.length} lines together`, edits)
    if (faults) return setFault(faults[0].problem)
    forgetText(key)
    toast(`${formatQuantity(net, mass)} shared out over ${picked.length} lines.`)
    onClose()
  }
  return (
    <SideSheet open onClose={onClose} title="Weigh together">
      <p className="mb-3 text-[13.5px] text-muted">
        Put everything that was ticked on the scale at once. What it weighs is shared out by what each line
        was thought to weigh; the total is what counts.
      </p>
      <fieldset className="mb-4">
        <legend className="mb-1 text-[13px] text-muted">On the scale</legend>
        {lines.map((line) => (
          <label key={line.id} className="flex min-h-8 items-center gap-2 border-t border-line">
            <input
              type="checkbox"
              className="size-4 accent-blued"
              checked={chosen.includes(line.id)}
              onChange={(e) =>
                change({
                  chosen: e.target.checked ? [...chosen, line.id] : chosen.filter((id) => id !== line.id),
                })
              }
            />
            <span className="flex-1">{line.name}</span>
            <span className="text-muted">
              {formatFigure(line.mass * piecesOf(line), mass)}
              {chosen.includes(line.id) && net > 0 && (
                <b className="text-ink"> → {formatFigure(itemAt(shares, picked.indexOf(line)), mass, 2)}</b>
              )}{' '}
              {mass.symbol}
            </span>
          </label>
        ))}
      </fieldset>
      <div className="grid grid-cols-2 gap-3">
        <QuantityField
          label="The scale reads"
          quantity="mass"
          unit={mass}
          value={reading}
          onChange={(reading) => change({ reading })}
        />
        <QuantityField
          label="Tare: box or strap"
          quantity="mass"
          unit={mass}
          value={tare}
          onChange={(tare) => change({ tare })}
        />
      </div>
      {fault && (
        <p role="alert" className="mt-2 text-oxide">
          {fault}
        </p>
      )}
      <Button look="main" className="mt-4 w-full" onClick={share}>
        Share it out
      </Button>
    </SideSheet>
  )
}
