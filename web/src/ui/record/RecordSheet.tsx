import type { Stage } from '@bold-ballast/contract'
import { useChangedBy, useRemovedBy } from '../../store/live'
import { useBuild } from '../../store/useBuild'
import { CarriedNote } from '../CarriedNote'
import { FormSheet, type FormSheetProps } from './FormSheet'

/** The side sheet of a record's form; of a kind that is carried on, it says from which stage. */
export function RecordSheet({
  carriedFrom = null,
  before,
  ...sheet
}: FormSheetProps & { readonly carriedFrom?: Stage | null }) {
  const { stage } = useBuild()
  const elsewhere = useChangedBy(sheet.form.recordId ?? null)
  const remover = useRemovedBy(sheet.form.recordId ?? null)
  return (
    <FormSheet
      {...sheet}
      says={sheet.form.isGone ? 'Put it back as it stands here' : sheet.says}
      before={
        <>
          <CarriedNote from={carriedFrom} stage={stage} />
          {sheet.form.isGone && (
            <p role="alert" className="mb-3 text-[13.5px] text-oxide">
              {remover || 'Somebody'} removed this while it was open here. What you typed stays; it counts
              nowhere until it is put back.
            </p>
          )}
          {elsewhere && !sheet.form.isGone && (
            <p role="status" className="mb-3 text-[13.5px] text-ochre">
              {elsewhere} {elsewhere.includes(',') ? 'are' : 'is'} changing this too. Whoever saves last is
              asked which version stays.
            </p>
          )}
          {before}
        </>
      }
    />
  )
}
