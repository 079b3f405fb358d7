import { RECORDS, removalOf, withoutVersion, type Swap } from '@bold-ballast/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { toast } from 'sonner'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { FormQuantity, FormText } from '../../ui/form'
import { FormNumber } from '../../ui/FormNumber'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'

/** Everything about a swap: its name, what it took in hours and money, and notes. */
export function SwapSheet({
  swapId,
  onClose,
  onTogether,
}: {
  swapId: string
  onClose: () => void
  onTogether: () => void
}) {
  const { view, units, save } = useBuild()
  const swap = view.swaps.find((s) => s.id === swapId)
  const { control, handleSubmit, kept } = useKeptForm<Omit<Swap, 'version'>>(`swap.${swapId}`, {
    resolver: zodResolver(RECORDS.swap),
    defaultValues: swap ? withoutVersion(swap) : {},
  })
  const [fault, setFault] = useState<string | null>(null)
  if (!swap) return null
  const submit = handleSubmit((record) => {
    const faults = save(`Change ${record.name}`, [put(view, 'swap', { ...record, order: swap.order })])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  const remove = () => {
    save(`Remove ${swap.name}`, removalOf(view, 'swap', swap.id))
    toast(`${swap.name} removed. Ctrl+Z brings it back.`)
    onClose()
  }
  return (
    <SideSheet open onClose={onClose} title={swap.name}>
      <SheetForm
        onSubmit={submit}
        kept={kept}
        fault={fault}
        says="Save the swap"
        after={
          <>
            <Button onClick={onTogether} className="col-span-2">
              Weigh lines together
            </Button>
            <Button look="danger" onClick={remove} className="col-span-2">
              Remove the swap
            </Button>
          </>
        }
      >
        <div className="col-span-2">
          <FormText control={control} name="name" label="Name" />
        </div>
        <FormQuantity
          control={control}
          name="workTime"
          label="Hands on it"
          quantity="time"
          units={units}
          hint="Empty while nobody counts"
        />
        <FormNumber
          control={control}
          name="cost"
          label={`Cost${view.build.currency ? ` (${view.build.currency})` : ''}`}
          hint="Less what was sold; below zero when it paid"
        />
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={3} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
