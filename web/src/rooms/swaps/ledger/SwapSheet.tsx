import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field, Fields } = fieldsOf('swap')

/** Everything about a swap: its name, what it took in hours and money, and notes. */
export function SwapSheet({
  swapId,
  onClose,
  onTogether,
}: {
  swapId: string
  onClose: () => void
  onTogether: () => void
}) {
  const { view, removeSaying } = useBuild()
  const swap = view.swaps.find((s) => s.id === swapId)
  const form = useRecordForm('swap', swapId, {
    says: ({ name }) => `Change ${name}`,
    onSaved: onClose,
    // It may have been moved since the form was opened.
    completed: (typed) => ({ ...typed, order: swap?.order ?? typed.order }),
  })
  const shown = swap ?? form.record
  if (!shown) return null
  const remove = () => {
    removeSaying('swap', shown.id, shown.name)
    onClose()
  }
  return (
    <RecordSheet
      form={form}
      title={shown.name}
      says="Save the swap"
      onClose={onClose}
      after={
        <>
          <Button onClick={onTogether} className="col-span-2">
            Weigh lines together
          </Button>
          <MayOnly right="plan">
            <Button look="danger" onClick={remove} className="col-span-2">
              Remove the swap
            </Button>
          </MayOnly>
        </>
      }
    >
      <Field name="name" isWide />
      <Fields names={['workTime', 'cost']} />
      <Field name="note" rows={3} />
    </RecordSheet>
  )
}
