import {
  RECORDS,
  removalOf,
  stageNamed,
  withoutVersion,
  type Edit,
  type Stage,
  putEdit,
} from '@bold-ballast/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useLocation, useNavigate } from 'react-router'
import { toast } from 'sonner'
import { useBuild } from '../store/useBuild'
import { AskFirst } from '../ui/AskFirst'
import { Button } from '../ui/Button'
import { FormQuantity, FormSelect, FormText } from '../ui/form'
import { SheetForm } from '../ui/SheetForm'
import { SideSheet } from '../ui/SideSheet'
import { useKeptForm } from '../ui/useKeptForm'
import { roomPath } from './rooms'

/** Rename, plan, reorder or remove a stage. */
export function StageSheet({ stageId, onClose }: { stageId: string; onClose: () => void }) {
  const { view, ledger, buildId, units, save } = useBuild()
  const navigate = useNavigate()
  const room = useLocation().pathname.split('/').at(-1)!
  const stage = ledger.stages.find((s) => s.id === stageId)
  const { control, handleSubmit, kept } = useKeptForm<Omit<Stage, 'version'>>(`stage.${stageId}`, {
    resolver: zodResolver(RECORDS.stage),
    defaultValues: stage ? withoutVersion(stage) : {},
  })
  const [fault, setFault] = useState<string | null>(null)
  const [asking, setAsking] = useState(false)
  if (!stage) return null
  const at = ledger.stages.indexOf(stage)

  const submit = handleSubmit((typed) => {
    // The order is changed by the buttons below, perhaps while the form stood open.
    const faults = save(`Change stage ${typed.name}`, [
      putEdit(view, 'stage', { ...typed, order: stage.order }),
    ])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  const move = (by: number) => {
    const order = [...ledger.stages]
    order.splice(at + by, 0, ...order.splice(at, 1))
    const edits = order.flatMap((s, i): Edit[] =>
      s.order === i ? [] : [putEdit(view, 'stage', { ...withoutVersion(s), order: i })],
    )
    save(`Move stage ${stage.name}`, edits)
  }
  const insertAfter = () => {
    const record = stageNamed('New stage', at + 1, crypto.randomUUID())
    const later = ledger.stages.flatMap((s, i): Edit[] =>
      i > at
        ? [putEdit(view, 'stage', { ...withoutVersion(s), order: i + 1 })]
        : s.order === i
          ? []
          : [putEdit(view, 'stage', { ...withoutVersion(s), order: i })],
    )
    save('Add a stage', [putEdit(view, 'stage', record), ...later])
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
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the stage" columns={1}>
        <FormText control={control} name="name" label="Name" autoFocus />
        <FormQuantity
          control={control}
          name="plannedWheelPower"
          label="Planned wheel power"
          quantity="power"
          units={units}
          hint="Left empty, the plan of the stage before goes on."
        />
        <FormSelect
          control={control}
          name="plannedPowerGrade"
          label="How the plan is known"
          options={[
            ['guess', 'guess'],
            ['claim', 'claim'],
          ]}
        />
      </SheetForm>
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
