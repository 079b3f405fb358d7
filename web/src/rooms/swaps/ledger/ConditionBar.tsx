import { usualConditions, withoutVersion, type Edit, putEdit } from '@bold-ballast/contract'
import { useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { later } from '../../../ui/later'

const ConditionsSheet = later(() => import('./ConditionsSheet'), 'ConditionsSheet')

const sameAmounts = (a: Record<string, number>, b: Record<string, number>) =>
  [...new Set([...Object.keys(a), ...Object.keys(b)])].every((id) => a[id] === b[id])

/** What every mass is stated for, and any other condition with one click. */
export function ConditionBar() {
  const { view, save } = useBuild()
  const [editing, setEditing] = useState(false)
  const { reference } = view.build
  const conditions = [...view.conditions].sort((a, b) => a.order - b.order)
  const isNow = ({ fuel, driver, amounts }: typeof reference) =>
    fuel === reference.fuel && driver === reference.driver && sameAmounts(amounts, reference.amounts)
  const choose = ({ name, fuel, driver, amounts }: (typeof conditions)[number]) =>
    save(`State masses ${name.toLowerCase()}`, [
      putEdit(view, 'build', { ...withoutVersion(view.build), reference: { fuel, driver, amounts } }),
    ])
  const setUp = () => {
    const usual = usualConditions(view.build, () => crypto.randomUUID())
    const edits: Edit[] = [
      ...usual.loads.map((load) => putEdit(view, 'load', load)),
      ...usual.conditions.map((condition) => putEdit(view, 'condition', condition)),
    ]
    save('Set up the usual conditions', edits)
    setEditing(true)
  }
  return (
    <div
      role="group"
      aria-label="Condition that masses are stated for"
      className="no-print mb-2 flex flex-wrap items-center gap-1"
    >
      <span className="mr-1 text-[13px] text-muted">Stated for</span>
      {conditions.map((condition) => (
        <button
          key={condition.id}
          aria-pressed={isNow(condition)}
          onClick={() => choose(condition)}
          className="rounded-[3px] border border-edge bg-panel px-2.5 py-0.5 aria-pressed:border-blued aria-pressed:bg-blued aria-pressed:text-on-blued"
        >
          {condition.name}
        </button>
      ))}
      {conditions.length > 0 && !conditions.some(isNow) && (
        <span className="rounded-[3px] border border-dashed border-edge px-2.5 py-0.5">
          as set in the build
        </span>
      )}
      <Button look="quiet" onClick={conditions.length === 0 ? setUp : () => setEditing(true)}>
        {conditions.length === 0 ? 'Set up dry, wet, race start and the rest' : 'Change'}
        <span className="sr-only"> the conditions</span>
      </Button>
      {editing && <ConditionsSheet onClose={() => setEditing(false)} />}
    </div>
  )
}
