import { RECORDS, type Sizing, OIL_COOLER_PLACE } from '@bold-ballast/contract'
import { OIL_COOLER_PLACES } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useBuild } from '../../store/useBuild'
import { FormQuantities, FormSelect } from '../../ui/form'
import { FormNumber } from '../../ui/FormNumber'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'
import { useSizing } from './useSizing'

type SizingForm = Omit<Sizing, 'version'>
const NOTHING = undefined as unknown as number

/** A middling system; the core is asked for. */
const usualCooling = (wheelbase: number): NonNullable<SizingForm['cooling']> => ({
  coolantShare: 0.45,
  oilShare: 0.08,
  dutyCycle: 0.6,
  coreArea: NOTHING,
  coreTransfer: 3500,
  ratedAirSpeed: 6,
  oilCoolerPlace: 'own',
  heatAhead: 0,
  ductShare: 0.25,
  oilCoolerArea: 0.03,
  coolantVolume: 0.007,
  coolantDensity: 1050,
  thermostat: 355.15,
  blanking: 0,
  radiatorMass: 6,
  radiatorX: -0.35,
  roadSpeed: 110 / 3.6,
  airTemperature: 301.15,
  move: { to: Number((wheelbase + 0.3).toFixed(2)), hoses: 5 },
})

/** Radiator, ducts, oil cooler, coolant, and the lap it has to last. */
export function CoolingSheet({ onClose }: { onClose: () => void }) {
  const { view, units } = useBuild()
  const { sizing, saveSizing } = useSizing()
  const { control, handleSubmit, kept } = useKeptForm<SizingForm>(`cooling.${sizing.stageId}`, {
    resolver: zodResolver(RECORDS.sizing),
    defaultValues: { ...sizing, cooling: sizing.cooling ?? usualCooling(view.build.wheelbase) },
  })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit(({ cooling }) => {
    const problem = saveSizing('Change the cooling', { cooling })
    if (problem) return setFault(problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title="Cooling">
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the cooling">
        <FormQuantities
          control={control}
          units={units}
          fields={[
            [
              'cooling.coreArea',
              'Radiator core, frontal',
              'area',
              { unitSymbol: 'm²', hint: '600 × 400 mm is 0.24 m²' },
            ],
            ['cooling.blanking', 'Blanked off', 'share'],
          ]}
        />
        <FormNumber
          control={control}
          name="cooling.coreTransfer"
          label="Transfer, W/(m²·K)"
          hint="2,500 to 4,500 by thickness"
        />
        <FormQuantities
          control={control}
          units={units}
          fields={[
            ['cooling.ratedAirSpeed', 'at an air speed of', 'velocity', { unitSymbol: 'm/s' }],
            [
              'cooling.ductShare',
              'Air speed in the core',
              'share',
              { hint: 'Of road speed: 15 % open, 30 % well ducted' },
            ],
            ['cooling.thermostat', 'Thermostat opens at', 'temperature', { hint: 'Empty for none' }],
            ['cooling.oilCoolerArea', 'Oil cooler core', 'area', { unitSymbol: 'm²', hint: '0 for none' }],
          ]}
        />
        <FormSelect
          control={control}
          name="cooling.oilCoolerPlace"
          label="The oil cooler stands"
          options={OIL_COOLER_PLACES.map((place) => [place, OIL_COOLER_PLACE[place]])}
        />
        <FormQuantities
          control={control}
          units={units}
          fields={[
            [
              'cooling.heatAhead',
              'Other cores heat its air by',
              'power',
              { hint: 'Intercooler, condenser; 0 for none' },
            ],
            ['cooling.coolantShare', 'Heat into coolant', 'share', { hint: 'Of crank power: 35 to 55 %' }],
            ['cooling.oilShare', 'Heat into oil', 'share', { hint: '5 to 12 %' }],
            ['cooling.dutyCycle', 'Power over a lap', 'share', { hint: 'Drift 40 %, circuit 60 to 75 %' }],
            ['cooling.roadSpeed', 'Mean speed of a lap', 'velocity'],
            ['cooling.airTemperature', 'Outside air', 'temperature'],
            ['cooling.coolantVolume', 'Coolant', 'volume'],
            ['cooling.coolantDensity', 'It weighs', 'density'],
            ['cooling.radiatorMass', 'Radiator, dry', 'mass'],
            [
              'cooling.radiatorX',
              'It sits behind the axle',
              'length',
              { hint: 'Below zero: ahead of the front axle' },
            ],
            ['cooling.move.to', 'It might move to', 'length'],
            ['cooling.move.hoses', 'with hoses of', 'mass'],
          ]}
        />
      </SheetForm>
    </SideSheet>
  )
}
