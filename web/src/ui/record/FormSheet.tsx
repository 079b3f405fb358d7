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
  /** The record that it changes; missing where it is none, or a new one. */
  readonly recordId?: string | null
  /** Somebody else removed the record meanwhile. */
  readonly isGone?: boolean
  /** Why whoever has opened it may only look. */
  readonly barred?: string | null
  readonly onSubmit: (event: FormEvent) => unknown
}

export interface FormBodyProps {
  readonly form: SheetedForm
  /** The words on its button. */
  readonly says: string
  /** What figures are typed in, where the form isn't about the open build. */
  readonly units?: UnitPreferences
  /** What is wrong with the whole, where whoever shows it knows. */
  readonly fault?: string | null
  /** Below its button. */
  readonly after?: ReactNode
  readonly children: ReactNode
}

/** A form by itself, wherever it stands; the fields within know themselves from its schema. */
export function FormBody({ form, says, units, fault, after, children }: FormBodyProps) {
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
    <RecordFormContext.Provider value={open}>
      <SheetForm
        onSubmit={form.onSubmit}
        kept={form.kept}
        fault={form.fault ?? fault}
        isRejected={Object.keys(errors).length > 0}
        says={says}
        busy={form.isSaving}
        barred={form.barred}
        after={after}
      >
        {children}
      </SheetForm>
    </RecordFormContext.Provider>
  )
}

export interface FormSheetProps extends FormBodyProps {
  readonly title: string
  /** Above the form, and below all of it. */
  readonly before?: ReactNode
  readonly below?: ReactNode
  readonly wide?: boolean
  readonly onClose: () => void
}

/** The side sheet of a form. */
export function FormSheet({ title, before, below, wide = false, onClose, ...body }: FormSheetProps) {
  return (
    <SideSheet open onClose={onClose} title={title} wide={wide}>
      {before}
      <FormBody {...body} />
      {below}
    </SideSheet>
  )
}
