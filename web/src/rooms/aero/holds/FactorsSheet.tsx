import { RECORDS, withoutVersion, type RecordOf } from '@bold-ballast/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { put } from '../../../store/commit'
import { useBuild } from '../../../store/useBuild'
import { FormNumber } from '../../../ui/FormNumber'
import { SheetForm } from '../../../ui/SheetForm'
import { SideSheet } from '../../../ui/SideSheet'
import { useKeptForm } from '../../../ui/useKeptForm'

/** What gusts and kerbs make of a steady load, and what is wanted in hand beyond it. */
export function FactorsSheet({ onClose }: { onClose: () => void }) {
  const { view, save } = useBuild()
  const record = withoutVersion(view.build)
  const { control, handleSubmit, kept } = useKeptForm<RecordOf<'build'>>(`airLoads.${view.build.id}`, {
    resolver: zodResolver(RECORDS.build),
    defaultValues: record,
  })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit(({ airLoads }) => {
    const faults = save('Change the factors of gusts and kerbs', [
      put(view, 'build', { ...record, airLoads }),
    ])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title="Gusts, kerbs and what is wanted">
      <p className="mb-3 text-[13.5px] text-muted">
        Usual: 1.25 for gusts, 1.2 for kerbs, 2 in hand beyond both (common practice).
      </p>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the factors">
        <FormNumber control={control} name="airLoads.gust" label="Gusts, times" />
        <FormNumber control={control} name="airLoads.kerb" label="Kerbs, times" />
        <FormNumber control={control} name="airLoads.wanted" label="Wanted in hand, times" />
      </SheetForm>
    </SideSheet>
  )
}
