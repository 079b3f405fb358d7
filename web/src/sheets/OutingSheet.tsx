import { SheetOf } from './SheetOf'
import { useBuild } from '../store/useBuild'
import { useCar } from '../store/useCar'
import { fieldsOf } from '../ui/record/fieldsOf'
import { LinkField } from '../ui/record/LinkField'
import { NOTHING } from '../ui/record/nothing'
import { OptionalPart } from '../ui/record/OptionalPart'
import { RecordSheet } from '../ui/record/RecordSheet'
import { useRecordForm } from '../ui/record/useRecordForm'
import { today } from '../ui/today'

const { Field, Fields } = fieldsOf('outing')

const blankResult = () => ({ place: NOTHING, of: null, points: null })
const blank = (stageId: string, setupId: string | null) => (id: string) => ({
  id,
  stageId,
  name: '',
  date: today(),
  planned: false,
  note: '',
  amounts: { hours: 0, laps: 0, launches: 0, trackDays: 1, heatCycles: 0 },
  bestLap: null,
  quarterMile: null,
  topSpeed: null,
  setupId,
  courseId: null,
  cost: null,
  result: null,
  take: [],
  fuelCost: null,
  tyreCost: null,
})

/** A day on which the car ran, or will: what everything that wears is counted by. */
export function OutingSheet({
  outingId,
  onClose,
  onSaved,
}: {
  outingId: string | null
  onClose: () => void
  onSaved?: (id: string) => void
}) {
  const { stage, view } = useBuild()
  const { setup } = useCar()
  const form = useRecordForm('outing', outingId, {
    blank: blank(stage.id, setup?.value.id ?? null),
    says: ({ name }, isNew) => `${isNew ? 'Log' : 'Change'} ${name}`,
    onSaved: ({ id }) => {
      onSaved?.(id)
      onClose()
    },
  })
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Log a day' : 'Change the day'}
      says="Save the day"
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <Fields
        names={[
          'date',
          'planned',
          'amounts.hours',
          'amounts.trackDays',
          'amounts.laps',
          'amounts.launches',
          'amounts.heatCycles',
          'bestLap',
          'quarterMile',
          'topSpeed',
        ]}
      />
      <SheetOf />
      <LinkField name="courseId" label="Course" options={view.courses.map((c) => [c.id, c.name] as const)} />
      <Fields names={['cost', 'fuelCost', 'tyreCost']} />
      <OptionalPart name="result" label="It was an event with a result" blank={blankResult}>
        <Fields names={['result.place', 'result.of', 'result.points']} />
      </OptionalPart>
      <Field name="note" />
    </RecordSheet>
  )
}
