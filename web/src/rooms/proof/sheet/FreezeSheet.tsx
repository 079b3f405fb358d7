import { RECORDS, type RecordOf, type SealedFigures, putEdit } from '@bold-ballast/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { toast } from 'sonner'
import { useBuild } from '../../../store/useBuild'
import { FormText } from '../../../ui/form'
import { SheetForm } from '../../../ui/SheetForm'
import { SideSheet } from '../../../ui/SideSheet'
import { useDraftForm } from '../../../ui/useDraftForm'
import { settings } from '../../../store/settings'
import { useAppDispatch, useAppSelector } from '../../../store/store'

/** Signs the figures of a stage and keeps them for good, after saying what is missing. */
export function FreezeSheet({ figures, onClose }: { figures: SealedFigures; onClose: () => void }) {
  const { view, stage, save } = useBuild()
  const dispatch = useAppDispatch()
  const author = useAppSelector((state) => state.settings.author)
  const [start] = useState((): RecordOf<'seal'> => ({
    id: crypto.randomUUID(),
    stageId: stage.id,
    at: new Date().toISOString(),
    author,
    figures,
    reopened: null,
    note: '',
  }))
  const { control, handleSubmit, kept } = useDraftForm<RecordOf<'seal'>>(`seal.${stage.id}`, {
    resolver: zodResolver(RECORDS.seal),
    defaultValues: start,
  })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit(({ author: by, note }) => {
    // What is signed is what stands there now, whenever the sheet was opened.
    const seal = { ...start, figures, author: by, note, at: new Date().toISOString() }
    // Before it is saved: the signature itself is this person's, too.
    dispatch(settings.actions.authorNamed(by))
    const faults = save(`Freeze ${stage.name}`, [putEdit(view, 'seal', seal)])
    if (faults) return setFault(faults[0]!.problem)
    toast(`${stage.name} is frozen. Its figures are kept for good.`)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title={`Freeze ${stage.name}`}>
      <p className="mb-2 text-[13.5px] text-muted">
        The figures of the proof sheet are signed with your name and the time and kept for good. Nothing of
        the stage can be changed until it is opened again, with a reason; then both are kept.
      </p>
      {figures.risks.length > 0 ? (
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
      )}
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Sign and freeze" columns={1}>
        <FormText control={control} name="author" label="Signed by" autoFocus />
        <FormText control={control} name="note" label="Notes" rows={2} />
      </SheetForm>
    </SideSheet>
  )
}
