import type { RecordOf } from '@bold-ballast/contract'
import { parseQuantity, unitOf } from '@bold-ballast/core'
import { useId, useState } from 'react'
import { Controller, type Control } from 'react-hook-form'

const MM = unitOf('length', 'mm')

/** Several thicknesses in one line, as people write them: 9, 12, 1/2 in. */
const lengthsIn = (text: string): number[] =>
  text
    .split(/[;,]\s+|;|\s{2,}/)
    .filter((t) => t.trim() !== '')
    .map((t) => {
      const read = parseQuantity(t, 'length', MM)
      return read.ok ? read.si : NaN
    })

export function ThicknessField({ control }: { control: Control<RecordOf<'sheetStock'>> }) {
  const id = useId()
  const [text, setText] = useState<string | null>(null)
  return (
    <Controller
      control={control}
      name="thicknesses"
      render={({ field, fieldState }) => {
        const { error } = fieldState
        const each = (Array.isArray(error) ? error : []) as ({ message?: string } | undefined)[]
        const wrong = error?.message ?? error?.root?.message ?? each.find(Boolean)?.message
        return (
          <div className="flex flex-col gap-1">
            <label htmlFor={id} className="text-[13px] text-muted">
              Thicknesses, mm
            </label>
            <input
              id={id}
              autoComplete="off"
              className="w-full min-w-0 rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
              value={text ?? (field.value ?? []).map((m) => Number((m * 1000).toFixed(2))).join(', ')}
              aria-invalid={wrong ? true : undefined}
              aria-describedby={`${id}-say`}
              onChange={(e) => {
                setText(e.target.value)
                field.onChange(lengthsIn(e.target.value))
              }}
              onBlur={() => {
                if (!wrong && !(field.value ?? []).some(Number.isNaN)) setText(null)
                field.onBlur()
              }}
            />
            <span
              id={`${id}-say`}
              role={wrong ? 'alert' : undefined}
              className={`text-[12.5px] ${wrong ? 'text-oxide' : 'text-muted'}`}
            >
              {wrong ?? 'Such as 9, 12, 18'}
            </span>
          </div>
        )
      }}
    />
  )
}
