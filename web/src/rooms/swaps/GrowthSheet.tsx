import { RECORDS, withoutVersion, type Build } from '@bold-ballast/contract'
import { USUAL_GROWTH } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { FormQuantity } from '../../ui/form'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'

/** What parts still to come are expected to grow by. */
export function GrowthSheet({ onClose }: { onClose: () => void }) {
  const { view, units, save } = useBuild()
  const record = withoutVersion(view.build)
  const { guess, claim } = USUAL_GROWTH
  const { control, handleSubmit, kept } = useKeptForm<Omit<Build, 'version'>>(`growth.${view.build.id}`, {
    resolver: zodResolver(RECORDS.build),
    defaultValues: { ...record, growth: record.growth ?? { guess, claim } },
  })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit(({ growth }) => {
    const faults = save('Change the growth', [put(view, 'build', { ...record, growth })])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title="Growth">
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the growth">
        <p className="col-span-2 text-[13.5px] text-muted">
          Parts still to come turn out heavier than planned, the less is known the more. What is weighed grows
          by nothing.
        </p>
        <FormQuantity
          control={control}
          name="growth.guess"
          label="A guess grows by"
          quantity="share"
          units={units}
          hint="15 % is usual"
        />
        <FormQuantity
          control={control}
          name="growth.claim"
          label="A maker’s claim grows by"
          quantity="share"
          units={units}
          hint="5 % is usual"
        />
      </SheetForm>
    </SideSheet>
  )
}
