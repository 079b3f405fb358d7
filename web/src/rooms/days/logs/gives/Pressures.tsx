import { putEdit, type Outing } from '@bold-ballast/contract'
import { formatNumber, formatQuantity } from '@bold-ballast/core'
import { useBuild } from '../../../../store/useBuild'
import { Button } from '../../../../ui/Button'
import { MayOnly } from '../../../../ui/MayOnly'
import type { LoggedRun } from '../lapsLogged'
import { Given } from './Given'

const NONE = { frontLeft: null, frontRight: null, rearLeft: null, rearRight: null }

/** What both brake lines held under hard braking, for Brakes. */
export function Pressures({ one: { log, look, run }, day }: { one: LoggedRun; day: Outing }) {
  const { view, unit, saveSaying } = useBuild()
  const found = look.brakes
  if (!found) return null
  const pressure = (pa: number) => formatQuantity(pa, { ...unit('pressure'), decimals: 1 }, 1)
  const keep = () =>
    saveSaying(
      `Brake pressures of ${log.name}`,
      [
        putEdit(view, 'brakeReading', {
          id: crypto.randomUUID(),
          stageId: day.stageId,
          date: day.date,
          name: `${day.name}, run ${run.order}, logged`,
          laps: null,
          linings: NONE,
          discs: NONE,
          pressures: { front: Math.round(found.front), rear: Math.round(found.rear) },
          note: '',
        }),
      ],
      'Stance, Brakes, holds them to its bias now.',
    )
  return (
    <Given name={`Both brake lines, over ${formatNumber(found.lasted, 0)} s of hard braking`}>
      <b className="figure">{pressure(found.front)}</b> in front,{' '}
      <b className="figure">{pressure(found.rear)}</b> behind.{' '}
      <MayOnly right="log">
        <Button look="quiet" className="no-print !px-0" onClick={keep}>
          Keep it for Brakes
        </Button>
      </MayOnly>
    </Given>
  )
}
