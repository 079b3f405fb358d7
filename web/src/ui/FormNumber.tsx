import { readNumber } from '@bold-ballast/core'
import { useId, useState } from 'react'
import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form'

/** A bare number, such as a ratio or a count, typed as people write it: `0,7`, `1/4`. */
export function FormNumber<T extends FieldValues>({
  control,
  name,
  label,
  hint,
}: {
  control: Control<T>
  name: FieldPath<T>
  label: string
  hint?: string
}) {
  const id = useId()
  const [text, setText] = useState<string | null>(null)
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => {
        const wrong = fieldState.error?.message
        const value = field.value as number | null | undefined
        return (
          <div className="flex flex-col gap-1">
            <label htmlFor={id} className="text-[13px] text-muted">
              {label}
            </label>
            <input
              id={id}
              inputMode="decimal"
              autoComplete="off"
              className="w-full min-w-0 rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
              value={
                text ?? (value === null || value === undefined || Number.isNaN(value) ? '' : String(value))
              }
              aria-invalid={wrong ? true : undefined}
              aria-describedby={`${id}-say`}
              onFocus={(event) => event.target.select()}
              onChange={(event) => {
                setText(event.target.value)
                field.onChange(
                  event.target.value.trim() === '' ? null : (readNumber(event.target.value) ?? NaN),
                )
              }}
              onBlur={() => {
                if (!Number.isNaN(value)) setText(null)
                field.onBlur()
              }}
            />
            <span
              id={`${id}-say`}
              role={wrong ? 'alert' : undefined}
              className={`text-[12.5px] ${wrong ? 'text-oxide' : 'text-muted'} ${wrong || hint ? '' : 'hidden'}`}
            >
              {wrong ?? hint}
            </span>
          </div>
        )
      }}
    />
  )
}
