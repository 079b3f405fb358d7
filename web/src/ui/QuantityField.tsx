import { fromSi, parseQuantity, type Quantity, type Unit } from '@bold-ballast/core'
import { useId, useState, type ReactNode } from 'react'

const shown = (si: number | null, unit: Unit): string =>
  si === null || Number.isNaN(si)
    ? ''
    : String(Number(fromSi(si, unit).toFixed(Math.max(unit.decimals, 0) + 2)))

export interface QuantityFieldProps {
  readonly label: string
  readonly quantity: Quantity
  readonly unit: Unit
  /** SI; `null` for empty. */
  readonly value: number | null
  /** SI, `null` when emptied, NaN when what was typed can't be read. */
  readonly onChange: (si: number | null) => void
  readonly onBlur?: () => void
  /** A problem found elsewhere, such as by the form. */
  readonly problem?: string | undefined
  readonly hint?: ReactNode
  readonly hideLabel?: boolean
  readonly name?: string
  readonly autoFocus?: boolean
}

/**
 * A field that takes a quantity in any unit and says what it understood: `42 lb`, `7 1/2 in`, `19,1 kg`.
 * What can't be read stays in the field, with the remedy beside it.
 */
export function QuantityField({
  label,
  quantity,
  unit,
  value,
  onChange,
  onBlur,
  problem,
  hint,
  hideLabel,
  name,
  autoFocus,
}: QuantityFieldProps) {
  const id = useId()
  const [text, setText] = useState<string | null>(null)
  // Stays when the field is left: a line that vanished would move the button that is being clicked.
  const [understood, setUnderstood] = useState<string | null>(null)
  const parsed = text !== null && text.trim() !== '' ? parseQuantity(text, quantity, unit) : null
  const wrong = parsed && !parsed.ok ? `${parsed.problem} ${parsed.remedy}` : problem
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'text-[13px] text-muted'}>
        {label}
      </label>
      <span className="relative">
        <input
          id={id}
          name={name}
          autoFocus={autoFocus}
          inputMode="decimal"
          autoComplete="off"
          className="w-full min-w-0 rounded-[3px] border border-edge bg-panel py-1 pr-12 pl-2 text-ink"
          value={text ?? shown(value, unit)}
          aria-invalid={wrong ? true : undefined}
          aria-describedby={`${id}-say`}
          onFocus={(event) => event.target.select()}
          onChange={(event) => {
            const next = event.target.value
            setText(next)
            if (next.trim() === '') return onChange(null)
            const read = parseQuantity(next, quantity, unit)
            setUnderstood(read.ok && read.understood.includes('=') ? read.understood : null)
            onChange(read.ok ? read.si : NaN)
          }}
          onBlur={() => {
            if (parsed === null || parsed.ok) setText(null)
            onBlur?.()
          }}
        />
        <span className="pointer-events-none absolute inset-y-0 right-2 flex items-center text-[12px] text-muted">
          {unit.symbol}
        </span>
      </span>
      <span
        id={`${id}-say`}
        className={`text-[12.5px] ${wrong ? 'text-oxide' : 'text-muted'} ${wrong || understood || hint ? '' : 'hidden'}`}
        role={wrong ? 'alert' : undefined}
      >
        {wrong ?? understood ?? hint}
      </span>
    </div>
  )
}
