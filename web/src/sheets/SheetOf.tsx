import type { Setup } from '@bold-ballast/contract'
import { useWatch, type Control, type FieldValues, type UseFormSetValue } from 'react-hook-form'
import { Choose } from '../ui/Choose'

/** Which set-up sheet something was driven, read or measured on. */
export function SheetOf({ form, setups }: { form: object; setups: readonly Setup[] }) {
  const { control, setValue } = form as {
    control: Control<FieldValues>
    setValue: UseFormSetValue<FieldValues>
  }
  const chosen = (useWatch({ control, name: 'setupId' }) as string | null | undefined) ?? null
  if (setups.length === 0) return null
  const options = [...setups]
    .sort((a, b) => b.order - a.order)
    .map((s) => [s.id, `Sheet ${s.order}${s.name ? `, ${s.name}` : ''}`] as const)
  return (
    <span className="col-span-2">
      <Choose
        label="On set-up sheet"
        value={chosen}
        options={[['', 'none'], ...options]}
        onChange={(id) => setValue('setupId', id, { shouldDirty: true })}
      />
    </span>
  )
}
