import { useAppSelector } from '../../../store/store'
import { useBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { NOTHING } from '../../../ui/record/nothing'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { today } from '../../../ui/today'

const { Field, Fields } = fieldsOf('firstGuess')

/** What somebody guesses of the whole, before anybody knows. */
export function GuessSheet({ guessId, onClose }: { guessId: string | null; onClose: () => void }) {
  const { stage } = useBuild()
  const author = useAppSelector((state) => state.settings.author)
  const form = useRecordForm('firstGuess', guessId, {
    blank: (id) => ({
      id,
      stageId: stage.id,
      of: 'mass' as const,
      who: author,
      value: NOTHING,
      date: today(),
      note: '',
    }),
    says: ({ who }, isNew) => `${isNew ? 'Guess' : 'Change the guess'} of ${who || 'somebody'}`,
    refused: ({ who }) => (who === '' ? { field: 'who', problem: 'Say who guesses.' } : null),
    onSaved: onClose,
  })
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Guess before anybody knows' : 'Change the guess'}
      says="Save the guess"
      onClose={onClose}
    >
      <Fields names={['of', 'who', 'value', 'date']} />
      <Field name="note" />
    </RecordSheet>
  )
}
