import { useCar } from '../../../store/useCar'
import { ELEMENT } from '@bold-ballast/contract'
import { ELEMENT_KINDS, formatNumber, USUAL_ELEMENT, type ElementKind } from '@bold-ballast/core'
import { useWatch } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { Choose } from '../../../ui/Choose'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { NOTHING } from '../../../ui/record/nothing'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { Tick } from '../../../ui/Tick'
import { blankWing, USUAL, type ElementForm } from './elementForm'
import { MountFields } from './MountFields'
import { PanelFields } from './PanelFields'
import { WingFields } from './WingFields'
import { KNOWN_BY } from '../../../ui/optionsOf'

const { Field, Fields } = fieldsOf('aeroElement')

const usualOf = (kind: ElementKind): Partial<ElementForm> => ({
  ...USUAL_ELEMENT[kind],
  wing: kind === 'wing' ? blankWing() : null,
  grade: 'guess',
  from: USUAL,
})

/** Something that the air presses on: its kind, size and place, its coefficients and how well they are known. */
export function ElementSheet({ elementId, onClose }: { elementId: string | null; onClose: () => void }) {
  const { view, stage, ledger, built } = useBuild()
  const element = view.aeroElements.find((e) => e.id === elementId)
  const hasBody = view.aeroElements.some((e) => e.kind === 'body')
  const blank = (id: string, order: number) => {
    const kind: ElementKind = hasBody ? 'splitter' : 'body'
    return {
      id,
      stageId: stage.id,
      name: kind === 'body' ? 'Body' : '',
      kind,
      order,
      x: kind === 'body' ? built.wheelbase / 2 : NOTHING,
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
  }
  const form = useRecordForm('aeroElement', elementId, {
    blank,
    says: ({ name }, isNew) => `${isNew ? 'Add' : 'Change'} ${name}`,
    onSaved: onClose,
    completed: (typed) => ({
      ...typed,
      wing: typed.kind === 'wing' ? typed.wing : null,
      mount: typed.kind === 'wing' ? typed.mount : null,
      panel: typed.kind === 'wing' || typed.kind === 'body' ? null : typed.panel,
    }),
  })
  const { control, setValue } = form
  const [kind, replaces, offStageId, correction] = useWatch({
    control,
    name: ['kind', 'replaces', 'offStageId', 'correction'],
  })
  const { elements: fitted } = useCar().aero
  // What it replaced is on the car no longer, and must still be named.
  const others = [
    ...view.aeroElements.filter((e) => e.id === replaces),
    ...fitted.filter((e) => e.id !== elementId && e.id !== replaces),
  ]
  const later = ledger.stages.slice(
    ledger.stages.findIndex((s) => s.id === (element?.stageId ?? stage.id)) + 1,
  )
  const choose = (next: ElementKind) => {
    setValue('kind', next, { shouldDirty: true })
    for (const [field, value] of Object.entries(usualOf(next)))
      setValue(field as keyof ElementForm, value as never, { shouldDirty: true })
  }
  return (
    <RecordSheet
      form={form}
      title={element ? 'Change the element' : 'Add an element'}
      says="Save the element"
      onClose={onClose}
    >
      <Choose
        label="It is"
        value={kind ?? null}
        options={ELEMENT_KINDS.map((k) => [k, ELEMENT[k]])}
        onChange={(k) => k && choose(k)}
      />
      <Fields names={['name', 'x', 'z']} />
      <Field name="span" hint={kind === 'body' ? 'Of the frontal area' : 'Across the car'} />
      <Field
        name="chord"
        label={kind === 'body' ? 'Height' : 'Length'}
        hint={kind === 'body' ? 'Of the frontal area' : 'Along the car'}
      />
      {kind === 'wing' ? (
        <WingFields setValue={setValue} />
      ) : (
        <>
          <Fields names={['lift', 'drag']} />
          {kind === 'splitter' && <Field name="sealed" isWide />}
        </>
      )}
      <Field name="grade" options={KNOWN_BY} />
      <Field name="spread" />
      <Field name="from" isWide />
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
      {kind === 'wing' && <MountFields />}
      {kind !== 'wing' && kind !== 'body' && <PanelFields setValue={setValue} />}
      <Field name="note" />
    </RecordSheet>
  )
}
