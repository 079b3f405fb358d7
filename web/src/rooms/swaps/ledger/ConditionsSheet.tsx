import {
  RECORDS,
  removalOf,
  sameRecord,
  withoutVersion,
  type Condition,
  type Edit,
  type Load,
  putEdit,
} from '@bold-ballast/contract'
import { fullMass, formatQuantity } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useFieldArray, useWatch } from 'react-hook-form'
import * as z from 'zod'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { FormQuantities, FormQuantity, FormSelect, FormText } from '../../../ui/form'
import { SheetForm } from '../../../ui/SheetForm'
import { SideSheet } from '../../../ui/SideSheet'
import { useDraftForm } from '../../../ui/useDraftForm'
import { NOTHING } from '../../../ui/record/nothing'

const shape = z.strictObject({ loads: z.array(RECORDS.load), conditions: z.array(RECORDS.condition) })
type ConditionsForm = z.infer<typeof shape>

/** What may be aboard, and the conditions made of it. */
export function ConditionsSheet({ onClose }: { onClose: () => void }) {
  const { view, units, unit, save } = useBuild()
  const byOrder = (a: { order: number }, b: { order: number }) => a.order - b.order
  const before: ConditionsForm = {
    loads: view.loads.map((l: Load) => withoutVersion(l)).sort(byOrder),
    conditions: view.conditions.map((c: Condition) => withoutVersion(c)).sort(byOrder),
  }
  const { control, handleSubmit, kept } = useDraftForm<ConditionsForm>(`conditions.${view.build.id}`, {
    resolver: zodResolver(shape),
    defaultValues: before,
  })
  const loads = useFieldArray({ control, name: 'loads', keyName: 'key' })
  const conditions = useFieldArray({ control, name: 'conditions', keyName: 'key' })
  const typed = useWatch({ control }) as ConditionsForm
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit(
    (form) => {
      const staying = new Set([...form.loads, ...form.conditions].map((r) => r.id))
      const edits: Edit[] = [
        ...form.loads.flatMap((load, order): Edit[] => {
          const record = { ...load, order }
          const old = view.loads.find((l) => l.id === load.id)
          return old && sameRecord(withoutVersion(old), record) ? [] : [putEdit(view, 'load', record)]
        }),
        ...form.conditions.flatMap((condition, order): Edit[] => {
          const record = { ...condition, order }
          const old = view.conditions.find((c) => c.id === condition.id)
          return old && sameRecord(withoutVersion(old), record) ? [] : [putEdit(view, 'condition', record)]
        }),
        ...view.loads.filter((l) => !staying.has(l.id)).flatMap((l) => removalOf(view, 'load', l.id)),
        ...view.conditions
          .filter((c) => !staying.has(c.id))
          .flatMap((c) => removalOf(view, 'condition', c.id)),
      ]
      const faults = save('Change the conditions', edits)
      if (faults) return setFault(faults[0]!.problem)
      kept.forget()
      onClose()
    },
    () => setFault('Something above needs another look.'),
  )
  return (
    <SideSheet open onClose={onClose} title="Conditions" wide>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the conditions">
        <h3 className="col-span-2 text-[17px]">What may be aboard</h3>
        <p className="col-span-2 -mt-2 text-[13px] text-muted">
          Beside the fuel and the driver, which the build knows. “As bought” is how full it was, or whether it
          was aboard, when the car was weighed as bought.
        </p>
        {loads.fields.map((field, i) => {
          const load = typed.loads?.[i]
          return (
            <fieldset
              key={field.key}
              className="col-span-2 grid grid-cols-4 items-start gap-2 border-t border-line pt-2"
            >
              <legend className="sr-only">Load {i + 1}</legend>
              <div className="col-span-2">
                <FormText control={control} name={`loads.${i}.name`} label={`Load ${i + 1}`} />
              </div>
              <FormSelect
                control={control}
                name={`loads.${i}.kind`}
                label="It is"
                options={[
                  ['fluid', 'a fluid'],
                  ['person', 'a person'],
                  ['thing', 'a thing'],
                ]}
              />
              <FormQuantity
                control={control}
                name={`loads.${i}.base`}
                label="As bought"
                quantity="share"
                units={units}
              />
              {load?.kind === 'fluid' ? (
                <>
                  <FormQuantity
                    control={control}
                    name={`loads.${i}.capacity`}
                    label="Holds"
                    quantity="volume"
                    units={units}
                  />
                  <FormQuantity
                    control={control}
                    name={`loads.${i}.density`}
                    label="Density"
                    quantity="density"
                    units={units}
                  />
                </>
              ) : (
                <FormQuantity
                  control={control}
                  name={`loads.${i}.mass`}
                  label="Weighs"
                  quantity="mass"
                  units={units}
                />
              )}
              <span className="self-end pb-1 text-[13px] text-muted">
                {load && `full ${formatQuantity(fullMass(load), unit('mass'))}`}
              </span>
              <Button look="quiet" className="self-end" onClick={() => loads.remove(i)}>
                Remove<span className="sr-only"> load {i + 1}</span>
              </Button>
              <FormQuantities
                control={control}
                units={units}
                fields={[
                  [`loads.${i}.position.x`, 'Behind front axle', 'length'],
                  [`loads.${i}.position.y`, 'Left', 'length'],
                  [`loads.${i}.position.z`, 'Up', 'length'],
                ]}
              />
            </fieldset>
          )
        })}
        <Button
          className="col-span-2"
          onClick={() =>
            loads.append({
              id: crypto.randomUUID(),
              name: '',
              kind: 'fluid',
              density: 1000,
              capacity: NOTHING,
              mass: null,
              position: { x: NOTHING, y: 0, z: 0.4 },
              base: 0,
              order: loads.fields.length,
            })
          }
        >
          One more load
        </Button>
        <h3 className="col-span-2 mt-3 text-[17px]">Conditions</h3>
        {conditions.fields.map((field, i) => (
          <fieldset
            key={field.key}
            className="col-span-2 grid grid-cols-4 items-start gap-2 border-t border-line pt-2"
          >
            <legend className="sr-only">Condition {i + 1}</legend>
            <div className="col-span-2">
              <FormText control={control} name={`conditions.${i}.name`} label={`Condition ${i + 1}`} />
            </div>
            <FormQuantity
              control={control}
              name={`conditions.${i}.fuel`}
              label="Fuel"
              quantity="volume"
              units={units}
            />
            <FormQuantity
              control={control}
              name={`conditions.${i}.driver`}
              label="Driver"
              quantity="mass"
              units={units}
            />
            {(typed.loads ?? []).map((load) => (
              <FormQuantity
                key={load.id}
                control={control}
                name={`conditions.${i}.amounts.${load.id}`}
                label={load.name || 'Load'}
                quantity="share"
                units={units}
              />
            ))}
            <Button look="quiet" className="self-end" onClick={() => conditions.remove(i)}>
              Remove<span className="sr-only"> condition {i + 1}</span>
            </Button>
          </fieldset>
        ))}
        <Button
          className="col-span-2"
          onClick={() =>
            conditions.append({
              id: crypto.randomUUID(),
              name: '',
              fuel: 0,
              driver: 0,
              order: conditions.fields.length,
              amounts: Object.fromEntries((typed.loads ?? []).map((l) => [l.id, 1])),
            })
          }
        >
          One more condition
        </Button>
      </SheetForm>
    </SideSheet>
  )
}
