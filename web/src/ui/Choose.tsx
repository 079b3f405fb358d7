import { useId } from 'react'

/** A list to choose from, with its label above it; outside a form, or for a value that may be null. */
export function Choose<T extends string>({
  label,
  value,
  options,
  onChange,
  wide = true,
}: {
  label: string
  value: T | null
  /** Value and words; an empty value stands for null. */
  options: readonly (readonly [T | '', string])[]
  onChange: (value: T | null) => void
  /** Fills the width it is given. */
  wide?: boolean
}) {
  const id = useId()
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="text-[13px] text-muted">
        {label}
      </label>
      <select
        id={id}
        className={`${wide ? 'w-full min-w-0' : ''} rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink`}
        value={value ?? ''}
        onChange={(e) => onChange((e.target.value || null) as T | null)}
      >
        {options.map(([one, words]) => (
          <option key={one} value={one}>
            {words}
          </option>
        ))}
      </select>
    </div>
  )
}
