import { useWatch } from 'react-hook-form'
import { Choose } from '../Choose'
import { useOpenForm } from './RecordFormContext'

/** A field that names another record, or none: chosen by what that is called. Nothing where there is none to name. */
export function LinkField({
  name,
  label,
  options,
  none = 'none',
}: {
  name: string
  label: string
  /** Ids with what they are called. */
  options: readonly (readonly [string, string])[]
  /** What naming none of them means. */
  none?: string
}) {
  const { control, setValue } = useOpenForm()
  const chosen = (useWatch({ control, name }) as string | null | undefined) ?? null
  if (options.length === 0) return null
  return (
    <span className="col-span-2">
      <Choose
        label={label}
        value={chosen}
        options={[['', none], ...options]}
        onChange={(id) => setValue(name, id, { shouldDirty: true })}
      />
    </span>
  )
}
