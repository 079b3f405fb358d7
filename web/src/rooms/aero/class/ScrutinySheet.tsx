import { RECORDS, type RecordOf } from '@bold-ballast/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { put } from '../../../store/commit'
import { useBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'
import { FormQuantities, FormText } from '../../../ui/form'
import { FormNumber } from '../../../ui/FormNumber'
import { CarriedNote } from '../../../ui/CarriedNote'
import { SheetForm } from '../../../ui/SheetForm'
import { SideSheet } from '../../../ui/SideSheet'
import { useKeptForm } from '../../../ui/useKeptForm'
import { blankScrutiny } from './blankScrutiny'

type ScrutinyForm = RecordOf<'scrutiny'>

/** What a scrutineer measures and no other room knows; anything may be left empty. */
export function ScrutinySheet({ onClose }: { onClose: () => void }) {
  const { view, stage, units, save } = useBuild()
  const { record, carriedFrom } = useCarried('scrutiny')
  const [start] = useState<ScrutinyForm>(() => record ?? blankScrutiny(stage.id))
  const { control, handleSubmit, kept } = useKeptForm<ScrutinyForm>(`scrutiny.${stage.id}`, {
    resolver: zodResolver(RECORDS.scrutiny),
    defaultValues: start,
  })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit((typed) => {
    const faults = save('Change what was measured for the class', [put(view, 'scrutiny', typed)])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title="Measured for the class">
      <CarriedNote from={carriedFrom} stage={stage} />
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save what was measured">
        <FormQuantities
          control={control}
          units={units}
          fields={[
            ['roofHeight', 'Roof, above the ground', 'length'],
            ['overallWidth', 'Overall width', 'length'],
            ['bumperFront', 'Front bumper, from axle', 'length'],
            ['bumperRear', 'Rear bumper, from axle', 'length'],
            ['groundClearance', 'Ground clearance', 'length', { hint: 'Without splitter and floor' }],
            ['tyreWidth', 'Tyre, widest', 'length', { unitSymbol: 'mm' }],
            ['cageOutside', 'Cage tube, outside', 'length', { unitSymbol: 'mm' }],
            ['cageWall', 'Cage tube, wall', 'length', { unitSymbol: 'mm' }],
          ]}
        />
        <FormNumber control={control} name="noise" label="Noise, dB(A)" hint="As the event measures it" />
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
