import { putEdit, RECORDS } from '@bold-ballast/contract'
import { formatPlace, parsePlace, type Position } from '@bold-ballast/core'
import { useEffect, useId, useState } from 'react'
import { useWatch } from 'react-hook-form'
import { takesTooMuch } from '../../../store/commit'
import { draft } from '../../../store/draft'
import { useAppDispatch } from '../../../store/store'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { CHOICES } from '../cells'
import { HistoryFields } from './HistoryFields'
import { PartPhoto } from './PartPhoto'
import { massDoubt } from '@bold-ballast/model'
import { WeighingFields, type LineForm } from './WeighingFields'

const { Field, Fields } = fieldsOf('line')

/** Everything about one line, in a form: the way to edit on a phone. */
export function LineSheet({ lineId, onClose }: { lineId: string; onClose: () => void }) {
  const { view, buildId, units, unit, removeSaying } = useBuild()
  const dispatch = useAppDispatch()
  const line = view.lines.find((l) => l.id === lineId)
  const [doubt, setDoubt] = useState<ReturnType<typeof massDoubt>>(null)
  const form = useRecordForm('line', lineId, {
    says: ({ name }) => `Change ${name}`,
    refused: (record) => {
      if (dispatch(takesTooMuch(buildId)))
        return {
          field: 'mass',
          problem: 'That takes more off than the car weighs. Check the mass and the unit.',
        }
      // Asked once: saved again it is right.
      const question = doubt || record.mass === line?.mass ? null : massDoubt(record, unit('mass'))
      setDoubt(question)
      return question && question.question
    },
    onSaved: onClose,
  })
  const { control, setValue, isGone } = form
  const shown = line ?? form.record
  const typed = useWatch({ control }) as LineForm

  useEffect(() => {
    const parsed = RECORDS.line.safeParse(typed)
    dispatch(
      parsed.success && !isGone
        ? draft.actions.typing({ buildId, edits: [putEdit(view, 'line', parsed.data)] })
        : draft.actions.cleared(),
    )
  }, [typed, buildId, view, isGone, dispatch])
  useEffect(() => () => void dispatch(draft.actions.cleared()), [dispatch])
  if (!shown) return null

  const remove = () => {
    removeSaying('line', shown.id, shown.name)
    onClose()
  }
  return (
    <RecordSheet
      form={form}
      title={shown.name}
      says={doubt ? 'It is right, save' : 'Save the line'}
      onClose={onClose}
      after={
        <MayOnly right="plan">
          <Button look="danger" onClick={remove} className="col-span-2">
            Remove the line
          </Button>
        </MayOnly>
      }
    >
      <Field name="name" isWide />
      <Field name="mass" />
      <Field name="sigma" />
      <Field name="grade" options={CHOICES.grade ?? []} />
      {(typed.grade === 'guess' || typed.grade === 'claim') && <Field name="source" list="sources" />}
      <datalist id="sources">
        {[...new Set(view.lines.map((l) => l.said?.source || l.source))].filter(Boolean).map((source) => (
          <option key={source} value={source} />
        ))}
      </datalist>
      <Fields names={['kind', 'system', 'quantity']} />
      <PlaceField
        label="Place: behind front axle, left, up"
        start={shown.position}
        onPlace={(place) => setValue('position', place)}
      />
      <PlaceField
        label="Moved to (moved parts)"
        start={shown.movedTo}
        onPlace={(place) => setValue('movedTo', place)}
      />
      <div className="self-end pb-1">
        <Field name="fitted" label={typed.kind === 'off' ? 'It is off the car' : 'It is fitted'} />
      </div>
      {typed.fitted && <Field name="changedOn" label={typed.kind === 'off' ? 'Off since' : 'On since'} />}
      <PartPhoto buildId={buildId} lineId={shown.id} name={shown.name} />
      <WeighingFields control={control} setValue={setValue} units={units} />
      <HistoryFields control={control} setValue={setValue} units={units} line={shown} />
      {doubt && (
        <span className="col-span-2 flex gap-1">
          {doubt.instead.map(({ words, mass }) => (
            <Button key={words} onClick={() => (setValue('mass', mass), setDoubt(null), form.forgive())}>
              {words}
            </Button>
          ))}
        </span>
      )}
    </RecordSheet>
  )
}

function PlaceField({
  label,
  start,
  onPlace,
}: {
  label: string
  start: Position | null
  onPlace: (place: Position | null) => void
}) {
  const { unit } = useBuild()
  const id = useId()
  const [text, setText] = useState(formatPlace(start, unit('length')))
  const parsed = parsePlace(text, unit('length'))
  return (
    <div className="col-span-2 flex flex-col gap-1">
      <label htmlFor={id} className="text-[13px] text-muted">
        {label} ({unit('length').symbol})
      </label>
      <input
        id={id}
        value={text}
        placeholder="x y z"
        className="rounded-[3px] border border-edge bg-panel px-2 py-1"
        onChange={(event) => {
          setText(event.target.value)
          const read = parsePlace(event.target.value, unit('length'))
          if (read.ok) onPlace(read.place)
        }}
      />
      {!parsed.ok && (
        <span role="alert" className="text-[12.5px] text-oxide">
          {parsed.problem}
        </span>
      )}
    </div>
  )
}
