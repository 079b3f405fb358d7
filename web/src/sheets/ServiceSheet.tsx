import type { RecordOf } from '@bold-ballast/contract'
import { useMemo } from 'react'
import { useWatch } from 'react-hook-form'
import { useBuild } from '../store/useBuild'
import { Choose } from '../ui/Choose'
import { fieldsOf } from '../ui/record/fieldsOf'
import { RecordSheet } from '../ui/record/RecordSheet'
import { Rows } from '../ui/record/Rows'
import { useRecordForm } from '../ui/record/useRecordForm'
import { today } from '../ui/today'
import { useCar } from '../store/useCar'

const { Field, Fields } = fieldsOf('service')

/** A failure that was noticed elsewhere, as far as it is known there. */
export type FailureOf = Pick<RecordOf<'service'>, 'what' | 'date' | 'changedThen'>

const blank =
  (stageId: string, kind: RecordOf<'service'>['kind'], from: FailureOf | null) => (id: string) => ({
    id,
    stageId,
    date: today(),
    kind,
    componentId: null,
    renewed: true,
    what: '',
    changedThen: '',
    parts: [],
    fluids: [],
    note: '',
    ...from,
  })

/** What was done, with parts and fluids; or what gave out, with what had been changed shortly before. */
export function ServiceSheet({
  serviceId,
  kind,
  from = null,
  onClose,
}: {
  serviceId: string | null
  kind: RecordOf<'service'>['kind']
  from?: FailureOf | null
  onClose: () => void
}) {
  const { view, stage } = useBuild()
  const { components: fitted } = useCar()
  const form = useRecordForm('service', serviceId, {
    blank: blank(stage.id, kind, from),
    draft: serviceId ? 'service' : `service.${kind}${from ? '.noticed' : ''}`,
    says: ({ what }, isNew) => `${isNew ? 'Log' : 'Change'} ${what}`,
    onSaved: onClose,
  })
  const [shown, about] = useWatch({ control: form.control, name: ['kind', 'componentId'] })
  const options = useMemo(() => {
    // A component that was replaced since, or removed, still has its history.
    const others = view.components.filter((c) => c.id === about && !fitted.some((f) => f.id === c.id))
    return [
      ['', 'the car as a whole'] as const,
      ...[...fitted, ...others].map((c) => [c.id, c.name] as const),
    ]
  }, [fitted, view.components, about])
  const isFailure = shown === 'failure'
  return (
    <RecordSheet
      form={form}
      title={`${form.isNew ? 'Log' : 'Change'} ${isFailure ? 'a failure' : 'a service'}`}
      says="Save the entry"
      onClose={onClose}
    >
      <Field name="what" label={isFailure ? 'What gave out' : 'What was done'} isWide autoFocus />
      <Fields names={['date', 'kind']} />
      <span className="col-span-2">
        <Choose
          label="About"
          value={about ?? null}
          options={options}
          onChange={(id) => form.setValue('componentId', id, { shouldDirty: true })}
        />
      </span>
      {about && <Field name="renewed" isWide />}
      {isFailure && <Field name="changedThen" isWide />}
      <Rows
        name="parts"
        one="part"
        most={40}
        blank={() => ({ name: '', quantity: 1 })}
        className="grid grid-cols-[1.6fr_0.6fr_1fr_auto] items-end gap-2"
        removes="beside"
      >
        {(i) => (
          <>
            <Field name={`parts.${i}.name`} label={`Part ${i + 1}`} />
            <Fields names={[`parts.${i}.quantity`, `parts.${i}.price`]} />
          </>
        )}
      </Rows>
      <Rows
        name="fluids"
        one="fluid"
        most={20}
        blank={() => ({ name: '' })}
        className="grid grid-cols-[1.6fr_1fr_auto] items-end gap-2"
        removes="beside"
      >
        {(i) => (
          <>
            <Field name={`fluids.${i}.name`} label={`Fluid ${i + 1}`} />
            <Field name={`fluids.${i}.volume`} />
          </>
        )}
      </Rows>
      <Field name="note" />
    </RecordSheet>
  )
}
