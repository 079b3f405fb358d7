import { formatQuantity } from '@bold-ballast/core'
import type { Health, RunHealth } from '@bold-ballast/model'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { HEALTH_TONE } from '../healthTone'

const SAYS: Readonly<Record<Health, string>> = {
  go: 'Go on',
  look: 'Look first',
  stop: 'Stop',
}

/** Go on, look first, or stop, with why: every reading against its limit, and what gave trouble. */
export function HealthOf({
  health: { health, held, unread },
  fault,
  onRead,
}: {
  health: RunHealth
  fault: string
  onRead: () => void
}) {
  const { unit } = useBuild()
  const whys = held
    .filter((h) => h.health === health && h.limit !== null && h.health !== 'go')
    .map((h) => {
      const show = (v: number) => formatQuantity(v, unit(h.quantity))
      return `${h.name} ${show(h.value)}, ${h.health === 'stop' ? 'beyond' : 'close to'} its limit of ${show(h.limit?.value ?? 0)}`
    })
  const limits = unread.length + held.filter((h) => h.limit !== null).length
  const isRead = held.some((h) => h.limit !== null)
  if (!isRead && !fault)
    return unread.length === 0 ? null : (
      <p className="no-print mt-2 text-[14px] text-muted">
        None of {unread.length === 1 ? 'the one limit' : `${unread.length} limits`} was read.{' '}
        <Button look="quiet" className="!px-0" onClick={onRead}>
          Type the readings
        </Button>
      </p>
    )
  return (
    <p className="mt-2 text-[15px]" data-testid="health">
      <b className={`font-medium ${HEALTH_TONE[health]}`}>{SAYS[health]}</b>
      {whys.length > 0 && `: ${whys.join('; ')}`}
      {fault && `: ${fault}`}
      {health === 'go' && whys.length === 0 && !fault && ': every reading lies within its limit'}.
      {unread.length > 0 && (
        <span className="text-[13.5px] text-muted">
          {' '}
          Not read: {unread.length > 3 ? `${unread.length} of ${limits} limits` : unread.join(', ')}.
        </span>
      )}
    </p>
  )
}
