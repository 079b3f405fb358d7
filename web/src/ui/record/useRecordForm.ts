import {
  nextOrder,
  partsOf,
  RECORDS,
  putBack,
  withoutVersion,
  type BuildDocument,
  type Edit,
  type Kind,
  type RecordOf,
  type Stored,
  rebasedEdit,
} from '@bold-ballast/contract'
import { useState } from 'react'
import type { DefaultValues, FieldValues } from 'react-hook-form'
import type * as z from 'zod'
import { useChanging } from '../../store/live'
import { useBarred } from '../../store/me'
import { useBuild } from '../../store/useBuild'
import { useSchemaForm, type FormFault } from './useSchemaForm'

type FormOf<K extends Kind> = RecordOf<K> & FieldValues

/** All records of a kind; of builds there is the one. */
function recordsOf<K extends Kind>(view: BuildDocument, kind: K): readonly Stored<K>[]
function recordsOf(view: BuildDocument, kind: Kind): readonly object[] {
  return kind === 'build' ? [view.build] : partsOf(view, kind)
}

interface SavingOptions<K extends Kind> {
  /** What is saved is called so in the history. */
  readonly says: (record: RecordOf<K>, isNew: boolean) => string
  readonly onSaved: (record: RecordOf<K>) => void
  /** What is changed along with it. */
  readonly along?: (record: RecordOf<K>) => readonly Edit[]
  /** Of the draft, where one record has several sheets, or a new one several forms. */
  readonly draft?: string
  /** What its schema can't know; nothing is saved while there is a fault, which stands at its field or at the foot. */
  readonly refused?: (record: RecordOf<K>) => FormFault | null
  /** What is done before it is saved, once nothing is wrong with it. */
  readonly beforeSaving?: (record: RecordOf<K>) => unknown
  /** Where the record is, when it isn't the build as it is shown: the build itself, while something is tried. */
  readonly document?: BuildDocument
}

interface RecordFormOptions<K extends Kind> extends SavingOptions<K> {
  /** Makes a new one, told its id and the order that puts it last; left out where there always is a record. */
  readonly blank?: (id: string, order: number) => DefaultValues<FormOf<K>>
  /** The record as it is kept, where that isn't what was typed. */
  readonly completed?: (typed: RecordOf<K>) => RecordOf<K>
}

interface TypedFormOptions<K extends Kind, T extends FieldValues> extends SavingOptions<K> {
  /** What is typed: text that is read, in place of fields of the record. */
  readonly schema: z.ZodType<T, T>
  /** How a record is written there; told the id and order of a new one. */
  readonly written: (record: Stored<K> | null, id: string, order: number) => T
  /** The record that it is read as; null where it is none. */
  readonly read: (typed: T) => RecordOf<K> | null
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
  { blank, completed, ...options }: RecordFormOptions<K>,
) {
  const begin = (record: Stored<K> | null, id: string, order: number): DefaultValues<FormOf<K>> => {
    if (record) return withoutVersion(record) as DefaultValues<FormOf<K>>
    if (start && typeof start === 'object') return start as DefaultValues<FormOf<K>>
    return blank ? blank(id, order) : ({} as DefaultValues<FormOf<K>>)
  }
  const id = typeof start === 'string' ? start : null
  return useSavedForm<K, FormOf<K>>(
    kind,
    id,
    RECORDS[kind],
    begin,
    (typed) => completed?.(typed) ?? typed,
    options,
  )
}

/**
 * The form of a record that is typed as something else: ratios in a row, a lap line by line.
 *
 * @param id the record's, or null for a new one
 * @example const form = useTypedForm('course', courseId, { schema: typedLine, written, read, says, onSaved: onClose })
 */
export function useTypedForm<K extends Kind, T extends FieldValues>(
  kind: K,
  id: string | null,
  { schema, written, read, ...options }: TypedFormOptions<K, T>,
) {
  return useSavedForm<K, T>(kind, id, schema, (...of) => written(...of) as DefaultValues<T>, read, options)
}

function useSavedForm<K extends Kind, T extends FieldValues>(
  kind: K,
  id: string | null,
  schema: z.ZodType,
  begin: (record: Stored<K> | null, id: string, order: number) => DefaultValues<T>,
  read: (typed: T) => RecordOf<K> | null,
  { says, onSaved, along, refused, beforeSaving, draft = kind, document }: SavingOptions<K>,
) {
  const open = useBuild()
  const barred = useBarred(kind)
  const view = document ?? open.view
  const records = recordsOf(view, kind)
  // The one that the form begins from: somebody else may change it while this one is open.
  const [record, setRecord] = useState(() =>
    id === null ? null : (records.find((r) => r.id === id) ?? null),
  )
  /** The build as it was when the form was opened: what is put back may have gone with all that it hung from. */
  const [opened] = useState(view)
  const isGone = record !== null && !records.some((r) => r.id === record.id)
  const [begun] = useState((): DefaultValues<T> => {
    const order = nextOrder(records.flatMap((r) => ('order' in r ? [{ order: r.order }] : [])))
    return begin(record, crypto.randomUUID(), order)
  })
  // One draft for each record; of a new one, for the place where it is to be.
  const key = `${draft}.${record?.id ?? ('stageId' in begun ? open.stage.id : view.build.id)}`
  const form = useSchemaForm<T>(key, schema, begun, (typed) => {
    const whole = read(typed)
    if (!whole) return 'That can’t be read.'
    const wrong = refused?.(whole) ?? null
    if (wrong !== null) return wrong
    beforeSaving?.(whole)
    const own = isGone ? putBack(view, opened, kind, whole) : [rebasedEdit(view, kind, record, whole)]
    const edits = [...own, ...(along?.(whole) ?? [])]
    const faults = open.save(says(whole, record === null), edits)
    if (faults) return faults[0].problem
    // A form that stays open goes on from what it has saved.
    if (record) setRecord({ ...whole, version: record.version })
    onSaved(whole)
    return null
  })
  useChanging(record?.id ?? null)
  return { ...form, isNew: record === null, recordId: record?.id ?? null, record, isGone, barred }
}
