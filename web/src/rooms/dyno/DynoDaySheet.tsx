import { RECORDS, withoutVersion, type DynoDay } from '@bold-ballast/contract'
import { CORRECTION_NAMES } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { format } from 'date-fns'
import { useState } from 'react'
import { useWatch, type DefaultValues } from 'react-hook-form'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { FormQuantity, FormSelect, FormText } from '../../ui/form'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'
import { DYNO_KIND, optionsOf } from '../../words/names'

type DayForm = Omit<DynoDay, 'version'>
const USUAL_AIR = { temperature: 293.15, pressure: 101_300, humidity: 0.5 }

/** A dyno day: the dyno, the fuel, the air, and what the sheet was corrected by. */
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
        date: format(new Date(), 'yyyy-MM-dd'),
        dyno: '',
        kind: 'rollerInertia',
        repeatability: 0.015,
        fuel: '',
        ethanol: null,
        ambient: USUAL_AIR,
        sheetCorrection: 'observed',
        note: '',
      }
  const { control, handleSubmit, setValue, kept } = useKeptForm<DayForm>(`dynoDay.${day?.id ?? stage.id}`, {
    resolver: zodResolver(RECORDS.dynoDay),
    defaultValues: start,
  })
  const [fault, setFault] = useState<string | null>(null)
  const ambient = useWatch({ control, name: 'ambient' })
  const submit = handleSubmit((record) => {
    const faults = save(day ? 'Change a dyno day' : 'Log a dyno day', [put(view, 'dynoDay', record)])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onSaved(record.id)
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title={day ? 'Change the dyno day' : 'Log a dyno day'}>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the dyno day">
        <FormText control={control} name="dyno" label="Dyno" hint="Whose, or where" autoFocus />
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
        <div className="col-span-2">
          <FormSelect
            control={control}
            name="sheetCorrection"
            label="The sheet’s figures are"
            options={optionsOf(CORRECTION_NAMES)}
            hint="It stands in small print on the sheet. Observed means not corrected."
          />
        </div>
        <label className="col-span-2 flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-blued"
            checked={Boolean(ambient)}
            onChange={(e) => setValue('ambient', e.target.checked ? USUAL_AIR : null)}
          />
          The air was written down
        </label>
        {ambient && (
          <>
            <FormQuantity
              control={control}
              name="ambient.temperature"
              label="Air temperature"
              quantity="temperature"
              units={units}
            />
            <FormQuantity
              control={control}
              name="ambient.pressure"
              label="Barometer"
              quantity="pressure"
              units={units}
              unitSymbol="kPa"
              hint="As read there; not for sea level"
            />
            <FormQuantity
              control={control}
              name="ambient.humidity"
              label="Relative humidity"
              quantity="share"
              units={units}
            />
          </>
        )}
        <div className="col-span-2">
          <FormText
            control={control}
            name="note"
            label="Notes"
            rows={2}
            hint="Gear, tyre pressure, strap, fan"
          />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
