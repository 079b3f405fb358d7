import { useEffect, useState } from 'react'
import { useForm, type DefaultValues, type FieldValues, type Resolver } from 'react-hook-form'
import { formText } from './formText'
import { forgetText, keepText, keptText } from './keptText'

export interface Kept {
  /** True when the form opened with what had been typed before and not saved. */
  readonly isBack: boolean
  /** Counts the fresh starts; fields keyed by it are drawn anew. */
  readonly round: number
  readonly startOver: () => void
  /** To be called when it has been saved. */
  readonly forget: () => unknown
  /** What is wrong with a list or a group as a whole, which no field says. */
  readonly fault: string | null
}

/** The first fault that hangs on no field of the form: ratios out of order, say. */
function faultWithoutField(errors: object): string | null {
  for (const error of Object.values(errors) as unknown[]) {
    if (typeof error !== 'object' || error === null) continue
    const { message, ref, root } = error as { message?: unknown; ref?: unknown; root?: { message?: string } }
    if (root?.message) return root.message
    if (typeof message === 'string') {
      if (!ref) return message
      continue
    }
    const found = faultWithoutField(error)
    if (found) return found
  }
  return null
}

/**
 * React Hook Form's `useForm`, keeping what is typed through a reload, a crash or a closed sheet until it is
 * saved or started over. Only the fields that were changed are kept, so that an old draft can't put back
 * what somebody else has changed since.
 *
 * @param key one for each form and record, such as `mark.<id>`; null keeps nothing, where a secret is typed
 */
export function useDraftForm<T extends FieldValues>(
  key: string | null,
  options: { defaultValues: DefaultValues<T>; resolver: Resolver<T, unknown, T> },
) {
  const [start] = useState(() => options.defaultValues)
  const [before, setBefore] = useState(() => (key === null ? null : keptText<Partial<DefaultValues<T>>>(key)))
  const [round, setRound] = useState(0)
  const form = useForm<T, unknown, T>({
    resolver: options.resolver,
    defaultValues: before ? { ...start, ...before } : start,
  })
  const { subscribe, reset } = form
  useEffect(
    () =>
      subscribe({
        formState: { values: true },
        callback: ({ values, name }) => {
          if (!name || key === null) return
          const first = start as Record<string, unknown>
          const changed = Object.entries(values).filter(
            ([field, value]) => field === 'id' || formText(value) !== formText(first[field]),
          )
          keepText(key, Object.fromEntries(changed))
        },
      }),
    [subscribe, key, start],
  )
  const forget = () => key !== null && forgetText(key)
  const startOver = () => {
    reset(start)
    forget()
    setBefore(null)
    setRound(round + 1)
  }
  const fault = faultWithoutField(form.formState.errors)
  return { ...form, kept: { isBack: before !== null, round, startOver, forget, fault } satisfies Kept }
}
