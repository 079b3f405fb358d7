import { RECORDS, type RecordOf } from '@bold-ballast/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useWatch } from 'react-hook-form'
import { put } from '../../../store/commit'
import { useBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'
import { CarriedNote } from '../../../ui/CarriedNote'
import { FormQuantities, FormText } from '../../../ui/form'
import { SheetForm } from '../../../ui/SheetForm'
import { SideSheet } from '../../../ui/SideSheet'
import { Tick } from '../../../ui/Tick'
import { useKeptForm } from '../../../ui/useKeptForm'

type AttitudeForm = RecordOf<'attitude'>
const NOTHING = undefined as unknown as number

/** How the car pitches and rolls at speed, and on which wheel rates it stands where no springs are typed. */
export function AttitudeSheet({ onClose }: { onClose: () => void }) {
  const { view, stage, units, save } = useBuild()
  const { record, carriedFrom } = useCarried('attitude')
  const [start] = useState(
    (): AttitudeForm =>
      record ?? {
        id: crypto.randomUUID(),
        stageId: stage.id,
        pitch: NOTHING,
        roll: NOTHING,
        bump: NOTHING,
        wheelRate: null,
        note: '',
      },
  )
  const { control, handleSubmit, setValue, kept } = useKeptForm<AttitudeForm>(`attitude.${stage.id}`, {
    resolver: zodResolver(RECORDS.attitude),
    defaultValues: start,
  })
  const wheelRate = useWatch({ control, name: 'wheelRate' })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit((typed) => {
    const faults = save('Change how it pitches and rolls', [put(view, 'attitude', typed)])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title="Pitch and roll at speed">
      <CarriedNote from={carriedFrom} stage={stage} />
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save pitch and roll">
        <FormQuantities
          control={control}
          units={units}
          fields={[
            ['pitch', 'Nose down, braking', 'angle', { hint: 'About 0.3 to 0.8° on track springs' }],
            ['roll', 'To the side, cornering', 'angle', { hint: 'About 0.5 to 2°' }],
            ['bump', 'Kerbs and bumps', 'length', { hint: 'What they take besides' }],
          ]}
        />
        <span />
        <Tick
          ruled
          label="Wheel rates other than the springs typed in Scales"
          on={Boolean(wheelRate)}
          onChange={(on) =>
            setValue('wheelRate', on ? { front: NOTHING, rear: NOTHING } : null, { shouldDirty: true })
          }
        />
        {wheelRate && (
          <FormQuantities
            control={control}
            units={units}
            fields={[
              ['wheelRate.front', 'One wheel, front', 'stiffness'],
              ['wheelRate.rear', 'One wheel, rear', 'stiffness'],
            ]}
          />
        )}
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
