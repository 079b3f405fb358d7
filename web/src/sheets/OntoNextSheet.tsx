import { nextSetup, putEdit, type RecordOf } from '@bold-ballast/contract'
import { useBarred } from '../store/me'
import { useBuild } from '../store/useBuild'
import { useLiveCar } from '../store/useCar'
import { Button } from '../ui/Button'
import { today } from '../ui/today'

/**
 * Writes what was worked out onto the next set-up sheet: the newest as it is with this one thing changed, and why.
 *
 * @param change of the next sheet as it begins
 * @param said what the new sheet has, for the line at the foot of the page
 */
export function OntoNextSheet({
  change,
  why,
  meant = '',
  said,
  children,
}: {
  change: (next: RecordOf<'setup'>) => Partial<RecordOf<'setup'>>
  why: string
  meant?: string
  said: string
  children: string
}) {
  const { view, stage, saveSaying } = useBuild()
  const { setup } = useLiveCar()
  const barred = useBarred('setup')
  if (barred) return null
  const write = () => {
    const order = Math.max(0, ...view.setups.map((s) => s.order)) + 1
    const next = nextSetup(setup?.value ?? null, {
      id: crypto.randomUUID(),
      stageId: stage.id,
      order,
      date: today(),
    })
    saveSaying(
      `Write set-up sheet ${order}: ${why}`,
      [putEdit(view, 'setup', { ...next, why, meant, ...change(next) })],
      `Sheet ${order} has ${said}.`,
    )
  }
  return <Button onClick={write}>{children}</Button>
}
