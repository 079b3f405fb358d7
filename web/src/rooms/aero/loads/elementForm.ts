import type { RecordOf } from '@bold-ballast/contract'
import type { Control, UseFormSetValue } from 'react-hook-form'

export type ElementForm = RecordOf<'aeroElement'>
/** What a field holds until somebody types. */
export const NOTHING = undefined as unknown as number
export interface FieldsProps {
  readonly control: Control<ElementForm>
  readonly setValue: UseFormSetValue<ElementForm>
}
