import type { Sizing } from '@bold-ballast/contract'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { useSizing } from '../useSizing'

const { Field, Fields } = fieldsOf('sizing')

export const usualSupply = (): NonNullable<Sizing['electrics']> => ({
  voltage: 13.8,
  allowedDrop: 0.03,
  alternatorIdle: 35,
  alternatorSpeed: 80,
  batteryCharge: 20 * 3600,
  batteryMass: 5,
  classes: [],
  circuits: [],
})

/** Battery, alternator, and the classes of outputs that a power module has. */
export function SupplySheet({ onClose }: { onClose: () => void }) {
  const { sizing } = useSizing()
  const start = { ...sizing, electrics: sizing.electrics ?? usualSupply() }
  const form = useRecordForm('sizing', start, {
    draft: 'supply',
    says: () => 'Change battery, alternator and module',
    onSaved: onClose,
    completed: ({ electrics }) => ({
      ...sizing,
      electrics: electrics && { ...electrics, circuits: sizing.electrics?.circuits ?? [] },
    }),
  })
  return (
    <RecordSheet
      form={form}
      title="Battery, alternator, module"
      says="Save battery, alternator and module"
      onClose={onClose}
    >
      <Fields
        names={[
          'electrics.voltage',
          'electrics.allowedDrop',
          'electrics.alternatorIdle',
          'electrics.alternatorSpeed',
          'electrics.batteryCharge',
          'electrics.batteryMass',
        ]}
      />
      <h3 className="col-span-2 mt-2 text-[17px]">Outputs of the power module</h3>
      <Rows name="electrics.classes" one="class" most={12} blank={() => ({ name: '' })}>
        {(i) => (
          <>
            <Field name={`electrics.classes.${i}.name`} label={`Class ${i + 1}`} />
            <Fields names={[`electrics.classes.${i}.count`, `electrics.classes.${i}.limit`]} />
            <Field name={`electrics.classes.${i}.inrushLimit`} label="at the start" />
          </>
        )}
      </Rows>
    </RecordSheet>
  )
}
