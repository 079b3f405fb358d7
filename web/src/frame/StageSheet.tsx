import { itemAt } from '@bold-ballast/core'
import {
  evidenceIn,
  frozenFault,
  removalOf,
  stageNamed,
  withoutVersion,
  type Edit,
  putEdit,
} from '@bold-ballast/contract'
import { useMemo, useState } from 'react'
import { useLocation, useNavigate } from 'react-router'
import { toast } from '../ui/toast'
import { useBuild } from '../store/useBuild'
import { AskFirst } from '../ui/AskFirst'
import { Button } from '../ui/Button'
import { MayOnly } from '../ui/MayOnly'
import { KNOWN_BY } from '../ui/optionsOf'
import { fieldsOf } from '../ui/record/fieldsOf'
import { RecordSheet } from '../ui/record/RecordSheet'
import { useRecordForm } from '../ui/record/useRecordForm'
import { roomPath } from './rooms'

const { Field } = fieldsOf('stage')
const PLANNED_BY = KNOWN_BY.filter(([grade]) => grade !== 'measured')

const FIELDS = (
  <>
    <Field name="name" isWide autoFocus />
    <Field name="plannedWheelPower" isWide />
    <Field name="plannedPowerGrade" isWide options={PLANNED_BY} />
  </>
)

/** Rename, plan, reorder or remove a stage. */
export function StageSheet({ stageId, onClose }: { stageId: string; onClose: () => void }) {
  const { view, ledger, buildId, save, saveSaying } = useBuild()
  const navigate = useNavigate()
  const room = itemAt(useLocation().pathname.split('/'), -1)
  const stage = ledger.stages.find((s) => s.id === stageId)
  const form = useRecordForm('stage', stageId, {
    says: ({ name }) => `Change stage ${name}`,
    // The order is changed by the buttons below, perhaps while the form stood open.
    completed: (typed) => ({ ...typed, order: stage?.order ?? typed.order }),
    onSaved: onClose,
  })
  const [asking, setAsking] = useState(false)
  const gone = useMemo(() => (stage ? removalOf(view, 'stage', stage.id) : []), [view, stage])
  const evidence = useMemo(() => evidenceIn(view, gone), [view, gone])
  if (!stage)
    return form.record ? (
      <RecordSheet form={form} title={form.record.name} says="Save the stage" onClose={onClose}>
        {FIELDS}
      </RecordSheet>
    ) : null
  const at = ledger.stages.indexOf(stage)

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
  const remove = () => {
    const frozen = frozenFault(view, gone)
    if (frozen) return void toast.error(frozen)
    // The page leaves the stage before it is gone.
    const next = ledger.stages[at + 1] ?? itemAt(ledger.stages, at - 1)
    void navigate(roomPath(buildId, next.id, room))
    saveSaying(`Delete stage ${stage.name}`, gone, `Stage ${stage.name} deleted. Undo brings it back.`)
    onClose()
  }

  const joined = evidence.join(', ')
  const below = (
    <>
      <MayOnly right="plan">
        <div className="mt-6 flex flex-wrap gap-2 border-t border-line pt-4">
          <Button disabled={at === 0} onClick={() => move(-1)}>
            Move up
          </Button>
          <Button disabled={at === ledger.stages.length - 1} onClick={() => move(1)}>
            Move down
          </Button>
          <Button onClick={insertAfter}>Add one after it</Button>
        </div>
        <div className="mt-12 flex flex-wrap items-center gap-x-4 gap-y-2 border-t border-line pt-4">
          <p className="min-w-[200px] flex-1 text-[14px] text-muted">
            {ledger.stages.length === 1
              ? 'A build has one stage at least: this one stays.'
              : evidence.length > 0
                ? `Deleting it takes ${joined} with it.`
                : 'Nothing was measured at this stage.'}
          </p>
          <Button
            look="danger"
            disabled={ledger.stages.length === 1}
            onClick={() => (evidence.length > 0 ? setAsking(true) : remove())}
          >
            Delete stage
          </Button>
        </div>
      </MayOnly>
      <AskFirst
        open={asking}
        onOpenChange={setAsking}
        title={`Delete ${stage.name} with its evidence?`}
        onYes={remove}
      >
        It takes {joined} with it. Undo brings all of it back, also after a reload, until fifty more changes
        are made in this tab; the workshop’s history keeps what it was.
      </AskFirst>
    </>
  )
  return (
    <RecordSheet form={form} title={`Stage ${at + 1}`} says="Save the stage" onClose={onClose} below={below}>
      {FIELDS}
    </RecordSheet>
  )
}
