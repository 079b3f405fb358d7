import { formatNumber, parseQuantity, toeAngle, toeDifference, unitOf } from '@bold-ballast/core'
import { useId, useState } from 'react'
import { Controller, useWatch, type FieldValues } from 'react-hook-form'
import { useOpenForm } from '../../ui/record/RecordFormContext'

const DEGREE = unitOf('angle', '°')
const MM = unitOf('length', 'mm')

/** Toe as it is read: over a width in millimetres or inches, or as an angle. Without a width, only as an angle. */
export function readToe(
  text: string,
  width: number | null,
): { readonly angle: number; readonly says: string } | string {
  const asAngle = parseQuantity(text, 'angle', DEGREE)
  const hasDegrees = /°|deg|rad/i.test(text)
  if (hasDegrees)
    return asAngle.ok ? { angle: asAngle.si, says: overWidth(asAngle.si, width) } : remedy(asAngle)
  const asLength = parseQuantity(text, 'length', MM)
  if (!asLength.ok) return remedy(asLength)
  if (width === null) return 'Type first over which width it was measured, or type it in degrees.'
  if (Math.abs(asLength.si) >= width) return 'That is more than the width itself: check the unit.'
  const angle = toeAngle(asLength.si, width)
  return { angle, says: `= ${formatNumber((angle * 180) / Math.PI, 2)}°` }
}
const remedy = ({ problem, remedy: how }: { problem: string; remedy: string }) => `${problem} ${how}`
const overWidth = (angle: number, width: number | null) =>
  width === null
    ? `= ${formatNumber((angle * 180) / Math.PI, 2)}°`
    : `= ${formatNumber(toeDifference(angle, width) * 1000, 1)} mm over ${formatNumber(width * 1000, 0)}`

/** Toe of one wheel, typed in any unit; in is above zero. */
export function ToeField({ name, label }: { name: string; label: string }) {
  const { control } = useOpenForm()
  const typed = useWatch<FieldValues>({ control, name: 'toeWidth' }) as number | null
  const width = typed !== null && typed > 0 ? typed : null
  const id = useId()
  const [text, setText] = useState<string | null>(null)
  // Stays when the field is left: a line that vanished would move the button that is being clicked.
  const [understood, setUnderstood] = useState<string | null>(null)
  const read = text !== null && text.trim() !== '' ? readToe(text, width) : null
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => {
        const value = field.value as number | null | undefined
        const wrong = typeof read === 'string' ? read : fieldState.error?.message
        const shown =
          value === null || value === undefined || Number.isNaN(value)
            ? ''
            : width === null
              ? `${formatNumber((value * 180) / Math.PI, 3)}°`
              : String(Number((toeDifference(value, width) * 1000).toFixed(2)))
        return (
          <div className="flex flex-col gap-1">
            <label htmlFor={id} className="text-[13px] text-muted">
              {label}
            </label>
            <span className="relative">
              <input
                id={id}
                inputMode="decimal"
                autoComplete="off"
                className="w-full min-w-0 rounded-[3px] border border-edge bg-panel py-1 pr-9 pl-2 text-ink"
                value={text ?? shown}
                aria-invalid={wrong ? true : undefined}
                aria-describedby={`${id}-say`}
                onFocus={(event) => event.target.select()}
                onChange={(event) => {
                  const next = event.target.value
                  setText(next)
                  if (next.trim() === '') return field.onChange(null)
                  const toe = readToe(next, width)
                  setUnderstood(typeof toe === 'string' ? null : toe.says)
                  field.onChange(typeof toe === 'string' ? NaN : toe.angle)
                }}
                onBlur={() => {
                  if (typeof read !== 'string') setText(null)
                  field.onBlur()
                }}
              />
              <span className="pointer-events-none absolute inset-y-0 right-2 flex items-center text-[12px] text-muted">
                mm
              </span>
            </span>
            <span
              id={`${id}-say`}
              role={wrong ? 'alert' : undefined}
              className={`text-[12.5px] ${wrong ? 'text-oxide' : 'text-muted'} ${wrong || understood ? '' : 'hidden'}`}
            >
              {wrong ?? understood}
            </span>
          </div>
        )
      }}
    />
  )
}
