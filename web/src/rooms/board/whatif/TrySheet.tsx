import { RECORDS, withoutVersion, type Branch, putEdit } from '@bold-ballast/contract'
import { isStillPlan, startBranch } from '@bold-ballast/model'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import * as z from 'zod'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { FormText } from '../../../ui/form'
import { SheetForm } from '../../../ui/SheetForm'
import { SideSheet } from '../../../ui/SideSheet'
import { useDraftForm } from '../../../ui/useDraftForm'

const typed = z.object({ name: RECORDS.branch.shape.name, note: RECORDS.branch.shape.note })

/** A name for something to try at this stage; or another name for what is being tried. */
export function TrySheet({ branch, onClose }: { branch: Branch | null; onClose: () => void }) {
  const { own, ledger, stage, save } = useBuild()
  const { summary } = useLiveBuild()
  const { control, handleSubmit, kept } = useDraftForm<z.infer<typeof typed>>(
    `branch.${branch?.id ?? stage.id}`,
    { resolver: zodResolver(typed), defaultValues: { name: branch?.name ?? '', note: branch?.note ?? '' } },
  )
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit(({ name, note }) => {
    const from = { stageId: stage.id, name, reached: summary }
    const record = branch
      ? withoutVersion(branch)
      : startBranch(own, ledger.stages, from, () => crypto.randomUUID())
    const faults = save(`${branch ? 'Rename' : 'Try'} “${name}”`, [
      putEdit(own, 'branch', { ...record, name, note }),
    ])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title={branch ? 'Change what is tried' : 'Try something'}>
      {!branch && (
        <p className="mb-3 text-[13.5px] text-muted">
          {isStillPlan(own, stage.id, summary)
            ? `${stage.name} is still a plan: what you try changes it, apart from the build, until you take it over.`
            : `${stage.name} has been reached: what you try is a step after it, apart from the build, until you take it over.`}
        </p>
      )}
      <SheetForm
        onSubmit={submit}
        kept={kept}
        fault={fault}
        says={branch ? 'Save' : 'Start trying'}
        columns={1}
      >
        <FormText
          control={control}
          name="name"
          label="What you try"
          hint="Such as Shorter final drive"
          autoFocus
        />
        <FormText control={control} name="note" label="Notes" rows={2} />
      </SheetForm>
    </SideSheet>
  )
}
