import {
  RECORDS,
  withoutVersion,
  type DynoDay,
  BOOST_CONTROL,
  DYNO_KIND,
  putEdit,
} from '@bold-ballast/contract'
import { CORRECTION_NAMES, usualLimits } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { format } from 'date-fns'
import { useState } from 'react'
import { useFieldArray, useWatch, type DefaultValues } from 'react-hook-form'
import { useBuild } from '../../store/useBuild'
import { useInstruments } from '../../store/useInstruments'
import { InstrumentField } from '../../ui/InstrumentField'
import { Button } from '../../ui/Button'
import { FormQuantities, FormQuantity, FormSelect, FormText } from '../../ui/form'
import { FormNumber } from '../../ui/FormNumber'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'
import { optionsOf } from '../../ui/optionsOf'
import { today } from '../../ui/today'

type DayForm = Omit<DynoDay, 'version'>
const DYNOS = ['dyno'] as const
const USUAL_AIR = { time: null, temperature: 293.15, pressure: 101_300, humidity: 0.5 }

/** A dyno day: the dyno, the fuel, boost and gear, the air as it was read, and what the sheet was corrected by. */
export function DynoDaySheet({
  day,
  onClose,
  onSaved,
}: {
  day: DynoDay | null
  onClose: () => void
  onSaved: (id: string) => void
}) {
  const { view, stage, units, save } = useBuild()
  const start: DefaultValues<DayForm> = day
    ? withoutVersion(day)
    : {
        id: crypto.randomUUID(),
        stageId: stage.id,
        date: today(),
        dyno: '',
        kind: 'rollerInertia',
        repeatability: 0.015,
        fuel: '',
        ethanol: null,
        boostControl: 'none',
        gear: null,
        air: [USUAL_AIR],
        sheetCorrection: 'observed',
        limits: null,
        sheetColumns: null,
        note: '',
      }
  const { control, handleSubmit, setValue, formState, kept } = useKeptForm<DayForm>(
    `dynoDay.${day?.id ?? stage.id}`,
    {
      resolver: zodResolver(RECORDS.dynoDay),
      defaultValues: start,
    },
  )
  const air = useFieldArray({ control, name: 'air', keyName: 'key' })
  const [fault, setFault] = useState<string | null>(null)
  const dynos = useInstruments(DYNOS)
  const dyno = useWatch({ control, name: 'dyno' })
  const limits = useWatch({ control, name: 'limits' })
  const boost = useWatch({ control, name: 'boostControl' })
  const submit = handleSubmit((record) => {
    const faults = save(day ? 'Change a dyno day' : 'Log a dyno day', [
      putEdit(view, 'dynoDay', record),
      ...dynos.takenOver(record.dyno),
    ])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onSaved(record.id)
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title={day ? 'Change the dyno day' : 'Log a dyno day'}>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the dyno day">
        <InstrumentField
          label="Dyno"
          choice={dynos}
          value={dyno ?? ''}
          problem={formState.errors.dyno?.message}
          autoFocus
          onChoose={(name, known) => {
            setValue('dyno', name, { shouldDirty: true, shouldValidate: formState.isSubmitted })
            if (known) setValue('repeatability', known.repeatability, { shouldDirty: true })
          }}
        />
        <FormText control={control} name="date" label="Date" type="date" />
        <FormSelect control={control} name="kind" label="Kind" options={optionsOf(DYNO_KIND)} />
        <FormQuantity
          control={control}
          name="repeatability"
          label="Repeats to ±"
          quantity="share"
          units={units}
          hint="1.5 % is usual"
        />
        <FormText control={control} name="fuel" label="Fuel, as labelled" />
        <FormQuantity
          control={control}
          name="ethanol"
          label="Ethanol, measured"
          quantity="share"
          units={units}
          hint="Empty if nobody measured"
        />
        <FormSelect control={control} name="boostControl" label="Boost" options={optionsOf(BOOST_CONTROL)} />
        <FormNumber control={control} name="gear" label="Gear of the pulls" hint="Such as 4" />
        <div className="col-span-2">
          <FormSelect
            control={control}
            name="sheetCorrection"
            label="The sheet’s figures are"
            options={optionsOf(CORRECTION_NAMES)}
            hint="It stands in small print on the sheet. Observed means not corrected."
          />
        </div>
        <h3 className="col-span-2 mt-2 text-[17px]">The air, as it was read</h3>
        {air.fields.map((reading, i) => (
          <fieldset
            key={reading.key}
            className="col-span-2 grid grid-cols-2 items-start gap-3 border-t border-line pt-2"
          >
            <legend className="sr-only">Reading {i + 1}</legend>
            <FormText
              control={control}
              name={`air.${i}.time`}
              label="Read at"
              type="time"
              hint="Empty if not noted"
            />
            <FormQuantities
              control={control}
              units={units}
              fields={[
                [`air.${i}.temperature`, 'Air temperature', 'temperature'],
                [
                  `air.${i}.pressure`,
                  'Barometer',
                  'pressure',
                  { unitSymbol: 'kPa', hint: 'As read there; not for sea level' },
                ],
                [`air.${i}.humidity`, 'Relative humidity', 'share'],
              ]}
            />
            <Button
              look="quiet"
              className="col-span-2 justify-self-start !px-0 !text-muted"
              onClick={() => air.remove(i)}
            >
              Remove reading {i + 1}
            </Button>
          </fieldset>
        ))}
        <Button
          className="col-span-2"
          disabled={air.fields.length >= 48}
          onClick={() =>
            air.append({ ...USUAL_AIR, ...(air.fields.at(-1) ? { time: format(new Date(), 'HH:mm') } : {}) })
          }
        >
          {air.fields.length === 0 ? 'The air was written down' : 'One more reading'}
        </Button>
        <label className="col-span-2 mt-2 flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-blued"
            checked={Boolean(limits)}
            onChange={(e) => setValue('limits', e.target.checked ? usualLimits(boost !== 'none') : null)}
          />
          Own limits for mixture, oil and coolant
        </label>
        {limits && (
          <FormQuantities
            control={control}
            units={units}
            fields={[
              ['limits.richest', 'Richest under load', 'lambda'],
              ['limits.leanest', 'Leanest under load', 'lambda'],
              ['limits.oilPer1000', 'Oil pressure a 1,000 rpm', 'pressure', { unitSymbol: 'bar' }],
              ['limits.coolant', 'Coolant at least', 'temperature'],
            ]}
          />
        )}
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} hint="Tyre pressure, straps, fan" />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
