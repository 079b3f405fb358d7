import { putEdit, type Outing } from '@bold-ballast/contract'
import { speedsWithin } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../../../store/useBuild'
import { Button } from '../../../../ui/Button'
import { MayOnly } from '../../../../ui/MayOnly'
import type { LoggedRun } from '../lapsLogged'
import { Given } from './Given'

/** So many points of a lap are handed over. */
const MOST_POINTS = 600

/** A lap's speeds over time, for the gears that Driveline tries. */
export function BestLapSpeeds({ one: { log, run, found }, day }: { one: LoggedRun; day: Outing }) {
  const { view, saveSaying } = useBuild()
  const best = [...found.laps].filter((lap) => !lap.torn).sort((a, b) => a.to - a.from - (b.to - b.from))[0]
  const points = useMemo(() => (best ? speedsWithin(log, best, MOST_POINTS) : []), [log, best])
  if (points.length < 2) return null
  const keep = () =>
    saveSaying(
      `Speeds of ${log.name}`,
      [
        putEdit(view, 'courseSpeeds', {
          id: crypto.randomUUID(),
          name: `${day.name}, run ${run.order}`,
          order: Math.max(0, ...view.courseSpeeds.map((c) => c.order)) + 1,
          points,
          note: `Logged on ${day.date}`,
        }),
      ],
      'Driveline, Shelf, tries gears on it now.',
    )
  return (
    <Given name="Speeds of its best lap">
      <MayOnly right="log">
        <Button look="quiet" className="no-print !px-0" onClick={keep}>
          Keep them for gears on the shelf
        </Button>
      </MayOnly>
    </Given>
  )
}
