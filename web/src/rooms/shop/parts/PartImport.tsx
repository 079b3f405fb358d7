import { nextOrder, putEdit } from '@bold-ballast/contract'
import { useBuild } from '../../../store/useBuild'
import { ListImport } from '../../../ui/ListImport'
import { partRows } from './partRows'

/** Parts to come from a CSV. */
export function PartImport({ onClose }: { onClose: () => void }) {
  const { view, stage, save } = useBuild()
  const order = nextOrder(view.parts)
  return (
    <ListImport
      title="Parts to come from a CSV"
      field="CSV of parts to come"
      things={['part', 'parts']}
      read={(text) => partRows(text, { stageId: stage.id, order }, () => crypto.randomUUID())}
      says={(part) => `${part.quantity} × ${part.name}`}
      onAdd={(parts) =>
        save(
          `Add ${parts.length} parts to come`,
          parts.map((part) => putEdit(view, 'part', part)),
        )?.[0]?.problem ?? null
      }
      onClose={onClose}
    >
      A first line with part; any of the other columns of the CSV that this view writes. They are for{' '}
      {stage.name}.
    </ListImport>
  )
}
