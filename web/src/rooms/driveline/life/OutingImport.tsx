import { putEdit } from '@bold-ballast/contract'
import { useBuild } from '../../../store/useBuild'
import { ListImport } from '../../../ui/ListImport'
import { outingRows } from './outingRows'

/** Days from a CSV. */
export function OutingImport({ onClose }: { onClose: () => void }) {
  const { view, stage, save } = useBuild()
  return (
    <ListImport
      title="Days from a CSV"
      field="CSV of days"
      things={['day', 'days']}
      read={(text) => outingRows(text, stage.id, () => crypto.randomUUID())}
      says={(o) => `${o.date} ${o.name}`}
      onAdd={(outings) =>
        save(
          `Log ${outings.length} days`,
          outings.map((o) => putEdit(view, 'outing', o)),
        )?.[0]?.problem ?? null
      }
      onClose={onClose}
    >
      A first line with date and name; hours, laps, launches, track days and heat cycles where they were
      counted. They are logged at {stage.name}.
    </ListImport>
  )
}
