import { RECORDS, withoutVersion, type RecordOf, type Seal, putEdit } from '@bold-ballast/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { toast } from 'sonner'
import { useBuild } from '../../../store/useBuild'
import { FormText } from '../../../ui/form'
import { SheetForm } from '../../../ui/SheetForm'
import { SideSheet } from '../../../ui/SideSheet'
import { useDraftForm } from '../../../ui/useDraftForm'
import { settings } from '../../../store/settings'
import { useAppDispatch, useAppSelector } from '../../../store/store'

/** Opens a frozen stage again, with a reason; what was signed stays beside it. */
export function ReopenSheet({ seal, onClose }: { seal: Seal; onClose: () => void }) {
  const { view, stage, save } = useBuild()
  const dispatch = useAppDispatch()
  const author = useAppSelector((state) => state.settings.author)
  const [start] = useState((): RecordOf<'seal'> => ({
    ...withoutVersion(seal),
    reopened: { at: new Date().toISOString(), author, reason: '' },
  }))
  const { control, handleSubmit, kept } = useDraftForm<RecordOf<'seal'>>(`reopen.${seal.id}`, {
    resolver: zodResolver(RECORDS.seal),
    defaultValues: start,
  })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit(({ reopened }) => {
    const { author: by, reason } = reopened!
    const record = { ...withoutVersion(seal), reopened: { at: new Date().toISOString(), author: by, reason } }
    // Before it is saved: the signature itself is this person's, too.
    dispatch(settings.actions.authorNamed(by))
    const faults = save(`Open ${stage.name} again`, [putEdit(view, 'seal', record)])
    if (faults) return setFault(faults[0]!.problem)
    toast(`${stage.name} is open again. What was signed is kept.`)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title={`Open ${stage.name} again`}>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Open it again" columns={1}>
        <FormText control={control} name="reopened.reason" label="Why" rows={3} autoFocus />
        <FormText control={control} name="reopened.author" label="By" />
      </SheetForm>
    </SideSheet>
  )
}
