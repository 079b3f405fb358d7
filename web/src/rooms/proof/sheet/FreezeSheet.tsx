import type { SealedFigures } from '@bold-ballast/contract'
import { toast } from '../../../ui/toast'
import { selectAuthor, usePerson } from '../../../store/me'
import { settings } from '../../../store/settings'
import { useAppDispatch, useAppSelector } from '../../../store/store'
import { useBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field } = fieldsOf('seal')

/** Signs the figures of a stage and keeps them for good, after saying what is missing. */
export function FreezeSheet({ figures, onClose }: { figures: SealedFigures; onClose: () => void }) {
  const { stage } = useBuild()
  const dispatch = useAppDispatch()
  const author = useAppSelector(selectAuthor)
  const person = usePerson()
  const form = useRecordForm('seal', null, {
    blank: (id) => ({
      id,
      stageId: stage.id,
      at: new Date().toISOString(),
      author,
      figures,
      reopened: null,
      note: '',
    }),
    // What is signed is what stands there now, whenever the sheet was opened.
    completed: (typed) => ({ ...typed, figures, at: new Date().toISOString() }),
    // Before it is saved: the signature itself is this person's, too.
    beforeSaving: ({ author: by }) => !person && dispatch(settings.actions.authorNamed(by)),
    says: () => `Freeze ${stage.name}`,
    onSaved: () => {
      toast(`${stage.name} is frozen. Its figures are kept for good.`)
      onClose()
    },
  })
  const missing =
    figures.risks.length > 0 ? (
      <div className="mb-3" data-testid="missing">
        <p className="font-medium">Still open, and it will say so:</p>
        <ul className="list-disc pl-5 text-ochre">
          {figures.risks.map((risk) => (
            <li key={risk}>{risk}</li>
          ))}
        </ul>
      </div>
    ) : (
      <p className="mb-3 text-zinc">Nothing is missing.</p>
    )
  return (
    <RecordSheet
      form={form}
      title={`Freeze ${stage.name}`}
      says="Sign and freeze"
      onClose={onClose}
      before={
        <>
          <p className="mb-2 text-[13.5px] text-muted">
            The figures of the proof sheet are signed with your name and the time and kept for good. Nothing
            of the stage can be changed until it is opened again, with a reason; then both are kept.
          </p>
          {missing}
        </>
      }
    >
      {person ? (
        <p className="col-span-2 text-muted">Signed by {person.name}.</p>
      ) : (
        <Field name="author" isWide autoFocus />
      )}
      <Field name="note" />
    </RecordSheet>
  )
}
