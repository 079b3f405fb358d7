import type { ReactNode } from 'react'
import { useWatch } from 'react-hook-form'
import { Tick } from '../Tick'
import { useOpenForm } from './RecordFormContext'

/** A part of the form that a record may lack: `null` until its box is ticked. */
export function OptionalPart({
  name,
  label,
  blank,
  children,
}: {
  name: string
  label: string
  /** What it starts with. */
  blank: () => unknown
  children: ReactNode
}) {
  const { control, setValue } = useOpenForm()
  const has = useWatch({ control, name }) !== null
  return (
    <fieldset className="col-span-2 grid grid-cols-2 items-start gap-3 border-t border-line pt-2">
      <legend className="sr-only">{label}</legend>
      <Tick
        label={label}
        on={has}
        onChange={(on) => setValue(name, on ? blank() : null, { shouldDirty: true })}
      />
      {has && children}
    </fieldset>
  )
}
