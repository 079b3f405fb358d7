import { RECORDS, withoutVersion, type Component } from '@bold-ballast/contract'
import { GRADES } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useWatch, type DefaultValues } from 'react-hook-form'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { FormQuantities, FormSelect, FormText } from '../../ui/form'
import { FormNumber } from '../../ui/FormNumber'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'
import { optionsOf, RATING, SHAFT } from '../../words/names'
import { RATED_IN } from './LinksView'

type ComponentForm = Omit<Component, 'version'>

/** Something rated: what its rating is in, and the shaft or the demand that it is for. */
export function ComponentSheet({
  componentId,
  onClose,
}: {
  componentId: string | null
  onClose: () => void
}) {
  const { view, stage, units, save } = useBuild()
  const component = view.components.find((c) => c.id === componentId)
  const [start] = useState<DefaultValues<ComponentForm>>(() =>
    component
      ? withoutVersion(component)
      : {
          ...{
            id: crypto.randomUUID(),
            stageId: stage.id,
            name: '',
            kind: 'torque',
            shaft: 'gearbox',
            grade: 'claim',
          },
          ...{ demand: null, wantedMargin: 1.2, note: '' },
          order: Math.max(-1, ...view.components.map((c) => c.order)) + 1,
        },
  )
  const { control, handleSubmit, kept } = useKeptForm<ComponentForm>(`component.${componentId ?? stage.id}`, {
    resolver: zodResolver(RECORDS.component),
    defaultValues: start,
  })
  const kind = useWatch({ control, name: 'kind' }) ?? 'torque'
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit((typed) => {
    const record = { ...typed, shaft: typed.kind === 'torque' ? typed.shaft : null }
    const faults = save(`${component ? 'Change' : 'Add'} ${record.name}`, [put(view, 'component', record)])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  const follows = kind === 'torque' || kind === 'power'
  return (
    <SideSheet open onClose={onClose} title={component ? 'Change the component' : 'Add a component'}>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the component">
        <div className="col-span-2">
          <FormText
            control={control}
            name="name"
            label="Component"
            hint="Such as gearbox, five-speed"
            autoFocus
          />
        </div>
        <FormSelect control={control} name="kind" label="Rated in" options={optionsOf(RATING)} />
        {kind === 'torque' ? (
          <FormSelect control={control} name="shaft" label="Its rating holds" options={optionsOf(SHAFT)} />
        ) : (
          <span />
        )}
        <FormQuantities
          key={kind}
          control={control}
          units={units}
          fields={[['rating', 'Rating', RATED_IN[kind]]]}
        />
        <FormSelect
          control={control}
          name="grade"
          label="Known by"
          options={GRADES.filter((g) => g !== 'proven').map((g) => [g, g])}
          hint="A maker’s figure is a claim"
        />
        {!follows && (
          <FormQuantities
            key={`${kind} demand`}
            control={control}
            units={units}
            fields={[['demand', 'Asked of it', RATED_IN[kind]]]}
          />
        )}
        <FormNumber
          control={control}
          name="wantedMargin"
          label="Margin wanted"
          hint="1.2 is a fifth in hand"
        />
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
