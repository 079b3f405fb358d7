import {
  partsOf,
  RECORDS,
  withoutVersion,
  type BuildDocument,
  type Edit,
  type Kind,
  type RecordOf,
  type Stored,
  putEdit,
} from '@bold-ballast/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import type { DefaultValues, FieldValues, Resolver } from 'react-hook-form'
import { useBuild } from '../../store/useBuild'
import { useKeptForm } from '../useKeptForm'

type FormOf<K extends Kind> = RecordOf<K> & FieldValues

/** Judges what is typed by the record's own schema. */
function resolverOf<K extends Kind>(kind: K): Resolver<FormOf<K>, unknown, FormOf<K>>
function resolverOf(kind: Kind): Resolver<FieldValues> {
  return zodResolver<FieldValues, unknown, FieldValues>(RECORDS[kind])
}

/** All records of a kind; of builds there is the one. */
function recordsOf<K extends Kind>(view: BuildDocument, kind: K): readonly Stored<K>[]
function recordsOf(view: BuildDocument, kind: Kind): readonly object[] {
  return kind === 'build' ? [view.build] : partsOf(view, kind)
}

interface RecordFormOptions<K extends Kind> {
  /** What is saved is called so in the history. */
  readonly says: (record: RecordOf<K>, isNew: boolean) => string
  readonly onSaved: () => void
  /** Makes a new one, told its id and the order that puts it last; left out where there always is a record. */
  readonly blank?: (id: string, order: number) => DefaultValues<FormOf<K>>
  /** The record as it is kept, where that isn't what was typed. */
  readonly completed?: (typed: RecordOf<K>) => RecordOf<K>
  /** What is changed along with it. */
  readonly along?: (record: RecordOf<K>) => readonly Edit[]
  /** Of the draft, where one record has several sheets, or a new one several forms. */
  readonly draft?: string
  /** A fault that no single field shows; nothing is saved while there is one. */
  readonly refused?: (record: RecordOf<K>) => string | null
}

/**
 * The form of a record: starts from the record with an id, or from a blank one; checks what is typed by the record's own
 * schema; saves it as one change, and keeps what isn't saved through a reload.
 *
 * @param start the record, or its id, or null for a new one
 * @example const form = useRecordForm('swap', swapId, { blank, says: ({ name }) => `Change ${name}`, onSaved: onClose })
 */
export function useRecordForm<K extends Kind>(
  kind: K,
  start: string | null | RecordOf<K>,
  { says, onSaved, blank, completed, along, refused, draft = kind }: RecordFormOptions<K>,
) {
  type Form = FormOf<K>
  const { view, stage, save } = useBuild()
  const records = recordsOf(view, kind)
  const record = typeof start === 'string' ? (records.find((r) => r.id === start) ?? null) : null
  const [begun] = useState((): DefaultValues<Form> => {
    if (record) return withoutVersion(record) as DefaultValues<Form>
    if (start && typeof start === 'object') return start as DefaultValues<Form>
    const last = Math.max(-1, ...records.map((r) => ('order' in r ? r.order : -1)))
    return blank ? blank(crypto.randomUUID(), last + 1) : ({} as DefaultValues<Form>)
  })
  // One draft for each record; of a new one, for the place where it is to be.
  const key = `${draft}.${record?.id ?? ('stageId' in begun ? stage.id : view.build.id)}`
  const [fault, setFault] = useState<string | null>(null)
  const form = useKeptForm<Form>(key, {
    resolver: resolverOf(kind),
    defaultValues: begun,
  })
  const onSubmit = form.handleSubmit((typed) => {
    const whole = completed ? completed(typed) : typed
    const wrong = refused?.(whole)
    if (wrong) return setFault(wrong)
    const faults = save(says(whole, record === null), [putEdit(view, kind, whole), ...(along?.(whole) ?? [])])
    if (faults) return setFault(faults[0]!.problem)
    form.kept.forget()
    onSaved()
  })
  return { ...form, kind, isNew: record === null, fault, onSubmit }
}
