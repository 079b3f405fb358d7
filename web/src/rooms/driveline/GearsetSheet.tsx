import { RECORDS, type RecordOf, putEdit } from '@bold-ballast/contract'
import { ratiosFrom } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useWatch } from 'react-hook-form'
import * as z from 'zod'
import { useBuild } from '../../store/useBuild'
import { FormQuantities, FormSelect, FormText } from '../../ui/form'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'

type Gearset = RecordOf<'gearset'>
type Kind = Gearset['set']['kind']
const KINDS: readonly (readonly [Kind, string])[] = [
  ['gearbox', 'Gearbox, its gears'],
  ['finalDrive', 'Final drives'],
  ['between', 'Drop, transfer or quick-change gears'],
  ['tyre', 'Tyre'],
]
const tyre = RECORDS.gearset.shape.set.options[3]
/** As it is typed: ratios are one line of text, and every kind has the same fields. */
const typedSet = z
  .object({
    id: z.string(),
    order: z.number(),
    name: RECORDS.gearset.shape.name,
    kind: z.enum(['gearbox', 'finalDrive', 'between', 'tyre']),
    ratios: z.string(),
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

/** A gearbox, some final drives, gears in between or a tyre, for the workshop's shelf. */
export function GearsetSheet({ gearsetId, onClose }: { gearsetId: string | null; onClose: () => void }) {
  const { view, units, save } = useBuild()
  const gearset = view.gearsets.find((g) => g.id === gearsetId)
  const [start] = useState<Typed>(() => ({
    id: gearset?.id ?? crypto.randomUUID(),
    order: gearset?.order ?? Math.max(-1, ...view.gearsets.map((g) => g.order)) + 1,
    name: gearset?.name ?? '',
    kind: gearset?.set.kind ?? 'finalDrive',
    ratios: gearset && gearset.set.kind !== 'tyre' ? gearset.set.ratios.join(', ') : '',
    ...(gearset?.set.kind === 'tyre'
      ? gearset.set
      : { size: '', rollOut: null, diameter: null, growth: 0.005 }),
    note: gearset?.note ?? '',
  }))
  const { control, handleSubmit, kept } = useKeptForm<Typed>(`gearset.${gearsetId ?? view.build.id}`, {
    resolver: zodResolver(typedSet),
    defaultValues: start,
  })
  const kind = useWatch({ control, name: 'kind' }) ?? 'finalDrive'
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit((typed) => {
    const { id, order, name, note } = typed
    const set = setOf(typed) as Gearset['set']
    const faults = save(`${gearset ? 'Change' : 'Add'} ${name}`, [
      putEdit(view, 'gearset', { id, order, name, note, set }),
    ])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title={gearset ? 'Change the set' : 'Add a set to the shelf'}>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the set">
        <div className="col-span-2">
          <FormText control={control} name="name" label="Called" hint="Such as short drives" autoFocus />
        </div>
        <div className="col-span-2">
          <FormSelect control={control} name="kind" label="It is" options={KINDS} />
        </div>
        {kind === 'tyre' ? (
          <>
            <FormText control={control} name="size" label="Size" hint="Such as 265/35R18" />
            <FormQuantities
              control={control}
              units={units}
              fields={[
                ['rollOut', 'Rolls out', 'length', { hint: 'One turn with the car on it' }],
                ['diameter', 'Diameter, unloaded', 'length'],
                ['growth', 'Grows by', 'share', { hint: 'At 200 km/h; 0.5 % is usual' }],
              ]}
            />
          </>
        ) : (
          <div className="col-span-2">
            <FormText
              control={control}
              name="ratios"
              label={kind === 'gearbox' ? 'Ratios, first to last' : 'Ratios'}
              hint="Such as 4.10, 4.44, or teeth: 41/10, 43/10"
            />
          </div>
        )}
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
