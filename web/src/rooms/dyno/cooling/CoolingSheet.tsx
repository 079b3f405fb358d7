import { useBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { NOTHING } from '../../../ui/record/nothing'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { useSizing } from '../useSizing'

const { Fields } = fieldsOf('sizing')

/** A middling system; the core is asked for. */
const usualCooling = (wheelbase: number) => ({
  coolantShare: 0.45,
  oilShare: 0.08,
  dutyCycle: 0.6,
  coreArea: NOTHING,
  coreTransfer: 3500,
  ratedAirSpeed: 6,
  oilCoolerPlace: 'own' as const,
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
  const { built } = useBuild()
  const { sizing } = useSizing()
  const start = { ...sizing, cooling: sizing.cooling ?? usualCooling(built.wheelbase) }
  const form = useRecordForm('sizing', start, {
    draft: 'cooling',
    says: () => 'Change the cooling',
    onSaved: onClose,
    completed: ({ cooling }) => ({ ...sizing, cooling }),
  })
  return (
    <RecordSheet form={form} title="Cooling" says="Save the cooling" onClose={onClose}>
      <Fields
        names={[
          'cooling.coreArea',
          'cooling.blanking',
          'cooling.coreTransfer',
          'cooling.ratedAirSpeed',
          'cooling.ductShare',
          'cooling.thermostat',
          'cooling.oilCoolerArea',
          'cooling.oilCoolerPlace',
          'cooling.heatAhead',
          'cooling.coolantShare',
          'cooling.oilShare',
          'cooling.dutyCycle',
          'cooling.roadSpeed',
          'cooling.airTemperature',
          'cooling.coolantVolume',
          'cooling.coolantDensity',
          'cooling.radiatorMass',
          'cooling.radiatorX',
          'cooling.move.to',
          'cooling.move.hoses',
        ]}
      />
    </RecordSheet>
  )
}
