import * as z from 'zod'
import * as f from '../records/fields'
import { MOST_TRIED } from '../records/branch'
import {
  KINDS,
  PART_KINDS,
  RECORDS,
  version,
  type Branch,
  type Kind,
  type PartKind,
  type Stored,
} from '../records/kinds'
import { REGISTRY } from '../records/registry'
import { FORMAT_VERSION } from '../versions/formatVersion'

/**
 * One change to one record. `put` writes the whole record: `version` is the one it was based on, 0 for a
 * new record. `remove` takes it away.
 */
export type Edit =
  | { [K in Kind]: { op: 'put'; kind: K; record: Stored<K> } }[Kind]
  | { op: 'remove'; kind: PartKind; id: string; version: number }

/** The id of the record that an edit is about. */
export const recordIdOf = (edit: Edit): string => (edit.op === 'put' ? edit.record.id : edit.id)

const putOf = (kind: Kind, record: z.ZodType) =>
  z.strictObject({ op: z.literal('put'), kind: z.literal(kind), record })
const remove = z.strictObject({
  op: z.literal('remove'),
  kind: z.enum(PART_KINDS as [PartKind, ...PartKind[]]),
  id: f.id,
  version,
})

// The put variants differ in `kind` and the removal in `op`, so a union inside a union keeps messages short.
function eitherOf(puts: readonly ReturnType<typeof putOf>[]): z.ZodType<Edit>
function eitherOf([first, ...rest]: readonly ReturnType<typeof putOf>[]): z.ZodType {
  if (!first) throw new RangeError('There is at least one kind of record')
  return z.discriminatedUnion('op', [z.discriminatedUnion('kind', [first, ...rest]), remove])
}

/** Nothing is tried within something tried, and nothing is signed there. */
const TRIED_KINDS = KINDS.filter((kind) => REGISTRY[kind].isTried)
const tried = z
  .array(eitherOf(TRIED_KINDS.map((kind) => putOf(kind, RECORDS[kind].safeExtend({ version })))))
  .max(MOST_TRIED)

/** A branch with every edit of it checked as an edit. */
export const branchToWrite = RECORDS.branch.superRefine((branch, context) => {
  const checked = tried.safeParse(branch.edits)
  for (const issue of checked.error?.issues ?? [])
    context.addIssue({ code: 'custom', path: ['edits', ...issue.path], message: issue.message })
  // What is checked here is kept as it came, so its ids have to come as they are kept.
  checked.data?.forEach((edit, i) => {
    const { id, record } = branch.edits[i] as { id?: unknown; record?: { id?: unknown } }
    if (recordIdOf(edit) !== (edit.op === 'put' ? record?.id : id))
      context.addIssue({ code: 'custom', path: ['edits', i], message: 'Ids are written in lower case.' })
  })
})

/** What a branch would change. Checked when it was written. */
export function triedEdits(branch: Pick<Branch, 'edits'>): readonly Edit[]
export function triedEdits(branch: Pick<Branch, 'edits'>): readonly object[] {
  return branch.edits
}

/** Edits as a branch keeps them. */
export const keptEdits = (edits: readonly Edit[]): Branch['edits'] => edits.map((edit) => ({ ...edit }))

const editSchema = eitherOf(
  KINDS.map((kind) =>
    putOf(kind, (kind === 'branch' ? branchToWrite : RECORDS[kind]).safeExtend({ version })),
  ),
)

export const MOST_EDITS = 5000

/**
 * Edits that happen together or not at all. The id makes a repeated sending harmless: the server answers a
 * batch that it has already carried out with the same result.
 */
export const editBatch = z.strictObject({
  id: f.id,
  /** Version of the records in its edits; left out, that of today. */
  formatVersion: z
    .literal(FORMAT_VERSION, `Only format versions up to ${FORMAT_VERSION} are known here.`)
    .optional(),
  /** What the person did, for the history: "Change mass of door skin". */
  label: z.string().trim().min(1).max(200),
  /** Who did it, as far as the device knows. */
  author: z.string().trim().max(80).default(''),
  /** When it was done, by the device's clock: without a network it arrives later. */
  madeAt: z.iso.datetime().optional(),
  edits: z
    .array(editSchema)
    .min(1, 'Nothing to change.')
    .max(MOST_EDITS, `At most ${MOST_EDITS} changes at once.`),
})
export type EditBatch = z.infer<typeof editBatch>

/** What became of a batch: the new version of each record that was written. */
export const editResult = z.strictObject({
  id: f.id,
  versions: z.array(z.strictObject({ kind: z.enum(KINDS), id: f.id, version })),
})
export type EditResult = z.infer<typeof editResult>
