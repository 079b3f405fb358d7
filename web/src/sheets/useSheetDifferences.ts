import type { Setup } from '@bold-ballast/contract'
import { differingFields } from '@bold-ballast/words'
import { useCallback } from 'react'
import { useBuild } from '../store/useBuild'

const ONLY_SAID = new Set([
  'order',
  'date',
  'name',
  'why',
  'meant',
  'note',
  'course',
  'weather',
  'driver',
  'stageId',
])
const bare = (s: Setup) => Object.fromEntries(Object.entries(s).filter(([key]) => !ONLY_SAID.has(key)))

/** What one sheet changed against another, figure by figure; what only says why is left out. */
export function useSheetDifferences(): (
  sheet: Setup | null,
  against: Setup | null,
) => ReturnType<typeof differingFields> {
  const { units, view } = useBuild()
  return useCallback(
    (sheet, against) =>
      sheet && against
        ? differingFields('setup', bare(against), bare(sheet), {
            units,
            nameOf: (_, id) => view.aeroElements.find((e) => e.id === id)?.name ?? null,
          })
        : [],
    [units, view.aeroElements],
  )
}
