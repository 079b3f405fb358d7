import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import type { DefaultValues, FieldPath, FieldValues, Resolver } from 'react-hook-form'
import type * as z from 'zod'
import { problemOf } from '../../store/api'
import { useDraftForm } from '../useDraftForm'

/** Why something wasn't saved: at a field, or of the whole. */
export type FormFault = string | { readonly field: string; readonly problem: string }

/** What a refused request means for a form: at its field where the server says which, or of the whole. */
export function refusedAs(error: unknown): FormFault {
  const { errors, detail } = problemOf(error)
  return errors?.[0] ?? detail
}

/** Judges what is typed by a schema. */
function resolverOf<T extends FieldValues>(schema: z.ZodType): Resolver<T, unknown, T>
function resolverOf(schema: z.ZodType): Resolver<FieldValues> {
  return zodResolver<FieldValues, unknown, FieldValues>(schema as z.ZodType<FieldValues, FieldValues>)
}

/**
 * A form of whatever a schema describes: checks what is typed by it, saves, and keeps what isn't saved through a reload.
 *
 * @param draft what the draft is kept under: one for each form and thing; null where nothing is to be kept
 * @param start what stands in it when it opens
 * @param save does what the form is for; why it couldn't, or null. What was typed is kept until it could.
 * @example const form = useSchemaForm('who', shape, { author }, ({ author }) => nameAuthor(author))
 */
export function useSchemaForm<T extends FieldValues>(
  draft: string | null,
  schema: z.ZodType,
  start: DefaultValues<T>,
  save: (typed: T) => FormFault | null | Promise<FormFault | null>,
) {
  const [fault, setFault] = useState<string | null>(null)
  const form = useDraftForm<T>(draft, { resolver: resolverOf<T>(schema), defaultValues: start })
  const onSubmit = form.handleSubmit(async (typed) => {
    const wrong = await save(typed)
    setFault(typeof wrong === 'string' ? wrong : null)
    if (wrong === null) form.kept.forget()
    else if (typeof wrong === 'object') form.setError(wrong.field as FieldPath<T>, { message: wrong.problem })
  })
  return {
    ...form,
    schema,
    fault,
    onSubmit,
    isSaving: form.formState.isSubmitting,
    /** Takes back what was said of the whole, once somebody has answered it. */
    forgive: () => setFault(null),
  }
}
