import { RECORDS, type Sizing } from '@bold-ballast/contract'
import { MAP_REFERENCE } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useFieldArray, useWatch, type Control } from 'react-hook-form'
import { useBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { FormQuantities, FormSelect, FormText } from '../../ui/form'
import { FormNumber } from '../../ui/FormNumber'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'
import { useSizing } from './useSizing'

type SizingForm = Omit<Sizing, 'version'>
type Part<K extends keyof SizingForm> = NonNullable<SizingForm[K]>
const NOTHING = undefined as unknown as number
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

/** Engine, fuel system and air, in one sheet: they answer one question. */
export function EngineSheet({ onClose }: { onClose: () => void }) {
  const { units } = useBuild()
  const { sizing, saveSizing } = useSizing()
  const { control, handleSubmit, setValue, kept } = useKeptForm<SizingForm>(`engine.${sizing.stageId}`, {
    resolver: zodResolver(RECORDS.sizing),
    defaultValues: { ...sizing, engine: sizing.engine ?? usualEngine(), fuel: sizing.fuel ?? blankFuel() },
  })
  const [fault, setFault] = useState<string | null>(null)
  const fuel = useWatch({ control, name: 'fuel' })
  const air = useWatch({ control, name: 'air' })
  const submit = handleSubmit(({ engine, fuel: typedFuel, air: typedAir }) => {
    const problem = saveSizing('Change engine, fuel and air', { engine, fuel: typedFuel, air: typedAir })
    if (problem) return setFault(problem)
    kept.forget()
    onClose()
  })
  const tick = (words: string, on: boolean, onChange: (on: boolean) => void) => (
    <label className="col-span-2 mt-2 flex items-center gap-2 border-t border-line pt-3">
      <input
        type="checkbox"
        className="size-4 accent-blued"
        checked={on}
        onChange={(e) => onChange(e.target.checked)}
      />
      {words}
    </label>
  )
  return (
    <SideSheet open onClose={onClose} title="Engine, fuel and air" wide>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save engine, fuel and air">
        <FormQuantities
          control={control}
          units={units}
          fields={[
            ['engine.displacement', 'Displacement', 'volume', { unitSymbol: 'l' }],
            ['engine.powerSpeed', 'Peak power at', 'engineSpeed'],
            [
              'engine.fuelUse',
              'Fuel use on petrol',
              'fuelUse',
              { hint: '300 g/kWh (0.5 lb/hp·h) is usual; boosted 320' },
            ],
            ['engine.ethanol', 'Ethanol, measured', 'share'],
            [
              'engine.volumetricEfficiency',
              'Volumetric efficiency',
              'share',
              { hint: '85 to 105 % at peak power' },
            ],
            ['engine.lambda', 'Mixture', 'lambda'],
            ['engine.boost', 'Boost now', 'pressure', { hint: 'Over the outside air; 0 for none' }],
          ]}
        />
        {tick('The fuel system', Boolean(fuel), (on) => setValue('fuel', on ? blankFuel() : null))}
        {fuel && (
          <>
            <FormNumber control={control} name="fuel.injectors.count" label="Injectors" />
            <FormQuantities
              control={control}
              units={units}
              fields={[
                ['fuel.injectors.flow', 'Flow of each', 'volumeFlow', { unitSymbol: 'cc/min' }],
                ['fuel.injectors.ratedPressure', 'measured at', 'pressure', { unitSymbol: 'bar' }],
                [
                  'fuel.injectors.deadTime',
                  'Dead time',
                  'time',
                  { unitSymbol: 'ms', hint: 'At the running voltage' },
                ],
                ['fuel.injectors.maxDuty', 'Open at most', 'share'],
                ['fuel.railPressure', 'Rail pressure', 'pressure', { unitSymbol: 'bar' }],
              ]}
            />
            <FormSelect
              control={control}
              name="fuel.regulator"
              label="Regulator"
              options={[
                ['referenced', 'follows the manifold'],
                ['fixed', 'fixed, to the outside air'],
              ]}
            />
            <Pumps control={control} />
            <FormQuantities
              control={control}
              units={units}
              fields={[
                ['fuel.voltage', 'Voltage at the pumps', 'voltage', { hint: 'Under load' }],
                ['fuel.spare', 'Kept in hand', 'share'],
                ['fuel.lineBore', 'Line, inside', 'length', { unitSymbol: 'mm' }],
                ['fuel.lineLength', 'Line, length', 'length', { unitSymbol: 'm' }],
              ]}
            />
          </>
        )}
        {tick('Air and boost', Boolean(air), (on) => setValue('air', on ? usualAir() : null))}
        {air && (
          <>
            <FormQuantities
              control={control}
              units={units}
              fields={[
                ['air.outside.temperature', 'Outside air', 'temperature'],
                ['air.outside.pressure', 'Barometer', 'pressure', { unitSymbol: 'kPa' }],
                ['air.inletLoss', 'Lost in the filter', 'pressure', { unitSymbol: 'kPa' }],
              ]}
            />
            {tick('Intercooler', Boolean(air.intercooler), (on) =>
              setValue(
                'air.intercooler',
                on ? { effectiveness: 0.7, pressureLoss: 8000, rating: null } : null,
              ),
            )}
            {air.intercooler && (
              <FormQuantities
                control={control}
                units={units}
                fields={[
                  ['air.intercooler.effectiveness', 'Effectiveness', 'share', { hint: '60 to 80 %' }],
                  ['air.intercooler.pressureLoss', 'Pressure lost in it', 'pressure', { unitSymbol: 'kPa' }],
                  [
                    'air.intercooler.rating',
                    'Rated to, crank',
                    'power',
                    { hint: 'The maker’s figure, or empty' },
                  ],
                ]}
              />
            )}
            {tick('Compressor', Boolean(air.compressor), (on) =>
              setValue(
                'air.compressor',
                on ? { count: 1, island: [], reference: MAP_REFERENCE, rating: null } : null,
              ),
            )}
            {air.compressor && <Compressor control={control} />}
          </>
        )}
      </SheetForm>
    </SideSheet>
  )
}

/** Pumps with points off their sheets. */
function Pumps({ control }: { control: Control<SizingForm> }) {
  const { units } = useBuild()
  const pumps = useFieldArray({ control, name: 'fuel.pumps', keyName: 'key' })
  return (
    <>
      {pumps.fields.map((pump, i) => (
        <fieldset key={pump.key} className="col-span-2 grid grid-cols-2 gap-3 border-t border-line pt-2">
          <legend className="sr-only">Pump {i + 1}</legend>
          <FormText control={control} name={`fuel.pumps.${i}.name`} label={`Pump ${i + 1}`} />
          <FormNumber control={control} name={`fuel.pumps.${i}.count`} label="How many of it" />
          <FormQuantities
            control={control}
            units={units}
            fields={[[`fuel.pumps.${i}.curve.voltage`, 'Its sheet was made at', 'voltage']]}
          />
          {pumps.fields.length > 1 && (
            <Button look="quiet" className="self-end" onClick={() => pumps.remove(i)}>
              Remove pump {i + 1}
            </Button>
          )}
          <PumpPoints control={control} pump={i} />
        </fieldset>
      ))}
      <Button
        className="col-span-2"
        disabled={pumps.fields.length >= 4}
        onClick={() => pumps.append(blankPump())}
      >
        One more kind of pump
      </Button>
    </>
  )
}

function PumpPoints({ control, pump }: { control: Control<SizingForm>; pump: number }) {
  const { units } = useBuild()
  const points = useFieldArray({ control, name: `fuel.pumps.${pump}.curve.points`, keyName: 'key' })
  return (
    <>
      {points.fields.map((point, i) => (
        <div key={point.key} className="col-span-2 grid grid-cols-[1fr_1fr_auto] items-start gap-2">
          <FormQuantities
            control={control}
            units={units}
            fields={[
              [
                `fuel.pumps.${pump}.curve.points.${i}.pressure`,
                `Point ${i + 1}, against`,
                'pressure',
                { unitSymbol: 'bar' },
              ],
              [`fuel.pumps.${pump}.curve.points.${i}.flow`, 'it gives', 'volumeFlow', { unitSymbol: 'l/h' }],
            ]}
          />
          <Button
            look="quiet"
            className="mt-6"
            disabled={points.fields.length <= 2}
            onClick={() => points.remove(i)}
          >
            Remove<span className="sr-only"> point {i + 1}</span>
          </Button>
        </div>
      ))}
      <Button
        className="col-span-2"
        disabled={points.fields.length >= 20}
        onClick={() => {
          const last = points.fields.at(-1)
          points.append({
            pressure: (last?.pressure ?? 3e5) + 1e5,
            flow: Math.max(LITRES_HOUR, (last?.flow ?? 0) * 0.9) || NOTHING,
          })
        }}
      >
        One more point of the sheet
      </Button>
    </>
  )
}

/** How many compressors, their rating, and points off the map. */
function Compressor({ control }: { control: Control<SizingForm> }) {
  const { units } = useBuild()
  const island = useFieldArray({ control, name: 'air.compressor.island', keyName: 'key' })
  return (
    <>
      <FormNumber control={control} name="air.compressor.count" label="How many" />
      <FormQuantities
        control={control}
        units={units}
        fields={[
          [
            'air.compressor.rating',
            'Each rated to, crank',
            'power',
            { hint: 'The maker’s figure, or empty' },
          ],
        ]}
      />
      <FormQuantities
        control={control}
        units={units}
        fields={[
          [
            'air.compressor.reference.pressure',
            'Its map is drawn for',
            'pressure',
            { unitSymbol: 'kPa', hint: 'As the map says' },
          ],
          ['air.compressor.reference.temperature', 'and air of', 'temperature'],
        ]}
      />
      {island.fields.map((point, i) => (
        <div key={point.key} className="col-span-2 grid grid-cols-[1fr_1fr_1fr_auto] items-start gap-2">
          <FormQuantities
            control={control}
            units={units}
            fields={[[`air.compressor.island.${i}.flow`, `Map ${i + 1}, flow`, 'massFlow']]}
          />
          <FormNumber control={control} name={`air.compressor.island.${i}.ratio`} label="Pressure ratio" />
          <FormQuantities
            control={control}
            units={units}
            fields={[[`air.compressor.island.${i}.efficiency`, 'Efficiency', 'share']]}
          />
          <Button look="quiet" className="mt-6" onClick={() => island.remove(i)}>
            Remove<span className="sr-only"> map point {i + 1}</span>
          </Button>
        </div>
      ))}
      <Button
        className="col-span-2"
        disabled={island.fields.length >= 40}
        onClick={() => island.append({ flow: NOTHING, ratio: NOTHING, efficiency: 0.7 })}
      >
        One more point of the map
      </Button>
    </>
  )
}
