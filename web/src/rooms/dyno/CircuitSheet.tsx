import { RECORDS, type Sizing, USE } from '@bold-ballast/contract'
import { chooseFuse, chooseWire } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useWatch } from 'react-hook-form'
import { useBuild } from '../../store/useBuild'
import { FormCheck, FormQuantities, FormSelect, FormText } from '../../ui/form'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'
import { optionsOf } from '../../ui/optionsOf'
import { usualSupply } from './SupplySheet'
import { useSizing } from './useSizing'
import { NOTHING } from '../../ui/record/nothing'

type SizingForm = Omit<Sizing, 'version'>
type Circuit = NonNullable<SizingForm['electrics']>['circuits'][number]

/** One circuit of the loom: what it draws, when, how far away, and the wire and fuse it was built with. */
export function CircuitSheet({ circuitId, onClose }: { circuitId: string | null; onClose: () => void }) {
  const { units } = useBuild()
  const { sizing, saveSizing } = useSizing()
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
  const [start] = useState<SizingForm>(() => ({
    ...sizing,
    electrics: { ...supply, circuits: found < 0 ? [...supply.circuits, blank] : supply.circuits },
  }))
  const { control, handleSubmit, kept } = useKeptForm<SizingForm>(`circuit.${circuitId ?? sizing.stageId}`, {
    resolver: zodResolver(RECORDS.sizing),
    defaultValues: start,
  })
  const [fault, setFault] = useState<string | null>(null)
  const typed = useWatch({ control, name: `electrics.circuits.${at}` })
  const submit = handleSubmit(({ electrics }) => {
    const circuit = electrics?.circuits[at]
    if (!circuit) return
    const record = { ...circuit, channel: circuit.channel || null }
    const others = supply.circuits.filter((c) => c.id !== record.id)
    const circuits =
      found < 0 ? [...others, record] : supply.circuits.map((c) => (c.id === record.id ? record : c))
    const problem = saveSizing(`${found < 0 ? 'Add' : 'Change'} ${record.name}`, {
      electrics: { ...supply, circuits },
    })
    if (problem) return setFault(problem)
    kept.forget()
    onClose()
  })
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
    <SideSheet open onClose={onClose} title={found < 0 ? 'Add a circuit' : 'Change the circuit'}>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the circuit">
        <div className="col-span-2">
          <FormText
            control={control}
            name={`${field}.name`}
            label="Circuit"
            hint="Such as fuel pump"
            autoFocus
          />
        </div>
        <FormQuantities
          control={control}
          units={units}
          fields={[
            [`${field}.current`, 'Draws', 'current'],
            [
              `${field}.inrush`,
              'At the start',
              'current',
              { hint: 'Motors take three to five times as much' },
            ],
            [`${field}.duty`, 'Share of the time', 'share'],
          ]}
        />
        <FormSelect control={control} name={`${field}.use`} label="When" options={optionsOf(USE)} />
        <FormQuantities
          control={control}
          units={units}
          fields={[[`${field}.length`, 'One way', 'length', { unitSymbol: 'm' }]]}
        />
        <FormSelect
          control={control}
          name={`${field}.channel`}
          label="Output"
          options={[
            ['', 'own fuse and relay'],
            ...supply.classes.map((c): [string, string] => [c.name, `${c.name}, ${c.limit} A`]),
          ]}
        />
        <div className="col-span-2">
          <FormCheck
            control={control}
            name={`${field}.returnWire`}
            label="The return is a wire, not the shell"
          />
        </div>
        <FormQuantities
          control={control}
          units={units}
          fields={[
            [`${field}.wireArea`, 'Wire, as built', 'area', { unitSymbol: 'mm²', hint: 'Empty: as advised' }],
            [`${field}.fuse`, 'Fuse, as built', 'current', { hint: 'Empty: as advised' }],
          ]}
        />
        <p className="col-span-2 text-[13.5px]" role="status">
          {advice()}
        </p>
      </SheetForm>
    </SideSheet>
  )
}
