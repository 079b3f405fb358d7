import { choice, field, GEARSET_KIND, RECORDS, type RecordOf } from '@bold-ballast/contract'
import { ratiosFrom } from '@bold-ballast/core'
import { useWatch } from 'react-hook-form'
import * as z from 'zod'
import { fieldsTyped } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useTypedForm } from '../../../ui/record/useRecordForm'

type Gearset = RecordOf<'gearset'>
const tyre = RECORDS.gearset.shape.set.options[3]
/** As it is typed: ratios are one line of text, and every kind has the same fields. */
const typedSet = z
  .object({
    id: z.string(),
    order: z.number(),
    name: RECORDS.gearset.shape.name,
    kind: choice(['gearbox', 'finalDrive', 'between', 'tyre'], GEARSET_KIND, 'It is'),
    ratios: field(z.string(), { label: 'Ratios', hint: 'Such as 4.10, 4.44, or teeth: 41/10, 43/10' }),
    size: tyre.shape.size,
    rollOut: tyre.shape.rollOut,
    diameter: tyre.shape.diameter,
    growth: tyre.shape.growth,
    note: RECORDS.gearset.shape.note,
  })
  .superRefine((typed, context) => {
    const set = setOf(typed)
    if ('problem' in set) return context.addIssue({ code: 'custom', path: ['ratios'], message: set.problem })
    const fits = RECORDS.gearset.shape.set.safeParse(set)
    if (!fits.success)
      for (const { path, message } of fits.error.issues)
        context.addIssue({ code: 'custom', path: [path[0] ?? 'ratios'], message })
  })
type Typed = z.infer<typeof typedSet>

function setOf({
  kind,
  ratios,
  size,
  rollOut,
  diameter,
  growth,
}: Typed): Gearset['set'] | { problem: string } {
  if (kind === 'tyre') return { kind, size, rollOut, diameter, growth }
  const read = ratiosFrom(ratios)
  return 'problem' in read ? read : { kind, ratios: [...read] }
}

const { Field, Fields } = fieldsTyped<Typed>()

const written = (gearset: Gearset | null, id: string, order: number): Typed => ({
  id: gearset?.id ?? id,
  order: gearset?.order ?? order,
  name: gearset?.name ?? '',
  kind: gearset?.set.kind ?? 'finalDrive',
  ratios: gearset && gearset.set.kind !== 'tyre' ? gearset.set.ratios.join(', ') : '',
  ...(gearset?.set.kind === 'tyre'
    ? gearset.set
    : { size: '', rollOut: null, diameter: null, growth: 0.005 }),
  note: gearset?.note ?? '',
})

function read(typed: Typed): Gearset | null {
  const { id, order, name, note } = typed
  const set = setOf(typed)
  return 'problem' in set ? null : { id, order, name, note, set }
}

/** A gearbox, some final drives, gears in between or a tyre, for the workshop's shelf. */
export function GearsetSheet({ gearsetId, onClose }: { gearsetId: string | null; onClose: () => void }) {
  const form = useTypedForm('gearset', gearsetId, {
    schema: typedSet,
    written,
    read,
    says: ({ name }, isNew) => `${isNew ? 'Add' : 'Change'} ${name}`,
    onSaved: onClose,
  })
  const kind = useWatch({ control: form.control, name: 'kind' }) ?? 'finalDrive'
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Add a set to the shelf' : 'Change the set'}
      says="Save the set"
      onClose={onClose}
    >
      <Field name="name" label="Called" hint="Such as short drives" isWide autoFocus />
      <Field name="kind" isWide />
      {kind === 'tyre' ? (
        <Fields names={['size', 'rollOut', 'diameter', 'growth']} />
      ) : (
        <Field name="ratios" isWide {...(kind === 'gearbox' && { label: 'Ratios, first to last' })} />
      )}
      <Field name="note" />
    </RecordSheet>
  )
}
