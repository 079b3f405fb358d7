import { withoutVersion, type RecordOf, type Seal } from '@bold-ballast/contract'
import { useState } from 'react'
import { toast } from '../../../ui/toast'
import { selectAuthor, usePerson } from '../../../store/me'
import { settings } from '../../../store/settings'
import { useAppDispatch, useAppSelector } from '../../../store/store'
import { useBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field } = fieldsOf('seal')

/** Opens a frozen stage again, with a reason; what was signed stays beside it. */
export function ReopenSheet({ seal, onClose }: { seal: Seal; onClose: () => void }) {
  const { stage } = useBuild()
  const dispatch = useAppDispatch()
  const author = useAppSelector(selectAuthor)
  const person = usePerson()
  const now = () => new Date().toISOString()
  const [start] = useState((): RecordOf<'seal'> => ({
    ...withoutVersion(seal),
    reopened: { at: now(), author, reason: '' },
  }))
  const form = useRecordForm('seal', start, {
    draft: 'reopen',
    // Of the signed sheet nothing but that it was opened can change.
    completed: ({ reopened }) => ({
      ...withoutVersion(seal),
      reopened: reopened && { ...reopened, at: now() },
    }),
    // Before it is saved: the signature itself is this person's, too.
    beforeSaving: ({ reopened }) =>
      reopened && !person && dispatch(settings.actions.authorNamed(reopened.author)),
    says: () => `Open ${stage.name} again`,
    onSaved: () => {
      toast(`${stage.name} is open again. What was signed is kept.`)
      onClose()
    },
  })
  return (
    <RecordSheet form={form} title={`Open ${stage.name} again`} says="Open it again" onClose={onClose}>
      <Field name="reopened.reason" rows={3} autoFocus />
      {!person && <Field name="reopened.author" isWide />}
    </RecordSheet>
  )
}
