import { parsePlace, formatPlace, type Position } from '@bold-ballast/core'
import { useId, useState } from 'react'
import { Controller } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { useOpenForm } from '../../../ui/record/RecordFormContext'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { today } from '../../../ui/today'

const { Field, Fields } = fieldsOf('bodyCheck')
const SIDES = [
  ['leftBefore', 'Left, before'],
  ['rightBefore', 'Right, before'],
  ['leftAfter', 'Left, after'],
  ['rightAfter', 'Right, after'],
] as const

/** A place typed as three lengths: behind the datum, left of the middle, up. */
function PlaceField({ name, label }: { name: string; label: string }) {
  const { control } = useOpenForm()
  const { unit } = useBuild()
  const length = unit('length')
  const id = useId()
  const [text, setText] = useState<string | null>(null)
  const read = text !== null && text.trim() !== '' ? parsePlace(text, length) : null
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => {
        const value = field.value as Position | null | undefined
        const wrong = read && !read.ok ? read.problem : fieldState.error?.message
        return (
          <div className="flex flex-col gap-1">
            <label htmlFor={id} className="text-[13px] text-muted">
              {label}
            </label>
            <input
              id={id}
              autoComplete="off"
              className="w-full min-w-0 rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
              value={text ?? (value ? formatPlace(value, length) : '')}
              aria-invalid={wrong ? true : undefined}
              aria-describedby={`${id}-say`}
              onChange={(event) => {
                const next = event.target.value
                setText(next)
                if (next.trim() === '') return field.onChange(null)
                const place = parsePlace(next, length)
                // What can't be read is no place, and no empty field either.
                field.onChange(place.ok ? place.place : { x: NaN, y: NaN, z: NaN })
              }}
              onBlur={() => {
                if (!read || read.ok) setText(null)
                field.onBlur()
              }}
            />
            <span
              id={`${id}-say`}
              role={wrong ? 'alert' : undefined}
              className={`text-[12.5px] ${wrong ? 'text-oxide' : 'hidden'}`}
            >
              {wrong}
            </span>
          </div>
        )
      }}
    />
  )
}

/** Hard points measured from a datum, left and right, before and after. */
export function BodyCheckSheet({ checkId, onClose }: { checkId: string | null; onClose: () => void }) {
  const { stage } = useBuild()
  const blankPoint = () => ({
    name: '',
    leftBefore: null,
    rightBefore: null,
    leftAfter: null,
    rightAfter: null,
  })
  const form = useRecordForm('bodyCheck', checkId, {
    blank: (id) => ({
      id,
      stageId: stage.id,
      date: today(),
      name: '',
      datum: '',
      allowed: 0.003,
      points: [blankPoint()],
      note: '',
    }),
    says: ({ name }, isNew) => `${isNew ? 'Measure' : 'Change'} the body, ${name}`,
    onSaved: onClose,
  })
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Measure the body' : 'Change the measurements'}
      says="Save the measurements"
      before={
        <p className="mb-3 text-[13.5px] text-muted">
          Three lengths a point, such as 410 620 285: behind the datum, left of the middle (right is below
          zero), up. Before cutting and after welding, from the same datum.
        </p>
      }
      wide
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <Field name="datum" isWide />
      <Fields names={['date', 'allowed']} />
      <Rows name="points" one="point" least={1} most={60} blank={blankPoint}>
        {(i) => (
          <>
            <Field name={`points.${i}.name`} label={`Point ${i + 1}`} isWide />
            {SIDES.map(([side, label]) => (
              <PlaceField key={side} name={`points.${i}.${side}`} label={label} />
            ))}
          </>
        )}
      </Rows>
      <Field name="note" />
    </RecordSheet>
  )
}
