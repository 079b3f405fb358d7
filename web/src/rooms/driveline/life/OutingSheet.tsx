import { SheetOf } from '../../../sheets/SheetOf'
import { useBuild } from '../../../store/useBuild'
import { useCar } from '../../../store/useCar'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { today } from '../../../ui/today'

const { Field, Fields } = fieldsOf('outing')

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
})

/** A day on which the car ran, or will: what everything that wears is counted by. */
export function OutingSheet({ outingId, onClose }: { outingId: string | null; onClose: () => void }) {
  const { stage, view } = useBuild()
  const { setup } = useCar()
  const form = useRecordForm('outing', outingId, {
    blank: blank(stage.id, setup?.value.id ?? null),
    says: ({ name }, isNew) => `${isNew ? 'Log' : 'Change'} ${name}`,
    onSaved: onClose,
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
      <SheetOf form={form} setups={view.setups} />
      <Field name="note" />
    </RecordSheet>
  )
}
