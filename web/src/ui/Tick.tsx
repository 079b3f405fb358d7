import type { ReactNode } from 'react'

/** A box to tick that opens a part of a form, as wide as the form. */
export function Tick({
  label,
  on,
  onChange,
  ruled = false,
}: {
  label: ReactNode
  on: boolean
  onChange: (on: boolean) => void
  /** With a rule above it. */
  ruled?: boolean
}) {
  return (
    <label className={`col-span-2 flex items-center gap-2 ${ruled ? 'border-t border-line pt-2' : 'mt-2'}`}>
      <input
        type="checkbox"
        className="size-4 accent-blued"
        checked={on}
        onChange={(e) => onChange(e.target.checked)}
      />
      {label}
    </label>
  )
}
