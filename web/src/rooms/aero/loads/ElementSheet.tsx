import { fittedAt, RECORDS, withoutVersion, ELEMENT, putEdit } from '@bold-ballast/contract'
import { ELEMENT_KINDS, formatNumber, GRADES, USUAL_ELEMENT, type ElementKind } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useWatch, type DefaultValues } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { Choose } from '../../../ui/Choose'
import { FormCheck, FormQuantities, FormSelect, FormText } from '../../../ui/form'
import { FormNumber } from '../../../ui/FormNumber'
import { SheetForm } from '../../../ui/SheetForm'
import { SideSheet } from '../../../ui/SideSheet'
import { Tick } from '../../../ui/Tick'
import { useKeptForm } from '../../../ui/useKeptForm'
import { NOTHING } from '../../../ui/record/nothing'
import { blankWing, USUAL, type ElementForm } from './elementForm'
import { MountFields } from './MountFields'
import { PanelFields } from './PanelFields'
import { WingFields } from './WingFields'

const usualOf = (kind: ElementKind): Partial<ElementForm> => ({
  ...USUAL_ELEMENT[kind],
  wing: kind === 'wing' ? blankWing() : null,
  grade: 'guess',
  from: USUAL,
})

/** Something that the air presses on: its kind, size and place, its coefficients and how well they are known. */
export function ElementSheet({ elementId, onClose }: { elementId: string | null; onClose: () => void }) {
  const { view, stage, ledger, units, save } = useBuild()
  const element = view.aeroElements.find((e) => e.id === elementId)
  const hasBody = view.aeroElements.some((e) => e.kind === 'body')
  const [start] = useState<DefaultValues<ElementForm>>(() => {
    if (element) return withoutVersion(element)
    const kind = hasBody ? 'splitter' : 'body'
    return {
      id: crypto.randomUUID(),
      stageId: stage.id,
      name: kind === 'body' ? 'Body' : '',
      kind,
      order: Math.max(-1, ...view.aeroElements.map((e) => e.order)) + 1,
      x: kind === 'body' ? view.build.wheelbase / 2 : NOTHING,
      z: NOTHING,
      span: NOTHING,
      chord: NOTHING,
      sealed: true,
      panel: null,
      mount: null,
      replaces: null,
      offStageId: null,
      note: '',
      correction: null,
      lineId: null,
      ...usualOf(kind),
    }
  })
  const { control, handleSubmit, setValue, kept } = useKeptForm<ElementForm>(
    `aero.${elementId ?? stage.id}`,
    {
      resolver: zodResolver(RECORDS.aeroElement),
      defaultValues: start,
    },
  )
  const [kind, replaces, offStageId, correction] = useWatch({
    control,
    name: ['kind', 'replaces', 'offStageId', 'correction'],
  })
  // What it replaced is on the car no longer, and must still be named.
  const others = [
    ...view.aeroElements.filter((e) => e.id === replaces),
    ...fittedAt(view.aeroElements, ledger.stages, stage.id).filter(
      (e) => e.id !== elementId && e.id !== replaces,
    ),
  ]
  const later = ledger.stages.slice(
    ledger.stages.findIndex((s) => s.id === (element?.stageId ?? stage.id)) + 1,
  )
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit((typed) => {
    const isWing = typed.kind === 'wing'
    const record = {
      ...typed,
      wing: isWing ? typed.wing : null,
      mount: isWing ? typed.mount : null,
      panel: isWing || typed.kind === 'body' ? null : typed.panel,
    }
    const faults = save(`${element ? 'Change' : 'Add'} ${record.name}`, [
      putEdit(view, 'aeroElement', record),
    ])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  const choose = (next: ElementKind) => {
    setValue('kind', next, { shouldDirty: true })
    for (const [field, value] of Object.entries(usualOf(next)))
      setValue(field as keyof ElementForm, value as never, { shouldDirty: true })
  }
  return (
    <SideSheet open onClose={onClose} title={element ? 'Change the element' : 'Add an element'}>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the element">
        <Choose
          label="It is"
          value={kind ?? null}
          options={ELEMENT_KINDS.map((k) => [k, ELEMENT[k]])}
          onChange={(k) => k && choose(k)}
        />
        <FormText control={control} name="name" label="Called" />
        <FormQuantities
          control={control}
          units={units}
          fields={[
            ['x', 'Behind the front axle', 'length', { hint: 'Its middle; below zero is ahead' }],
            ['z', 'Above the ground', 'length'],
            ['span', 'Width', 'length', { hint: kind === 'body' ? 'Of the frontal area' : 'Across the car' }],
            [
              'chord',
              kind === 'body' ? 'Height' : 'Length',
              'length',
              { hint: kind === 'body' ? 'Of the frontal area' : 'Along the car' },
            ],
          ]}
        />
        {kind === 'wing' ? (
          <WingFields control={control} setValue={setValue} />
        ) : (
          <>
            <FormNumber
              control={control}
              name="lift"
              label="Pressing down, C_L"
              hint="On width × length; below zero lifts"
            />
            <FormNumber control={control} name="drag" label="Drag, C_D" />
            {kind === 'splitter' && (
              <div className="col-span-2">
                <FormCheck control={control} name="sealed" label="Closed against the bumper" />
              </div>
            )}
          </>
        )}
        <FormSelect
          control={control}
          name="grade"
          label="Known by"
          options={GRADES.filter((g) => g !== 'proven').map((g) => [g, g])}
        />
        <FormQuantities
          control={control}
          units={units}
          fields={[['spread', 'May be off by', 'share', { hint: 'One standard deviation' }]]}
        />
        <div className="col-span-2">
          <FormText control={control} name="from" label="Where that comes from" />
        </div>
        {element?.correction && (
          <Tick
            label={`As measured on the car: presses ${formatNumber(element.correction.lift, 2)}, drags ${formatNumber(element.correction.drag, 2)} times what is typed here`}
            on={Boolean(correction)}
            onChange={(on) => setValue('correction', on ? element.correction : null, { shouldDirty: true })}
          />
        )}
        {others.length > 0 && (
          <Choose
            label="Takes the place of"
            value={replaces ?? null}
            options={[['', 'nothing'], ...others.map((o) => [o.id, o.name] as const)]}
            onChange={(id) => setValue('replaces', id, { shouldDirty: true })}
          />
        )}
        {later.length > 0 && (
          <Choose
            label="Comes off at"
            value={offStageId ?? null}
            options={[['', 'no stage so far'], ...later.map((o) => [o.id, o.name] as const)]}
            onChange={(id) => setValue('offStageId', id, { shouldDirty: true })}
          />
        )}
        {kind === 'wing' && <MountFields control={control} setValue={setValue} />}
        {kind !== 'wing' && kind !== 'body' && <PanelFields control={control} setValue={setValue} />}
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
