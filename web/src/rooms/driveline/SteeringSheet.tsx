import { RECORDS, type RecordOf } from '@bold-ballast/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useWatch, type FieldPath } from 'react-hook-form'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { useCarried } from '../../store/useCarried'
import { FormQuantities, FormText } from '../../ui/form'
import { CarriedNote } from '../../ui/CarriedNote'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { Tick } from '../../ui/Tick'
import { useKeptForm } from '../../ui/useKeptForm'
import { today } from '../../words/today'

type SteeringForm = RecordOf<'steering'>
const blank = (stageId: string): SteeringForm => ({
  id: crypto.randomUUID(),
  stageId,
  date: today(),
  lockInside: null,
  lockOutside: null,
  lockWanted: null,
  rackTravel: null,
  rackAvailable: null,
  tieRodAngle: null,
  tieRodBinds: null,
  rodToArm: null,
  wheelToArm: null,
  wheelToArmWanted: 0.005,
  rearToe: null,
  rearToeAllowed: null,
  halfshaftAngle: null,
  halfshaftBinds: null,
  rearWheelToArm: null,
  slideRadius: 20,
  note: '',
})
type Field = readonly [
  FieldPath<SteeringForm>,
  string,
  'angle' | 'length',
  { hint?: string; unitSymbol?: string }?,
]
const FRONT: readonly Field[] = [
  ['lockInside', 'Lock, inside wheel', 'angle'],
  ['lockOutside', 'Lock, outside wheel', 'angle'],
  ['lockWanted', 'Lock wanted, inside', 'angle'],
  ['slideRadius', 'Slides are judged on', 'length', { unitSymbol: 'm', hint: 'Radius of the path' }],
  ['rackTravel', 'Rack, middle to lock', 'length'],
  ['rackAvailable', 'Rack could go', 'length'],
  ['tieRodAngle', 'Tie-rod joint at lock', 'angle'],
  ['tieRodBinds', 'It binds at', 'angle'],
  ['rodToArm', 'Tie rod to steering arm', 'angle', { hint: 'At lock; 0° or 180° is over centre' }],
  ['wheelToArm', 'Wheel to arm, full lock', 'length'],
  ['wheelToArmWanted', 'Gap wanted', 'length'],
]
const REAR: readonly Field[] = [
  ['rearToeAllowed', 'Toe change allowed', 'angle'],
  ['rearWheelToArm', 'Wheel to arm, least', 'length'],
  ['halfshaftAngle', 'Half-shaft joint, worst', 'angle'],
  ['halfshaftBinds', 'It binds at', 'angle'],
]

/** What was measured on steering and rear end; anything may be left empty. */
export function SteeringSheet({ onClose }: { onClose: () => void }) {
  const { view, stage, units, save } = useBuild()
  const { record, carriedFrom } = useCarried('steering')
  const [start] = useState<SteeringForm>(() => record ?? blank(stage.id))
  const { control, handleSubmit, setValue, kept } = useKeptForm<SteeringForm>(`steering.${stage.id}`, {
    resolver: zodResolver(RECORDS.steering),
    defaultValues: start,
  })
  const toe = useWatch({ control, name: 'rearToe' })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit((typed) => {
    const faults = save('Change steering', [put(view, 'steering', typed)])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title="Steering and rear end">
      <CarriedNote from={carriedFrom} stage={stage} />
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save steering">
        <FormText control={control} name="date" label="Measured on" type="date" autoFocus />
        <span />
        <FormQuantities control={control} units={units} fields={FRONT} />
        <span />
        <h3 className="col-span-2 border-t border-line pt-2 text-[17px]">Rear</h3>
        <Tick
          label="Toe measured over the travel, one wheel, toe in above zero"
          on={Boolean(toe)}
          onChange={(on) =>
            setValue('rearToe', on ? { droop: 0, ride: 0, bump: 0 } : null, {
              shouldDirty: true,
            })
          }
        />
        {toe && (
          <div className="col-span-2 grid grid-cols-3 gap-3">
            <FormQuantities
              control={control}
              units={units}
              fields={[
                ['rearToe.droop', 'At droop', 'angle'],
                ['rearToe.ride', 'At ride height', 'angle'],
                ['rearToe.bump', 'At bump', 'angle'],
              ]}
            />
          </div>
        )}
        <FormQuantities control={control} units={units} fields={REAR} />
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
