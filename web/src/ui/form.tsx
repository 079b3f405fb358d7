import type { FieldMeta } from '@bold-ballast/contract'
import type { Quantity, UnitPreferences } from '@bold-ballast/core'
import { preferredUnit } from '@bold-ballast/core'
import { useId, type ReactNode } from 'react'
import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form'
import { QuantityField } from './QuantityField'

interface Common<T extends FieldValues> {
  readonly control: Control<T>
  readonly name: FieldPath<T>
  readonly label: string
  readonly hint?: ReactNode
}

const BOX = 'w-full min-w-0 rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink'

/** A label, a control and what is wrong with it. */
function Labelled({
  id,
  label,
  problem,
  hint,
  children,
}: {
  id: string
  label: string
  problem: string | undefined
  hint: ReactNode
  children: ReactNode
}) {
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="text-[13px] text-muted">
        {label}
      </label>
      {children}
      {(problem || hint) && (
        <span
          id={`${id}-say`}
          role={problem ? 'alert' : undefined}
          className={`text-[12.5px] ${problem ? 'text-oxide' : 'text-muted'}`}
        >
          {problem ?? hint}
        </span>
      )}
    </div>
  )
}

export function FormText<T extends FieldValues>({
  control,
  name,
  label,
  hint,
  type = 'text',
  rows,
  autoFocus,
  list,
  fills,
}: Common<T> & {
  type?: 'text' | 'date' | 'time'
  rows?: number
  autoFocus?: boolean
  list?: string
  fills?: FieldMeta['fills']
}) {
  const id = useId()
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Labelled id={id} label={label} problem={fieldState.error?.message} hint={hint}>
          {rows ? (
            <textarea
              id={id}
              rows={rows}
              className={BOX}
              aria-invalid={fieldState.invalid || undefined}
              aria-describedby={`${id}-say`}
              {...field}
              value={field.value ?? ''}
            />
          ) : (
            <input
              id={id}
              type={fills?.endsWith('password') ? 'password' : type}
              autoFocus={autoFocus}
              autoComplete={fills ?? 'off'}
              {...(fills === 'username' && { autoCapitalize: 'none', spellCheck: false })}
              list={list}
              className={BOX}
              aria-invalid={fieldState.invalid || undefined}
              aria-describedby={`${id}-say`}
              {...field}
              value={field.value ?? ''}
              // A time or a date that is emptied is nobody's; text that is emptied is empty text.
              onChange={(e) => field.onChange(type === 'text' ? e.target.value : e.target.value || null)}
            />
          )}
        </Labelled>
      )}
    />
  )
}

export function FormSelect<T extends FieldValues>({
  control,
  name,
  label,
  hint,
  options,
}: Common<T> & { options: readonly (readonly [string, string])[] }) {
  const id = useId()
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Labelled id={id} label={label} problem={fieldState.error?.message} hint={hint}>
          <select id={id} className={BOX} {...field}>
            {options.map(([value, words]) => (
              <option key={value} value={value}>
                {words}
              </option>
            ))}
          </select>
        </Labelled>
      )}
    />
  )
}

export function FormQuantity<T extends FieldValues>({
  control,
  name,
  label,
  hint,
  quantity,
  units,
  unitSymbol,
  needed = false,
}: Common<T> & {
  quantity: Quantity
  units: UnitPreferences
  unitSymbol?: string
  /** Emptied, it is missing: not the `null` of a figure that is left out. */
  needed?: boolean
}) {
  const unit = preferredUnit(quantity, unitSymbol ? { [quantity]: unitSymbol } : units)
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <QuantityField
          label={label}
          hint={hint}
          quantity={quantity}
          unit={unit}
          name={field.name}
          value={field.value ?? null}
          onChange={(si) => field.onChange(needed ? (si ?? NaN) : si)}
          onBlur={field.onBlur}
          problem={fieldState.error?.message}
        />
      )}
    />
  )
}

export function FormCheck<T extends FieldValues>({ control, name, label }: Common<T>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-blued"
            checked={Boolean(field.value)}
            onChange={(e) => field.onChange(e.target.checked)}
          />
          {label}
        </label>
      )}
    />
  )
}

/** Several quantities in a row of a grid, each with its label. */
export function FormQuantities<T extends FieldValues>({
  control,
  units,
  fields,
}: {
  control: Control<T>
  units: UnitPreferences
  fields: readonly (readonly [
    name: FieldPath<T>,
    label: string,
    quantity: Quantity,
    more?: { unitSymbol?: string; hint?: string; needed?: boolean },
  ])[]
}) {
  return fields.map(([name, label, quantity, more]) => (
    <FormQuantity
      key={name}
      control={control}
      name={name}
      label={label}
      quantity={quantity}
      units={units}
      {...more}
    />
  ))
}
