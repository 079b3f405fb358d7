import type { UnitPreferences } from '@bold-ballast/core'
import { createContext, useContext } from 'react'
import type { Control, FieldValues, UseFormSetValue } from 'react-hook-form'
import type * as z from 'zod'

/** What a field has to know of the form that it stands in. */
export interface OpenForm {
  readonly control: Control<FieldValues>
  readonly setValue: UseFormSetValue<FieldValues>
  readonly schema: z.core.$ZodType
  readonly units: UnitPreferences
  /** Written beside money; nothing where none was named. */
  readonly currency: string
}

export const RecordFormContext = createContext<OpenForm | null>(null)

export function useOpenForm(): OpenForm {
  const open = useContext(RecordFormContext)
  if (!open) throw new Error('A field stands inside a FormSheet')
  return open
}
