import { ICE_POINT, perCorner } from '@bold-ballast/core'
import { HotTyres } from '../../../sheets/HotTyres'
import { SheetOf } from '../../../sheets/SheetOf'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { today } from '../../../ui/today'
import { CornerGrid } from '../../../ui/record/CornerGrid'

const { Field, Fields } = fieldsOf('tyreReading')

/** Pressures and tread temperatures of a run, for one hand at the kerb. */
export function TyreSheet({ readingId, onClose }: { readingId: string | null; onClose: () => void }) {
  const { stage } = useBuild()
  const { setup } = useLiveCar()
  const form = useRecordForm('tyreReading', readingId, {
    blank: (id) => ({
      id,
      stageId: stage.id,
      date: today(),
      time: null,
      name: '',
      setupId: setup?.value.id ?? null,
      air: 15 + ICE_POINT,
      barometer: null,
      cold: setup?.value.cold ?? perCorner(() => null),
      hot: perCorner(() => null),
      treads: perCorner(() => null),
      note: '',
    }),
    says: ({ name }, isNew) => `${isNew ? 'Read' : 'Change'} the tyres, ${name}`,
    onSaved: onClose,
  })
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Read the tyres' : 'Change the readings'}
      says="Save the readings"
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <HotTyres />
      <CornerGrid says="Cold, before" name="cold">
        {(corner, label) => <Field name={`cold.${corner}`} label={label} />}
      </CornerGrid>
      <Fields names={['air', 'barometer', 'date', 'time']} />
      <SheetOf />
      <Field name="note" />
    </RecordSheet>
  )
}
