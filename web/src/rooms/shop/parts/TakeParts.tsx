import { newPart, nextOrder, PART_PURPOSE, PART_PURPOSES, putEdit } from '@bold-ballast/contract'
import { partsPlanned } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { TakeOver } from '../TakeOver'

const SAYS = {
  planned: 'Swaps of this stage',
  replacement: 'Replacements of weak parts',
  option: 'Options that are compared',
  consumable: 'Spares of what wears',
  other: 'Something else',
} as const

/** Puts what is planned on the list of parts to come. */
export function TakeParts({ onClose }: { onClose: () => void }) {
  const { view, stage, saveSaying } = useBuild()
  const sources = useMemo(() => {
    const planned = partsPlanned(view, stage.id)
    return PART_PURPOSES.map((purpose) => ({
      name: SAYS[purpose],
      things: planned
        .filter(({ part }) => part.purpose === purpose)
        .map(({ key, part }) => ({ key, name: part.name, says: PART_PURPOSE[purpose], part })),
    })).filter(({ things }) => things.length > 0)
  }, [view, stage.id])
  return (
    <TakeOver
      title="Take parts over"
      sources={sources}
      none="Nothing to take over: all that is planned at this stage stands on the list already."
      onTake={(chosen) => {
        const order = nextOrder(view.parts.filter((p) => p.stageId === stage.id))
        const edits = chosen.map(({ part }, i) =>
          putEdit(
            view,
            'part',
            newPart({ ...part, id: crypto.randomUUID(), stageId: stage.id, order: order + i }),
          ),
        )
        const count = edits.length === 1 ? 'One part' : `${edits.length} parts`
        saveSaying(`Take over ${count.toLowerCase()}`, edits, `${count} taken over.`)
      }}
      onClose={onClose}
    />
  )
}
