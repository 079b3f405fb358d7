import type { Instrument } from '@bold-ballast/contract'
import { USUAL_BETWEEN_DAYS, USUAL_OWN_ERROR, type InstrumentKind } from '@bold-ballast/core'
import { useEffect, useRef } from 'react'
import { useWatch } from 'react-hook-form'
import { renameInstrument } from '../../../store/renameInstrument'
import { useBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'

/** Repeats to this where nobody noted it: a scale, and a dyno (common practice). */
const usualRepeatability = (kind: InstrumentKind) => (kind === 'dyno' ? 0.015 : 0.003)

const { Field, Fields } = fieldsOf('instrument')

const blank = (id: string, order: number) => ({
  id,
  name: '',
  order,
  kind: 'pads' as const,
  resolution: 0.5,
  repeatability: usualRepeatability('pads'),
  ownError: USUAL_OWN_ERROR.pads,
  betweenDays: null,
  checkedOn: null,
  checkedAgainst: '',
  note: '',
})

/** A scale or a dyno: its step, how it repeats, what it is off by itself, and when that was last checked. */
export function InstrumentSheet({
  instrument,
  onClose,
}: {
  instrument: Instrument | null
  onClose: () => void
}) {
  const { view } = useBuild()
  const form = useRecordForm('instrument', instrument?.id ?? null, {
    blank,
    says: ({ name }, isNew) => `${isNew ? 'Note' : 'Change'} ${name}`,
    onSaved: onClose,
    // A dyno has no step, and a scale no days of its own.
    completed: (typed) => ({
      ...typed,
      resolution: typed.kind === 'dyno' ? null : typed.resolution,
      betweenDays: typed.kind === 'dyno' ? (typed.betweenDays ?? USUAL_BETWEEN_DAYS) : null,
    }),
    along: ({ name }) =>
      instrument && instrument.name !== name ? renameInstrument(view, instrument, name) : [],
  })
  const { control, getValues, setValue } = form
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
  return (
    <RecordSheet
      form={form}
      title={instrument ? `Change ${instrument.name}` : 'Note a scale or dyno'}
      says="Save it"
      onClose={onClose}
    >
      <Fields names={['name', 'kind']} />
      {!isDyno && <Field name="resolution" />}
      <Field name="repeatability" hint={isDyno ? '1.5 % is usual' : 'Of one reading; 0.3 % is usual'} />
      <Field
        name="ownError"
        hint={isDyno ? '3 % where nobody checked it' : '0.1 % where nobody checked it'}
      />
      {isDyno && <Field name="betweenDays" />}
      <p className="col-span-2 text-[13px] text-muted">
        All that is read on it shares its own error: no repeat shows it and none removes it. It cancels only
        between readings of the same {isDyno ? 'dyno and day' : 'scale'}.
      </p>
      <Field name="checkedOn" />
      <Field
        name="checkedAgainst"
        hint={isDyno ? 'Such as a lever arm and weights' : 'Such as 20 kg test weights'}
      />
      <Field name="note" />
    </RecordSheet>
  )
}
