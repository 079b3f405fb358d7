import { RECORDS, withoutVersion, type RecordOf } from '@bold-ballast/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { type DefaultValues } from 'react-hook-form'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { FormCheck, FormQuantities, FormText } from '../../ui/form'
import { FormNumber } from '../../ui/FormNumber'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'
import { today } from '../../words/today'

type OutingForm = RecordOf<'outing'>

/** A day on which the car ran, or will: what everything that wears is counted by. */
export function OutingSheet({ outingId, onClose }: { outingId: string | null; onClose: () => void }) {
  const { view, stage, units, save } = useBuild()
  const outing = view.outings.find((o) => o.id === outingId)
  const [start] = useState<DefaultValues<OutingForm>>(() =>
    outing
      ? withoutVersion(outing)
      : {
          id: crypto.randomUUID(),
          stageId: stage.id,
          name: '',
          date: today(),
          planned: false,
          note: '',
          amounts: { hours: 0, laps: 0, launches: 0, trackDays: 1, heatCycles: 0 },
          bestLap: null,
          quarterMile: null,
          topSpeed: null,
        },
  )
  const { control, handleSubmit, kept } = useKeptForm<OutingForm>(`outing.${outingId ?? stage.id}`, {
    resolver: zodResolver(RECORDS.outing),
    defaultValues: start,
  })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit((record) => {
    const faults = save(`${outing ? 'Change' : 'Log'} ${record.name}`, [put(view, 'outing', record)])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title={outing ? 'Change the day' : 'Log a day'}>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the day">
        <div className="col-span-2">
          <FormText
            control={control}
            name="name"
            label="Where and what"
            hint="Such as Quarry Hill, practice"
            autoFocus
          />
        </div>
        <FormText control={control} name="date" label="Date" type="date" />
        <div className="self-end pb-1">
          <FormCheck control={control} name="planned" label="Still to come" />
        </div>
        <FormQuantities
          control={control}
          units={units}
          fields={[['amounts.hours', 'Running', 'time', { hint: 'Engine on, such as 2.5 h' }]]}
        />
        <FormNumber control={control} name="amounts.trackDays" label="Track days" hint="Half a day is 0.5" />
        <FormNumber control={control} name="amounts.laps" label="Laps or runs" />
        <FormNumber control={control} name="amounts.launches" label="Launches, clutch kicks" />
        <FormNumber
          control={control}
          name="amounts.heatCycles"
          label="Heat cycles"
          hint="Cold to hot and back"
        />
        <FormQuantities
          control={control}
          units={units}
          fields={[
            ['bestLap', 'Best lap', 'time', { unitSymbol: 's', hint: 'Empty where nobody timed it' }],
            ['quarterMile', 'Standing 402 m', 'time', { unitSymbol: 's', hint: 'By the clock of a strip' }],
            ['topSpeed', 'Highest speed', 'velocity', { hint: 'Off a logger or a speed gun' }],
          ]}
        />
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
