import { METRIC, type UnitPreferences } from '@bold-ballast/core'
import { useContext, useMemo, type FormEvent, type ReactNode } from 'react'
import { useFormState, type Control, type FieldValues, type UseFormSetValue } from 'react-hook-form'
import type * as z from 'zod'
import { OpenBuildContext } from '../../store/useBuild'
import { SheetForm } from '../SheetForm'
import { SideSheet } from '../SideSheet'
import type { Kept } from '../useDraftForm'
import { RecordFormContext, type OpenForm } from './RecordFormContext'

/** As much of `useSchemaForm` as the sheet around its fields needs. */
export interface SheetedForm {
  readonly schema: z.ZodType
  readonly control: unknown
  readonly setValue: unknown
  readonly kept: Kept
  readonly fault: string | null
  readonly isSaving: boolean
  readonly onSubmit: (event: FormEvent) => unknown
}

export interface FormSheetProps {
  readonly form: SheetedForm
  readonly title: string
  /** The words on its button. */
  readonly says: string
  /** What figures are typed in, where the sheet isn't about the open build. */
  readonly units?: UnitPreferences
  /** What is wrong with the whole, where the sheet itself knows it. */
  readonly fault?: string | null
  /** Above the form, below its button, and below all of it. */
  readonly before?: ReactNode
  readonly after?: ReactNode
  readonly below?: ReactNode
  readonly wide?: boolean
  readonly onClose: () => void
  readonly children: ReactNode
}

/** The side sheet of a form; the fields within know themselves from its schema. */
export function FormSheet({
  form,
  title,
  says,
  units,
  fault,
  before,
  after,
  below,
  wide = false,
  onClose,
  children,
}: FormSheetProps) {
  const build = useContext(OpenBuildContext)
  const { control, setValue, schema } = form
  const typedIn = units ?? build?.units ?? METRIC
  const currency = build?.view.build.currency ?? ''
  const open = useMemo(
    (): OpenForm => ({
      control: control as Control<FieldValues>,
      setValue: setValue as UseFormSetValue<FieldValues>,
      schema,
      units: typedIn,
      currency,
    }),
    [control, setValue, schema, typedIn, currency],
  )
  // Where the field that is wrong is out of sight, or nothing shows it, the foot says so.
  const { errors } = useFormState({ control: open.control })
  return (
    <SideSheet open onClose={onClose} title={title} wide={wide}>
      {before}
      <RecordFormContext.Provider value={open}>
        <SheetForm
          onSubmit={form.onSubmit}
          kept={form.kept}
          fault={form.fault ?? fault}
          isRejected={Object.keys(errors).length > 0}
          says={says}
          busy={form.isSaving}
          after={after}
        >
          {children}
        </SheetForm>
      </RecordFormContext.Provider>
      {below}
    </SideSheet>
  )
}
