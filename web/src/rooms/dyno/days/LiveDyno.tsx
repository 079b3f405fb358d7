import { dynoIs, dynoSample } from '@bold-ballast/contract'
import { formatFigure, formatNumber, GRID_STEP, resamplePull, type GriddedPull } from '@bold-ballast/core'
import { useEffect, useRef, useState } from 'react'
import type * as z from 'zod'
import { useInWorkshop } from '../../../store/me'
import { openStream } from '../../../store/openStream'
import { orderDevice } from '../../../store/orderDevice'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'

type Sample = z.infer<typeof dynoSample>
const FEWEST = 40
const column = (samples: readonly Sample[], of: (s: Sample) => number | null) =>
  Float64Array.from(samples, (s) => of(s) ?? NaN)

/** A pull read live off the dyno: figures as they come, and the curve once the engine has run up. */
export function LiveDyno({ onPull }: { onPull: (pull: GriddedPull | null) => void }) {
  const { unit } = useBuild()
  const stream = useInWorkshop('/devices/dyno')
  const [dyno, setDyno] = useState<z.infer<typeof dynoIs> | null>(null)
  const [engine, setEngine] = useState('saloon')
  const [now, setNow] = useState<Sample | null>(null)
  const [isLost, setLost] = useState(false)
  const [taken, setTaken] = useState<GriddedPull | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const samples = useRef<Sample[]>([])
  const tell = useRef(onPull)
  useEffect(() => {
    tell.current = onPull
  })
  useEffect(() => {
    const finish = () => {
      const log = samples.current
      samples.current = []
      if (log.length === 0) return
      if (log.length < FEWEST) return setProblem('The pull was too short to be a curve. Run it again.')
      const channels = {
        ...(log.some((s) => s.boost !== null) && { boost: column(log, (s) => s.boost) }),
        lambda: column(log, (s) => s.lambda),
        coolant: column(log, (s) => s.coolant),
        oilPressure: column(log, (s) => s.oilPressure),
      }
      const pull = resamplePull(
        { speed: column(log, (s) => s.speed), torque: column(log, (s) => s.torque), channels },
        GRID_STEP,
      )
      setTaken(pull)
      tell.current(pull)
    }
    return openStream(stream, ['dyno', 'lost'], ({ name, data }) => {
      if (name === 'dyno') return setDyno(dynoIs.parse(JSON.parse(data)))
      setLost(name !== 'message')
      if (name === 'lost') {
        if (samples.current.length > 0)
          setProblem('The line was lost in the middle of the pull. Run it again.')
        samples.current = []
      }
      if (name !== 'message') return
      const sample = dynoSample.parse(JSON.parse(data))
      setNow(sample)
      if (sample.running) samples.current.push(sample)
      else finish()
    })
  }, [stream])
  const start = () => {
    setProblem(null)
    setTaken(null)
    onPull(null)
    orderDevice(stream, { engine, pull: true })
  }
  const rpm = now && (now.speed * 30) / Math.PI
  const figures: [string, string, string][] = [
    ['Engine speed', rpm === null ? '–' : formatNumber(rpm, 0), 'rpm'],
    ['Torque', now ? formatFigure(now.torque, unit('torque')) : '–', unit('torque').symbol],
    ['Power', now ? formatFigure(now.torque * now.speed, unit('power')) : '–', unit('power').symbol],
    ['Boost', now?.boost == null ? '–' : formatFigure(now.boost, unit('pressure')), unit('pressure').symbol],
    ['Mixture', now?.lambda == null ? '–' : formatNumber(now.lambda, 2), 'λ'],
    [
      'Coolant',
      now?.coolant == null ? '–' : formatFigure(now.coolant, unit('temperature')),
      unit('temperature').symbol,
    ],
  ]
  const says = isLost
    ? 'The line to the dyno is lost. It is tried again.'
    : now?.running
      ? 'Pulling.'
      : taken
        ? `Run up: ${taken.points.length} points. Save the pull, or run it again.`
        : 'Ready.'
  return (
    <section aria-label="Dyno, live" className="rounded-[3px] border border-edge bg-panel p-3">
      <h3 className="text-[17px]">{dyno?.name ?? 'Dyno'}</h3>
      <dl className="grid grid-cols-2 gap-x-6">
        {figures.map(([name, figure, symbol]) => (
          <div key={name} className="flex items-baseline justify-between border-b border-line py-1">
            <dt className="text-[13px] text-muted">{name}</dt>
            <dd>
              <span className="figure text-[22px]">{isLost ? '–' : figure}</span>{' '}
              <span className="unit">{symbol}</span>
            </dd>
          </div>
        ))}
      </dl>
      <p role="status" className={`mt-2 ${isLost ? 'text-ochre' : taken ? 'text-zinc' : ''}`}>
        {says}
      </p>
      {problem && (
        <p role="alert" className="text-oxide">
          {problem}
        </p>
      )}
      <p className="mt-2 flex flex-wrap items-center gap-2">
        <label className="flex items-center gap-2 text-[13px] text-muted">
          To try it with
          <select
            className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
            value={engine}
            onChange={(e) => setEngine(e.target.value)}
          >
            {(dyno?.engines ?? []).map((e) => (
              <option key={e.id} value={e.id}>
                {e.name}
              </option>
            ))}
          </select>
        </label>
        <Button disabled={isLost || Boolean(now?.running)} onClick={start}>
          Run a pull
        </Button>
        <Button disabled={!now?.running} onClick={() => orderDevice(stream, { stop: true })}>
          Stop
        </Button>
      </p>
      <p className="mt-2 text-[13px] text-muted">
        Everybody clear of rollers, hubs and straps before a real pull; somebody at the stop button.
      </p>
    </section>
  )
}
