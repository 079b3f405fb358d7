import type { Sizing } from '@bold-ballast/contract'
import { chooseFuse, chooseWire, itemAt } from '@bold-ballast/core'
import { useWatch } from 'react-hook-form'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { NOTHING } from '../../../ui/record/nothing'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { usualSupply } from './SupplySheet'
import { useSizing } from '../useSizing'

const { Field, Fields } = fieldsOf('sizing')

type Electrics = NonNullable<Sizing['electrics']>
type Circuit = Electrics['circuits'][number]

/** The circuits as they are now, with one of them as it was typed. */
function withCircuit(supply: Electrics, typed: Circuit): Electrics {
  const circuit = { ...typed, channel: typed.channel || null }
  const isNew = !supply.circuits.some((c) => c.id === circuit.id)
  const circuits = supply.circuits.map((c) => (c.id === circuit.id ? circuit : c))
  return { ...supply, circuits: isNew ? [...circuits, circuit] : circuits }
}

/** One circuit of the loom: what it draws, when, how far away, and the wire and fuse it was built with. */
export function CircuitSheet({ circuitId, onClose }: { circuitId: string | null; onClose: () => void }) {
  const { sizing } = useSizing()
  const supply = sizing.electrics ?? usualSupply()
  const found = supply.circuits.findIndex((c) => c.id === circuitId)
  const at = found < 0 ? supply.circuits.length : found
  const blank: Circuit = {
    id: crypto.randomUUID(),
    name: '',
    current: NOTHING,
    inrush: NOTHING,
    duty: 1,
    use: 'running',
    length: NOTHING,
    returnWire: false,
    wireArea: null,
    fuse: null,
    channel: null,
  }
  const start = {
    ...sizing,
    electrics: { ...supply, circuits: found < 0 ? [...supply.circuits, blank] : supply.circuits },
  }
  const form = useRecordForm('sizing', start, {
    draft: `circuit.${circuitId ?? 'new'}`,
    says: ({ electrics }) => `${found < 0 ? 'Add' : 'Change'} ${electrics?.circuits[at]?.name}`,
    completed: ({ electrics }) => ({
      ...sizing,
      electrics: electrics && withCircuit(supply, itemAt(electrics.circuits, at)),
    }),
    onSaved: onClose,
  })
  const { control } = form
  const typed = useWatch({ control, name: `electrics.circuits.${at}` })
  const advice = () => {
    const { current, length, returnWire } = typed ?? blank
    if (!(current > 0) || !(length > 0)) return null
    const wire = chooseWire(current, length * (returnWire ? 2 : 1), supply.voltage * supply.allowedDrop)
    if (wire.area === null) return 'No wire that is sold carries this so far.'
    const fuse = chooseFuse(current, wire.area)
    return `Advised: ${Number((wire.area * 1e6).toFixed(2))} mm² (${wire.because === 'drop' ? 'for the drop' : 'for the current'}), loses ${wire.drop.toFixed(2)} V${fuse ? `, fuse ${fuse} A` : ''}.`
  }
  const field = `electrics.circuits.${at}` as const
  return (
    <RecordSheet
      form={form}
      title={found < 0 ? 'Add a circuit' : 'Change the circuit'}
      says="Save the circuit"
      onClose={onClose}
    >
      <Field name={`${field}.name`} isWide autoFocus />
      <Fields
        names={[`${field}.current`, `${field}.inrush`, `${field}.duty`, `${field}.use`, `${field}.length`]}
      />
      <Field
        name={`${field}.channel`}
        options={[
          ['', 'own fuse and relay'],
          ...supply.classes.map((c): [string, string] => [c.name, `${c.name}, ${c.limit} A`]),
        ]}
      />
      <Field name={`${field}.returnWire`} isWide />
      <Fields names={[`${field}.wireArea`, `${field}.fuse`]} />
      <p className="col-span-2 text-[13.5px]" role="status">
        {advice()}
      </p>
    </RecordSheet>
  )
}
