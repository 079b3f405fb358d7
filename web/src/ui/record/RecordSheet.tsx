import type { Stage } from '@bold-ballast/contract'
import { useMemo, type FormEvent, type ReactNode } from 'react'
import { useFormState, type Control, type FieldValues, type UseFormSetValue } from 'react-hook-form'
import type * as z from 'zod'
import { useBuild } from '../../store/useBuild'
import { CarriedNote } from '../CarriedNote'
import { SheetForm } from '../SheetForm'
import { SideSheet } from '../SideSheet'
import type { Kept } from '../useDraftForm'
import { RecordFormContext, type OpenForm } from './RecordFormContext'

/** As much of `useRecordForm` as the sheet around its fields needs. */
interface Form {
  readonly schema: z.ZodType
  readonly control: unknown
  readonly setValue: unknown
  readonly kept: Kept
  readonly fault: string | null
  readonly onSubmit: (event: FormEvent) => unknown
}

/** The side sheet of a record's form; the fields within know themselves from the record's definition. */
export function RecordSheet({
  form,
  title,
  says,
  carriedFrom = null,
  fault,
  before,
  after,
  below,
  wide = false,
  onClose,
  children,
}: {
  form: Form
  title: string
  /** The words on its button. */
  says: string
  /** Of a kind that is carried on: the stage it comes from. */
  carriedFrom?: Stage | null
  /** What is wrong with the whole, where the sheet itself knows it. */
  fault?: string | null
  /** Above the form, below its button, and below all of it. */
  before?: ReactNode
  after?: ReactNode
  below?: ReactNode
  wide?: boolean
  onClose: () => void
  children: ReactNode
}) {
  const { stage } = useBuild()
  const { control, setValue, schema } = form
  const open = useMemo(
    (): OpenForm => ({
      control: control as Control<FieldValues>,
      setValue: setValue as UseFormSetValue<FieldValues>,
      schema,
    }),
    [control, setValue, schema],
  )
  // Where the field that is wrong is out of sight, or nothing shows it, the foot says so.
  const { errors } = useFormState({ control: open.control })
  return (
    <SideSheet open onClose={onClose} title={title} wide={wide}>
      <CarriedNote from={carriedFrom} stage={stage} />
      {before}
      <RecordFormContext.Provider value={open}>
        <SheetForm
          onSubmit={form.onSubmit}
          kept={form.kept}
          fault={form.fault ?? fault}
          isRejected={Object.keys(errors).length > 0}
          says={says}
          after={after}
        >
          {children}
        </SheetForm>
      </RecordFormContext.Provider>
      {below}
    </SideSheet>
  )
}
