import type { Stage } from '@bold-ballast/contract'
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
  return (
    <FormSheet
      {...sheet}
      before={
        <>
          <CarriedNote from={carriedFrom} stage={stage} />
          {before}
        </>
      }
    />
  )
}
