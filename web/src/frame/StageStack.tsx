import { stageNamed, DISCIPLINE, LAYOUT, putEdit, sealOf } from '@bold-ballast/contract'
import { formatFigure, formatQuantity, itemAt } from '@bold-ballast/core'
import { Lock, Pencil } from 'lucide-react'
import { Suspense, useEffect, useRef, useState } from 'react'
import { Link, useLocation, useNavigate } from 'react-router'
import { MayOnly } from '../ui/MayOnly'
import { toast } from '../ui/toast'
import { useBuild, useLiveBuild } from '../store/useBuild'
import { useShortcut } from '../ui/shortcuts'
import { roomPath } from './rooms'
import { later } from '../ui/later'

const StageSheet = later(() => import('./StageSheet'), 'StageSheet')

const WIDEST = 208
/** Room for two masses, whatever they are. */
const NARROWEST = 150
/** The two cars of a stage that is half done. */
const WHEN = ['Stands', 'Finished'] as const

/**
 * One plate a stage, as wide as the car is heavy at it, so that the car is seen to shrink. A plate with a
 * broken outline still has parts to fit, or nothing weighed.
 */
export function StageStack({ onEditBuild }: { onEditBuild: () => void }) {
  const { view, ledger, stage, buildId, unit, save } = useBuild()
  const { summaries } = useLiveBuild()
  const navigate = useNavigate()
  // The view of the room that is open goes along to the other stage.
  const { pathname, search } = useLocation()
  const room = itemAt(pathname.split('/'), -1) + search
  const [editing, setEditing] = useState<string | null>(null)
  const chosen = useRef<HTMLAnchorElement>(null)
  const at = ledger.stages.findIndex((s) => s.id === stage.id)
  const go = (step: number) => {
    const next = ledger.stages[at + step]
    if (next) void navigate(roomPath(buildId, next.id, room))
  }
  useShortcut('[', 'Stage before', () => go(-1))
  useShortcut(']', 'Next stage', () => go(1))
  useEffect(() => {
    chosen.current?.scrollIntoView({ block: 'nearest', inline: 'center' })
  }, [stage.id])
  const heaviest = Math.max(...summaries.map((s) => s.mass.value))
  const addStage = () => {
    const last = itemAt(ledger.stages, -1)
    const record = stageNamed(`Stage ${ledger.stages.length + 1}`, last.order + 1, crypto.randomUUID())
    save('Add a stage', [putEdit(view, 'stage', record)])
    void navigate(roomPath(buildId, record.id, room))
    setEditing(record.id)
    toast('Stage added. Give it a name.')
  }
  useShortcut('e', 'Edit this stage', () => setEditing(stage.id))
  useShortcut('b', 'Change the build', onEditBuild)

  return (
    <aside
      aria-label="Stages"
      className="flex flex-col border-r bg-bench px-3.5 py-4 md:w-[236px] md:shrink-0 max-md:border-r-0 max-md:border-b max-md:px-3 max-md:pt-2 max-md:pb-1"
    >
      <h2 className="flex items-center justify-between text-[26px] max-md:hidden">
        {view.build.name}
        <button
          onClick={onEditBuild}
          aria-label={`Change the build ${view.build.name}`}
          title="Change the build (b)"
          className="inline-flex size-7 items-center justify-center rounded-[3px] text-muted hover:text-blued"
        >
          <Pencil size={15} aria-hidden />
        </button>
      </h2>
      <p className="mt-0.5 mb-4 text-[13px] text-muted max-md:hidden">
        {DISCIPLINE[view.build.discipline]}, {LAYOUT[view.build.layout]}
      </p>
      <ol className="flex gap-1.5 md:flex-col md:items-start max-md:overflow-x-auto max-md:pb-1">
        {ledger.stages.map((s, i) => {
          const summary = itemAt(summaries, i)
          const isChosen = s.id === stage.id
          // Half done, a stage is two cars, and each has its own ratio.
          const cars = summary.openLinesSoFar > 0 ? [summary.standing, summary.finished] : [summary.finished]
          const isPlan = summary.massFrom === 'plan'
          const look = isChosen
            ? 'border-blued bg-blued text-on-blued'
            : isPlan
              ? 'border-dashed border-edge bg-transparent'
              : 'border-edge bg-panel'
          return (
            <li
              key={s.id}
              className="group relative max-md:shrink-0"
              style={{ width: Math.max(NARROWEST, (WIDEST * summary.mass.value) / heaviest) }}
            >
              <Link
                ref={isChosen ? chosen : undefined}
                to={roomPath(buildId, s.id, room)}
                aria-current={isChosen ? 'step' : undefined}
                className={`block min-h-[52px] rounded-[2px_9px_9px_2px] border border-l-[6px] py-1.5 pr-8 pl-2.5 ${look}`}
              >
                <span className="figure block truncate text-[16px] leading-tight">
                  {sealOf(view, s.id) && (
                    <Lock size={13} className="mr-1 inline-block align-[-1px]" aria-label="Frozen" />
                  )}
                  {i + 1} {s.name}
                </span>
                {cars.map((car, which) => (
                  <span
                    key={which}
                    className={`block text-[12.5px] whitespace-nowrap ${cars.length > 1 ? '-mr-7' : ''} ${isChosen ? '' : 'text-muted'}`}
                  >
                    {cars.length > 1 && <span>{WHEN[which]} </span>}
                    {formatQuantity(car.mass.value, unit('mass'), car.mass.value > 100 ? 0 : 1)}
                    {car.powerToWeight &&
                      `, ${formatFigure(car.powerToWeight.value, unit('powerToWeight'), unit('powerToWeight').reciprocal ? 2 : 0)} ${unit('powerToWeight').symbol}`}
                  </span>
                ))}
              </Link>
              {sealOf(view, s.id) && (
                <span
                  aria-hidden
                  className="absolute top-1/2 -right-px h-4 w-2 -translate-y-1/2 rounded-l-full border border-r-0 border-edge bg-bench"
                />
              )}
              <button
                onClick={() => setEditing(s.id)}
                aria-label={`Edit stage ${s.name}`}
                title="Edit this stage (e)"
                className={`absolute top-1.5 right-1 inline-flex size-7 items-center justify-center rounded-[3px] ${isChosen ? 'text-on-blued focus-visible:outline-on-blued' : 'text-muted md:opacity-0 md:group-hover:opacity-100 md:focus-visible:opacity-100'}`}
              >
                <Pencil size={14} aria-hidden />
              </button>
            </li>
          )
        })}
        <li className="max-md:flex max-md:shrink-0 max-md:items-center">
          <MayOnly right="plan">
            <button
              onClick={addStage}
              className="mt-2 rounded-[3px] px-1 py-1 font-medium text-blued hover:underline max-md:mt-0 max-md:px-3"
            >
              + Add a stage
            </button>
          </MayOnly>
        </li>
      </ol>
      <Suspense>
        {editing && <StageSheet key={editing} stageId={editing} onClose={() => setEditing(null)} />}
      </Suspense>
    </aside>
  )
}
