import { nextOrder, putEdit } from '@bold-ballast/contract'
import { useBuild } from '../../../store/useBuild'
import { ListImport } from '../../../ui/ListImport'
import { elementRows } from './elementRows'

/** Aero elements from a CSV. */
export function ElementImport({ onClose }: { onClose: () => void }) {
  const { view, stage, save } = useBuild()
  const order = nextOrder(view.aeroElements)
  return (
    <ListImport
      title="Elements from a CSV"
      field="CSV of elements"
      things={['element', 'elements']}
      read={(text) => elementRows(text, { stageId: stage.id, order }, () => crypto.randomUUID())}
      says={(e) => e.name}
      onAdd={(elements) =>
        save(
          `Add ${elements.length} elements`,
          elements.map((e) => putEdit(view, 'aeroElement', e)),
        )?.[0]?.problem ?? null
      }
      onClose={onClose}
    >
      A first line with element, kind, behind front axle, up, width and length; any of the other columns of
      the CSV that this room writes. Bare lengths are metres. They are fitted at {stage.name}.
    </ListImport>
  )
}
