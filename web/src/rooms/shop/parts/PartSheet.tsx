import { newPart } from '@bold-ballast/contract'
import { useBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { LinkField } from '../../../ui/record/LinkField'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field, Fields } = fieldsOf('part')

/** A part that is to come: how far it has got, from whom, for when, and what was found on it. */
export function PartSheet({ partId, onClose }: { partId: string | null; onClose: () => void }) {
  const { view, stage } = useBuild()
  const form = useRecordForm('part', partId, {
    blank: (id, order) => newPart({ id, stageId: stage.id, name: '', system: 'other', order }),
    // The first day that was promised is kept, whatever is promised later.
    completed: (part) => ({ ...part, promisedFirst: part.promisedFirst ?? part.promisedFor }),
    says: ({ name }, isNew) => `${isNew ? 'Want' : 'Change'} ${name}`,
    onSaved: onClose,
  })
  const swaps = new Set(view.swaps.filter((s) => s.stageId === stage.id).map((s) => s.id))
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Add a part to come' : 'Change the part'}
      says="Save the part"
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <Fields
        names={[
          'state',
          'purpose',
          'system',
          'condition',
          'quantity',
          'came',
          'supplier',
          'price',
          'priceGrade',
          'lead',
          'orderedOn',
          'promisedFor',
          'arrivedOn',
          'promisedFirst',
        ]}
      />
      <LinkField
        name="lineId"
        label="The planned part"
        options={view.lines
          .filter((line) => line.kind === 'on' && swaps.has(line.swapId))
          .map((line) => [line.id, line.name] as const)}
      />
      <LinkField
        name="componentId"
        label="Takes the place of"
        options={view.components.map((c) => [c.id, c.name] as const)}
      />
      <Rows
        name="findings"
        one="finding"
        begins="Look it over: add a finding"
        blank={() => ({ what: 'wear', where: '', cost: null, time: null })}
      >
        {(i) => (
          <>
            <Field name={`findings.${i}.what`} />
            <Field name={`findings.${i}.where`} />
            <Field name={`findings.${i}.cost`} />
            <Field name={`findings.${i}.time`} />
          </>
        )}
      </Rows>
      <Field name="note" />
    </RecordSheet>
  )
}
