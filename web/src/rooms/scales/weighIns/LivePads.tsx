import { padReading, padsAre, CORNER_WORDS } from '@bold-ballast/contract'
import {
  CORNERS,
  formatFigure,
  padsSettled,
  type CornerWeights,
  type PadReading,
  itemAt,
} from '@bold-ballast/core'
import { useEffect, useRef, useState, type KeyboardEvent } from 'react'
import { useInWorkshop } from '../../../store/me'
import { openStream } from '../../../store/openStream'
import { orderDevice } from '../../../store/orderDevice'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'

/** Readings kept: a little more than the stretch that must stand still. */
const KEPT = 30
/** A car to try the simulated pads with. */
const TRIAL = { frontLeft: 262.5, frontRight: 248, rearLeft: 221, rearRight: 236.5 }

/** Pads read live: figures as they come, whether they have settled, and one key to take them over. */
export function LivePads({
  onCapture,
  onClose,
}: {
  onCapture: (corners: CornerWeights, resolution: number) => void
  onClose: () => void
}) {
  const { unit } = useBuild()
  const stream = useInWorkshop('/devices/pads')
  const [readings, setReadings] = useState<readonly PadReading[]>([])
  const [pads, setPads] = useState<{ name: string; resolution: number } | null>(null)
  const [isLost, setLost] = useState(false)
  useEffect(
    () =>
      openStream(stream, ['pads', 'lost'], ({ name, data }) => {
        if (name === 'pads') return setPads(padsAre.parse(JSON.parse(data)))
        setLost(name !== 'message')
        if (name === 'lost') setReadings([])
        if (name !== 'message') return
        const reading = padReading.parse(JSON.parse(data))
        setReadings((before) => [...before.slice(1 - KEPT), reading])
      }),
    [stream],
  )
  const box = useRef<HTMLElement>(null)
  useEffect(() => box.current?.focus(), [])
  const mass = unit('mass')
  const now = padsSettled(readings, pads?.resolution ?? 0.5)
  const says = isLost ? 'The line to the pads is lost. It is tried again.' : (now.why ?? 'Settled.')
  const capture = () => {
    if (!now.settled || isLost) return
    const rounded = Object.fromEntries(CORNERS.map((c) => [c, Math.round((now.corners[c] ?? 0) * 100) / 100]))
    onCapture(rounded as Record<keyof CornerWeights, number>, pads?.resolution ?? 0.5)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key !== 'Enter' || event.target instanceof HTMLButtonElement) return
    event.preventDefault()
    capture()
  }
  return (
    <section
      ref={box}
      aria-label="Pads, live"
      tabIndex={-1}
      onKeyDown={onKeyDown}
      className="col-span-2 rounded-[3px] border border-edge bg-panel p-3"
    >
      <div className="flex items-baseline justify-between">
        <h3 className="text-[17px]">{pads?.name ?? 'Pads'}</h3>
        <Button look="quiet" className="!px-0" onClick={onClose}>
          Put away
        </Button>
      </div>
      <dl className="grid grid-cols-2 gap-x-6">
        {CORNERS.map((c) => (
          <div key={c} className="flex items-baseline justify-between border-b border-line py-1">
            <dt className="text-[13px] text-muted">{CORNER_WORDS[c]}</dt>
            <dd className="figure text-[22px]">
              {now.corners[c] === null || isLost
                ? '–'
                : formatFigure(itemAt(readings, -1).corners[c] ?? 0, mass)}
            </dd>
          </div>
        ))}
      </dl>
      <p className="mt-2 flex items-baseline justify-between">
        <span role="status" className={now.settled && !isLost ? 'text-zinc' : 'text-ochre'}>
          {says}
        </span>
        <span className="figure text-[24px]">
          {now.total === null || isLost ? '–' : `${formatFigure(now.total, mass)} ${mass.symbol}`}
        </span>
      </p>
      <Button
        look="main"
        className="mt-2 w-full"
        disabled={!now.settled || isLost}
        keys="Enter"
        onClick={capture}
      >
        Take these readings
      </Button>
      <p className="mt-2 flex flex-wrap items-center gap-x-3 text-[13px] text-muted">
        To try them:
        <Button look="quiet" className="!px-0" onClick={() => orderDevice(stream, { load: TRIAL })}>
          roll a car on
        </Button>
        <Button
          look="quiet"
          className="!px-0"
          onClick={() =>
            orderDevice(stream, {
              load: { frontLeft: 0, frontRight: 0, rearLeft: 0, rearRight: 0 },
              zero: true,
            })
          }
        >
          roll it off and zero
        </Button>
        <Button
          look="quiet"
          className="!px-0"
          onClick={() =>
            orderDevice(stream, { dead: readings.at(-1)?.corners.rearLeft === null ? null : 'rearLeft' })
          }
        >
          kill or mend a pad
        </Button>
        <Button look="quiet" className="!px-0" onClick={() => orderDevice(stream, { connected: isLost })}>
          {isLost ? 'plug in' : 'pull the plug'}
        </Button>
      </p>
    </section>
  )
}
