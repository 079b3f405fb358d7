import { nextOrder, putEdit } from '@bold-ballast/contract'
import { useBuild } from '../../../store/useBuild'
import { ListImport } from '../../../ui/ListImport'
import { componentRows } from './componentRows'

/** Components from a CSV. */
export function ComponentImport({ onClose }: { onClose: () => void }) {
  const { view, stage, units, save } = useBuild()
  const order = nextOrder(view.components)
  return (
    <ListImport
      title="Components from a CSV"
      field="CSV of components"
      things={['component', 'components']}
      read={(text) => componentRows(text, { stageId: stage.id, order }, units, () => crypto.randomUUID())}
      says={(c) => c.name}
      onAdd={(components) =>
        save(
          `Add ${components.length} components`,
          components.map((c) => putEdit(view, 'component', c)),
        )?.[0]?.problem ?? null
      }
      onClose={onClose}
    >
      A first line with component, and rating with shaft or rated in, or expected life with life in; any of
      the other columns of the CSV that this room writes. They are fitted at {stage.name}.
    </ListImport>
  )
}
