import { RECORDS, type Sizing } from '@bold-ballast/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useFieldArray } from 'react-hook-form'
import { useBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { FormQuantities, FormText } from '../../ui/form'
import { FormNumber } from '../../ui/FormNumber'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'
import { useSizing } from './useSizing'

type SizingForm = Omit<Sizing, 'version'>
const NOTHING = undefined as unknown as number
export const usualSupply = (): NonNullable<SizingForm['electrics']> => ({
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
  const { units } = useBuild()
  const { sizing, saveSizing } = useSizing()
  const { control, handleSubmit, kept } = useKeptForm<SizingForm>(`supply.${sizing.stageId}`, {
    resolver: zodResolver(RECORDS.sizing),
    defaultValues: { ...sizing, electrics: sizing.electrics ?? usualSupply() },
  })
  const classes = useFieldArray({ control, name: 'electrics.classes', keyName: 'key' })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit(({ electrics }) => {
    if (!electrics) return
    const problem = saveSizing('Change battery, alternator and module', {
      electrics: { ...electrics, circuits: sizing.electrics?.circuits ?? [] },
    })
    if (problem) return setFault(problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title="Battery, alternator, module">
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save battery, alternator and module">
        <FormQuantities
          control={control}
          units={units}
          fields={[
            ['electrics.voltage', 'Voltage, running', 'voltage'],
            ['electrics.allowedDrop', 'A wire may lose', 'share'],
            ['electrics.alternatorIdle', 'Alternator at idle', 'current'],
            ['electrics.alternatorSpeed', 'Alternator at speed', 'current'],
            ['electrics.batteryCharge', 'Battery', 'charge'],
            ['electrics.batteryMass', 'It weighs', 'mass'],
          ]}
        />
        <h3 className="col-span-2 mt-2 text-[17px]">Outputs of the power module</h3>
        {classes.fields.map((kind, i) => (
          <fieldset
            key={kind.key}
            className="col-span-2 grid grid-cols-2 items-start gap-3 border-t border-line pt-2"
          >
            <legend className="sr-only">Class {i + 1}</legend>
            <FormText control={control} name={`electrics.classes.${i}.name`} label={`Class ${i + 1}`} />
            <FormNumber control={control} name={`electrics.classes.${i}.count`} label="How many" />
            <FormQuantities
              control={control}
              units={units}
              fields={[
                [`electrics.classes.${i}.limit`, 'Each for good', 'current'],
                [`electrics.classes.${i}.inrushLimit`, 'at the start', 'current'],
              ]}
            />
            <Button
              look="quiet"
              className="col-span-2 justify-self-start !px-0 !text-muted"
              onClick={() => classes.remove(i)}
            >
              Remove class {i + 1}
            </Button>
          </fieldset>
        ))}
        <Button
          className="col-span-2"
          disabled={classes.fields.length >= 12}
          onClick={() => classes.append({ name: '', count: NOTHING, limit: NOTHING, inrushLimit: NOTHING })}
        >
          One more class
        </Button>
      </SheetForm>
    </SideSheet>
  )
}
