import { removalOf, stageNamed, withoutVersion, type Edit } from '@bold-ballast/contract'
import type { Grade } from '@bold-ballast/core'
import { useState, type FormEvent } from 'react'
import { useLocation, useNavigate } from 'react-router'
import { toast } from 'sonner'
import { put } from '../store/commit'
import { useBuild } from '../store/useBuild'
import { AskFirst } from '../ui/AskFirst'
import { Button } from '../ui/Button'
import { QuantityField } from '../ui/QuantityField'
import { SideSheet } from '../ui/SideSheet'
import { roomPath } from './rooms'

/** Rename, plan, reorder or remove a stage. */
export function StageSheet({ stageId, onClose }: { stageId: string; onClose: () => void }) {
  const { view, ledger, buildId, unit, save } = useBuild()
  const navigate = useNavigate()
  const room = useLocation().pathname.split('/').at(-1)!
  const stage = ledger.stages.find((s) => s.id === stageId)
  const [name, setName] = useState(stage?.name ?? '')
  const [power, setPower] = useState<number | null>(stage?.plannedWheelPower ?? null)
  const [grade, setGrade] = useState<Grade>(stage?.plannedPowerGrade ?? 'guess')
  const [faults, setFaults] = useState<Record<string, string>>({})
  const [asking, setAsking] = useState(false)
  if (!stage) return null
  const at = ledger.stages.indexOf(stage)

  const submit = (event: FormEvent) => {
    event.preventDefault()
    const { version: _, ...record } = stage
    const found = save(`Change stage ${name}`, [
      put(view, 'stage', { ...record, name, plannedWheelPower: power, plannedPowerGrade: grade }),
    ])
    if (!found) return onClose()
    setFaults(Object.fromEntries(found.map((f) => [f.field, f.problem])))
  }
  const move = (by: number) => {
    const order = [...ledger.stages]
    order.splice(at + by, 0, ...order.splice(at, 1))
    const edits = order.flatMap((s, i): Edit[] =>
      s.order === i ? [] : [put(view, 'stage', { ...withoutVersion(s), order: i })],
    )
    save(`Move stage ${stage.name}`, edits)
  }
  const insertAfter = () => {
    const record = stageNamed('New stage', at + 1, crypto.randomUUID())
    const later = ledger.stages.flatMap((s, i): Edit[] =>
      i > at
        ? [put(view, 'stage', { ...withoutVersion(s), order: i + 1 })]
        : s.order === i
          ? []
          : [put(view, 'stage', { ...withoutVersion(s), order: i })],
    )
    save('Add a stage', [put(view, 'stage', record), ...later])
    void navigate(roomPath(buildId, record.id, room))
    onClose()
  }
  const hasEvidence =
    view.weighIns.some((w) => w.stageId === stageId) || view.dynoDays.some((d) => d.stageId === stageId)
  const remove = () => {
    const next = ledger.stages[at + 1] ?? ledger.stages[at - 1]!
    void navigate(roomPath(buildId, next.id, room))
    save(`Delete stage ${stage.name}`, removalOf(view, 'stage', stageId))
    toast(`Stage ${stage.name} deleted. Ctrl+Z brings it back.`)
    onClose()
  }

  return (
    <SideSheet open onClose={onClose} title={`Stage ${at + 1}`}>
      <form onSubmit={submit} className="flex flex-col gap-4">
        <label className="flex flex-col gap-1 text-[13px] text-muted">
          Name
          <input
            autoFocus
            value={name}
            onChange={(e) => setName(e.target.value)}
            onFocus={(e) => e.target.select()}
            className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-[14px] text-ink"
          />
          {faults['name'] && (
            <span role="alert" className="text-oxide">
              {faults['name']}
            </span>
          )}
        </label>
        <QuantityField
          label="Planned wheel power"
          quantity="power"
          unit={unit('power')}
          value={power}
          onChange={setPower}
          problem={faults['plannedWheelPower']}
          hint="Left empty, the plan of the stage before goes on."
        />
        <label className="flex flex-col gap-1 text-[13px] text-muted">
          How the plan is known
          <select
            value={grade}
            onChange={(e) => setGrade(e.target.value as Grade)}
            className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-[14px] text-ink"
          >
            <option value="guess">guess</option>
            <option value="claim">claim</option>
          </select>
        </label>
        <Button look="main" type="submit">
          Save
        </Button>
      </form>
      <div className="mt-6 flex flex-wrap gap-2 border-t border-line pt-4">
        <Button disabled={at === 0} onClick={() => move(-1)}>
          Move up
        </Button>
        <Button disabled={at === ledger.stages.length - 1} onClick={() => move(1)}>
          Move down
        </Button>
        <Button onClick={insertAfter}>Add one after it</Button>
        <Button
          look="danger"
          disabled={ledger.stages.length === 1}
          onClick={() => (hasEvidence ? setAsking(true) : remove())}
        >
          Delete stage
        </Button>
      </div>
      <AskFirst
        open={asking}
        onOpenChange={setAsking}
        title={`Delete ${stage.name} with its evidence?`}
        onYes={remove}
      >
        Weigh-ins or pulls hang from this stage. They go with it. Undo brings them back in this session.
      </AskFirst>
    </SideSheet>
  )
}
