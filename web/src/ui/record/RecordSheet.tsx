import type { Stage } from '@bold-ballast/contract'
import { useChangedBy } from '../../store/live'
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
  return (
    <FormSheet
      {...sheet}
      before={
        <>
          <CarriedNote from={carriedFrom} stage={stage} />
          {elsewhere && (
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
