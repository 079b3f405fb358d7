import {
  RECORDS,
  withoutVersion,
  type Instrument,
  type RecordOf,
  INSTRUMENT_KIND,
} from '@bold-ballast/contract'
import {
  INSTRUMENT_KINDS,
  USUAL_BETWEEN_DAYS,
  USUAL_OWN_ERROR,
  type InstrumentKind,
} from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useEffect, useRef, useState } from 'react'
import { useWatch, type DefaultValues } from 'react-hook-form'
import { put } from '../../../store/commit'
import { renameInstrument } from '../../../store/renameInstrument'
import { useBuild } from '../../../store/useBuild'
import { FormQuantities, FormSelect, FormText } from '../../../ui/form'
import { SheetForm } from '../../../ui/SheetForm'
import { SideSheet } from '../../../ui/SideSheet'
import { useKeptForm } from '../../../ui/useKeptForm'

/** Repeats to this where nobody noted it: a scale, and a dyno (common practice). */
const usualRepeatability = (kind: InstrumentKind) => (kind === 'dyno' ? 0.015 : 0.003)

type InstrumentForm = RecordOf<'instrument'>

/** A scale or a dyno: its step, how it repeats, what it is off by itself, and when that was last checked. */
export function InstrumentSheet({
  instrument,
  onClose,
}: {
  instrument: Instrument | null
  onClose: () => void
}) {
  const { view, units, save } = useBuild()
  const [start] = useState((): DefaultValues<InstrumentForm> =>
    instrument
      ? withoutVersion(instrument)
      : {
          id: crypto.randomUUID(),
          name: '',
          order: view.instruments.length,
          kind: 'pads',
          resolution: 0.5,
          repeatability: usualRepeatability('pads'),
          ownError: USUAL_OWN_ERROR.pads,
          betweenDays: null,
          checkedOn: null,
          checkedAgainst: '',
          note: '',
        },
  )
  const { control, handleSubmit, setValue, getValues, kept } = useKeptForm<InstrumentForm>(
    `instrument.${instrument?.id ?? view.build.id}`,
    { resolver: zodResolver(RECORDS.instrument), defaultValues: start },
  )
  const kind = useWatch({ control, name: 'kind' }) ?? 'pads'
  const isDyno = kind === 'dyno'
  // What is usual follows the kind, until something else is typed.
  const kindBefore = useRef(kind)
  useEffect(() => {
    const before = kindBefore.current
    kindBefore.current = kind
    if (before === kind) return
    if (getValues('ownError') === USUAL_OWN_ERROR[before]) setValue('ownError', USUAL_OWN_ERROR[kind])
    if (getValues('repeatability') === usualRepeatability(before))
      setValue('repeatability', usualRepeatability(kind))
  }, [kind, getValues, setValue])
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit((typed) => {
    // A dyno has no step, and a scale no days of its own.
    const record = {
      ...typed,
      resolution: isDyno ? null : typed.resolution,
      betweenDays: isDyno ? (typed.betweenDays ?? USUAL_BETWEEN_DAYS) : null,
    }
    const faults = save(`${instrument ? 'Change' : 'Note'} ${record.name}`, [
      put(view, 'instrument', record),
      ...(instrument && instrument.name !== record.name
        ? renameInstrument(view, instrument, record.name)
        : []),
    ])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet
      open
      onClose={onClose}
      title={instrument ? `Change ${instrument.name}` : 'Note a scale or dyno'}
    >
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save it">
        <FormText
          control={control}
          name="name"
          label="Name"
          hint="As weigh-ins and dyno days name it"
          autoFocus
        />
        <FormSelect
          control={control}
          name="kind"
          label="Kind"
          options={INSTRUMENT_KINDS.map((k) => [k, INSTRUMENT_KIND[k]])}
        />
        {!isDyno && (
          <FormQuantities
            control={control}
            units={units}
            fields={[['resolution', 'Smallest step', 'mass', { hint: 'What its last digit counts' }]]}
          />
        )}
        <FormQuantities
          control={control}
          units={units}
          fields={[
            [
              'repeatability',
              'Repeats to ±',
              'share',
              { hint: isDyno ? '1.5 % is usual' : 'Of one reading; 0.3 % is usual' },
            ],
            [
              'ownError',
              'Its own error, ±',
              'share',
              { hint: isDyno ? '3 % where nobody checked it' : '0.1 % where nobody checked it' },
            ],
          ]}
        />
        {isDyno && (
          <FormQuantities
            control={control}
            units={units}
            fields={[['betweenDays', 'Between days, ±', 'share', { hint: '1 % is usual' }]]}
          />
        )}
        <p className="col-span-2 text-[13px] text-muted">
          All that is read on it shares its own error: no repeat shows it and none removes it. It cancels only
          between readings of the same {isDyno ? 'dyno and day' : 'scale'}.
        </p>
        <FormText control={control} name="checkedOn" label="Last checked" type="date" hint="Empty if never" />
        <FormText
          control={control}
          name="checkedAgainst"
          label="Against what"
          hint={isDyno ? 'Such as a lever arm and weights' : 'Such as 20 kg test weights'}
        />
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
