import type { Sizing } from '@bold-ballast/contract'
import { MAP_REFERENCE } from '@bold-ballast/core'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { OptionalPart } from '../../../ui/record/OptionalPart'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { NOTHING } from '../../../ui/record/nothing'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { useSizing } from '../useSizing'

const { Field, Fields } = fieldsOf('sizing')

type Part<K extends keyof Sizing> = NonNullable<Sizing[K]>
const rpm = (n: number) => (n * Math.PI) / 30
const LITRES_HOUR = 0.001 / 3600

const usualEngine = (): Part<'engine'> => ({
  fuelUse: 8.45e-8,
  displacement: NOTHING,
  volumetricEfficiency: 0.95,
  lambda: 0.82,
  powerSpeed: rpm(6500),
  boost: 0,
  ethanol: 0.05,
})
const blankPump = (): Part<'fuel'>['pumps'][number] => ({
  name: 'In the tank',
  count: 1,
  curve: {
    voltage: 13.5,
    points: [
      { pressure: 3e5, flow: NOTHING },
      { pressure: 4e5, flow: NOTHING },
    ],
  },
})
/** A pump gives a tenth less against a bar more. */
const nextPoint = (last: Readonly<Record<string, unknown>> | undefined) => {
  const [pressure, flow] = [last?.['pressure'], last?.['flow']]
  return {
    pressure: (typeof pressure === 'number' ? pressure : 3e5) + 1e5,
    flow: typeof flow === 'number' && flow > 0 ? Math.max(LITRES_HOUR, flow * 0.9) : NOTHING,
  }
}
const blankFuel = (): Part<'fuel'> => ({
  injectors: { count: 4, flow: NOTHING, ratedPressure: 3e5, deadTime: 0.0009, maxDuty: 0.85 },
  pumps: [blankPump()],
  voltage: 13.5,
  railPressure: 3e5,
  regulator: 'referenced',
  lineBore: 0.008,
  lineLength: 4,
  spare: 0.15,
})
const usualAir = (): Part<'air'> => ({
  outside: { pressure: 101_300, temperature: 293.15 },
  inletLoss: 2000,
  intercooler: null,
  compressor: null,
})
const usualIntercooler = () => ({ effectiveness: 0.7, pressureLoss: 8000, rating: null })
const usualCompressor = () => ({ count: 1, island: [], reference: MAP_REFERENCE, rating: null })
const blankMapPoint = () => ({ flow: NOTHING, ratio: NOTHING, efficiency: 0.7 })

/** Engine, fuel system and air, in one sheet: they answer one question. */
export function EngineSheet({ onClose }: { onClose: () => void }) {
  const { sizing } = useSizing()
  const start = { ...sizing, engine: sizing.engine ?? usualEngine(), fuel: sizing.fuel ?? blankFuel() }
  const form = useRecordForm('sizing', start, {
    draft: 'engine',
    says: () => 'Change engine, fuel and air',
    onSaved: onClose,
    completed: ({ engine, fuel, air }) => ({ ...sizing, engine, fuel, air }),
  })
  return (
    <RecordSheet
      form={form}
      title="Engine, fuel and air"
      says="Save engine, fuel and air"
      wide
      onClose={onClose}
    >
      <Fields
        names={[
          'engine.displacement',
          'engine.powerSpeed',
          'engine.fuelUse',
          'engine.ethanol',
          'engine.volumetricEfficiency',
          'engine.lambda',
          'engine.boost',
        ]}
      />
      <OptionalPart name="fuel" label="The fuel system" blank={blankFuel}>
        <Fields names={['fuel.injectors.count', 'fuel.injectors.flow']} />
        <Field name="fuel.injectors.ratedPressure" label="measured at" />
        <Fields
          names={['fuel.injectors.deadTime', 'fuel.injectors.maxDuty', 'fuel.railPressure', 'fuel.regulator']}
        />
        <Pumps />
        <Fields names={['fuel.voltage', 'fuel.spare', 'fuel.lineBore', 'fuel.lineLength']} />
      </OptionalPart>
      <OptionalPart name="air" label="Air and boost" blank={usualAir}>
        <Fields names={['air.outside.temperature', 'air.outside.pressure', 'air.inletLoss']} />
        <OptionalPart name="air.intercooler" label="Intercooler" blank={usualIntercooler}>
          <Fields
            names={[
              'air.intercooler.effectiveness',
              'air.intercooler.pressureLoss',
              'air.intercooler.rating',
            ]}
          />
        </OptionalPart>
        <OptionalPart name="air.compressor" label="Compressor" blank={usualCompressor}>
          <Fields
            names={['air.compressor.count', 'air.compressor.rating', 'air.compressor.reference.pressure']}
          />
          <Field name="air.compressor.reference.temperature" label="and air of" />
          <Rows
            name="air.compressor.island"
            one="map point"
            adds="point of the map"
            most={40}
            blank={blankMapPoint}
            className="grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2"
            removes="beside"
          >
            {(i) => (
              <>
                <Field name={`air.compressor.island.${i}.flow`} label={`Map ${i + 1}, flow`} />
                <Fields
                  names={[`air.compressor.island.${i}.ratio`, `air.compressor.island.${i}.efficiency`]}
                />
              </>
            )}
          </Rows>
        </OptionalPart>
      </OptionalPart>
    </RecordSheet>
  )
}

/** Pumps with points off their sheets. */
function Pumps() {
  return (
    <Rows
      name="fuel.pumps"
      one="pump"
      adds="kind of pump"
      least={1}
      most={4}
      blank={blankPump}
      className="grid grid-cols-2 gap-3 border-t border-line pt-2"
    >
      {(at) => (
        <>
          <Field name={`fuel.pumps.${at}.name`} label={`Pump ${at + 1}`} />
          <Fields names={[`fuel.pumps.${at}.count`, `fuel.pumps.${at}.curve.voltage`]} />
          <Rows
            name={`fuel.pumps.${at}.curve.points`}
            one="point"
            adds="point of the sheet"
            of={`of pump ${at + 1}`}
            least={2}
            most={20}
            blank={nextPoint}
            className="grid grid-cols-[1fr_1fr_auto] items-end gap-2"
            removes="beside"
          >
            {(i) => (
              <>
                <Field
                  name={`fuel.pumps.${at}.curve.points.${i}.pressure`}
                  label={`Point ${i + 1}, against`}
                />
                <Field name={`fuel.pumps.${at}.curve.points.${i}.flow`} label="it gives" />
              </>
            )}
          </Rows>
        </>
      )}
    </Rows>
  )
}
