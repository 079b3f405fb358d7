import { useWatch, type FieldValues } from 'react-hook-form'
import { valueAt } from '@bold-ballast/contract'
import { useOpenForm } from '../../ui/record/RecordFormContext'

/** What stands in the open form, by path. */
export function useFormContextValues(): (path: string) => unknown {
  const { control } = useOpenForm()
  const typed = useWatch<FieldValues>({ control })
  return (path) => valueAt(typed, path)
}
