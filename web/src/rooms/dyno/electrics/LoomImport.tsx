import { useBuild } from '../../../store/useBuild'
import { ListImport } from '../../../ui/ListImport'
import { loomRows } from './loomRows'
import { usualSupply } from './SupplySheet'
import { useSizing } from '../useSizing'

/** A loom from a CSV. */
export function LoomImport({ onClose }: { onClose: () => void }) {
  const { stage } = useBuild()
  const { sizing, saveSizing } = useSizing()
  return (
    <ListImport
      title="Circuits from a CSV"
      field="CSV of the loom"
      things={['circuit', 'circuits']}
      read={(text) => loomRows(text, () => crypto.randomUUID())}
      says={(c) => `${c.name}, ${c.current} A, ${c.length.toFixed(1)} m`}
      onAdd={(circuits) => {
        const supply = sizing.electrics ?? usualSupply()
        return saveSizing(`Add ${circuits.length} circuits`, {
          electrics: { ...supply, circuits: [...supply.circuits, ...circuits] },
        })
      }}
      onClose={onClose}
    >
      A first line with circuit, draws (A) and one way (m); any of the other columns of the CSV that this room
      writes. They are added to {stage.name}.
    </ListImport>
  )
}
