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
import { useWatch } from 'react-hook-form'
import * as z from 'zod'
import { useBuild } from '../../../store/useBuild'
import { fieldsTyped } from '../../../ui/record/fieldsOf'
import { NOTHING } from '../../../ui/record/nothing'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { useSchemaForm } from '../../../ui/record/useSchemaForm'

const shape = z.strictObject({ loads: z.array(RECORDS.load), conditions: z.array(RECORDS.condition) })
type ConditionsForm = z.infer<typeof shape>

const { Field, Fields } = fieldsTyped<ConditionsForm>()
const ROW = 'grid grid-cols-4 items-start gap-2 border-t border-line pt-2 max-sm:grid-cols-2'
/** Its place in the list is given when all of them are saved. */
const blankLoad = () => ({
  id: crypto.randomUUID(),
  name: '',
  kind: 'fluid',
  density: 1000,
  capacity: NOTHING,
  mass: null,
  position: { x: NOTHING, y: 0, z: 0.4 },
  base: 0,
  order: 0,
})

/** What may be aboard, and the conditions made of it. */
export function ConditionsSheet({ onClose }: { onClose: () => void }) {
  const { view, unit, save } = useBuild()
  const byOrder = (a: { order: number }, b: { order: number }) => a.order - b.order
  const before: ConditionsForm = {
    loads: view.loads.map((l: Load) => withoutVersion(l)).sort(byOrder),
    conditions: view.conditions.map((c: Condition) => withoutVersion(c)).sort(byOrder),
  }
  const form = useSchemaForm<ConditionsForm>(`conditions.${view.build.id}`, shape, before, (filled) => {
    const staying = new Set([...filled.loads, ...filled.conditions].map((r) => r.id))
    const edits: Edit[] = [
      ...filled.loads.flatMap((load, order): Edit[] => {
        const record = { ...load, order }
        const old = view.loads.find((l) => l.id === load.id)
        return old && sameRecord(withoutVersion(old), record) ? [] : [putEdit(view, 'load', record)]
      }),
      ...filled.conditions.flatMap((condition, order): Edit[] => {
        const record = { ...condition, order }
        const old = view.conditions.find((c) => c.id === condition.id)
        return old && sameRecord(withoutVersion(old), record) ? [] : [putEdit(view, 'condition', record)]
      }),
      ...view.loads.filter((l) => !staying.has(l.id)).flatMap((l) => removalOf(view, 'load', l.id)),
      ...view.conditions.filter((c) => !staying.has(c.id)).flatMap((c) => removalOf(view, 'condition', c.id)),
    ]
    const faults = save('Change the conditions', edits)
    if (faults) return faults[0].problem
    onClose()
    return null
  })
  const typed = useWatch({ control: form.control }) as ConditionsForm
  return (
    <RecordSheet form={form} title="Conditions" says="Save the conditions" onClose={onClose} wide>
      <h3 className="col-span-2 text-[17px]">What may be aboard</h3>
      <p className="col-span-2 -mt-2 text-[13px] text-muted">
        Beside the fuel and the driver, which the build knows. “As bought” is how full it was, or whether it
        was aboard, when the car was weighed as bought.
      </p>
      <Rows name="loads" one="load" blank={blankLoad} className={ROW} removes="beside">
        {(i) => {
          const load = typed.loads?.[i]
          return (
            <>
              <Field name={`loads.${i}.name`} label={`Load ${i + 1}`} isWide />
              <Fields names={[`loads.${i}.kind`, `loads.${i}.base`]} />
              {load?.kind === 'fluid' ? (
                <Fields names={[`loads.${i}.capacity`, `loads.${i}.density`]} />
              ) : (
                <Field name={`loads.${i}.mass`} />
              )}
              <span
                className={`self-end pb-1 text-[13px] text-muted ${load?.kind === 'fluid' ? 'col-span-2' : 'col-span-3 max-sm:col-span-1'}`}
              >
                {load && `full ${formatQuantity(fullMass(load), unit('mass'))}`}
              </span>
              <Field name={`loads.${i}.position.x`} label="Behind front axle" />
              <Field name={`loads.${i}.position.y`} label="Left" />
              <Field name={`loads.${i}.position.z`} label="Up" />
            </>
          )
        }}
      </Rows>
      <h3 className="col-span-2 mt-3 text-[17px]">Conditions</h3>
      <Rows
        name="conditions"
        one="condition"
        blank={() => ({
          id: crypto.randomUUID(),
          name: '',
          fuel: 0,
          driver: 0,
          order: 0,
          amounts: Object.fromEntries((typed.loads ?? []).map((l) => [l.id, 1])),
        })}
        className={ROW}
        removes="beside"
      >
        {(i) => (
          <>
            <Field name={`conditions.${i}.name`} label={`Condition ${i + 1}`} isWide />
            <Field name={`conditions.${i}.fuel`} label="Fuel" />
            <Field name={`conditions.${i}.driver`} label="Driver" hint="" />
            {(typed.loads ?? []).map((load) => (
              <Field key={load.id} name={`conditions.${i}.amounts.${load.id}`} label={load.name || 'Load'} />
            ))}
          </>
        )}
      </Rows>
    </RecordSheet>
  )
}
