import { loggerIs, loggerSample, type Course, type LoggerMoment } from '@bold-ballast/contract'
import { formatFigure, formatNumber, type RunLog } from '@bold-ballast/core'
import { useEffect, useRef, useState } from 'react'
import type * as z from 'zod'
import { useInWorkshop } from '../../../store/me'
import { openStream } from '../../../store/openStream'
import { orderDevice } from '../../../store/orderDevice'
import type { RunLogs } from '../../../store/runLogs'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { sayTime } from '../sayTime'
import { liveLog } from './liveLog'

/** Laps are looked for in what is there already, every so often. */
const LOOK_MS = 1500
/** Fewer samples are no log. */
const FEWEST = 50
/** A tab keeps no more of a session that nobody ends: four hours at ten a second. */
const MOST = 144_000
/** How many times as quick the simulated car goes round. */
const QUICK = 20

/** A logger that is read live: figures as they come, laps as they are finished, and a log of it once it is ended. */
export function LiveLogger({
  course,
  name,
  worker,
  onKeep,
}: {
  course: Course | null
  name: string
  /** Who looks for laps, beside the page. */
  worker: RunLogs['worker']
  onKeep: (log: RunLog) => Promise<void>
}) {
  const velocity = useBuild().unit('velocity')
  const stream = useInWorkshop('/devices/logger')
  const [logger, setLogger] = useState<z.infer<typeof loggerIs> | null>(null)
  const [now, setNow] = useState<LoggerMoment | null>(null)
  const [isLost, setLost] = useState(false)
  const [isRecording, setRecording] = useState(false)
  const [laps, setLaps] = useState<readonly number[]>([])
  const [count, setCount] = useState(0)
  const moments = useRef<LoggerMoment[]>([])
  const records = useRef(false)
  useEffect(() => {
    records.current = isRecording
  })
  useEffect(
    () =>
      openStream(stream, ['logger', 'lost'], ({ name: event, data }) => {
        if (event === 'logger') return setLogger(loggerIs.parse(JSON.parse(data)))
        setLost(event !== 'message')
        if (event !== 'message') return
        const moment = loggerSample.parse(JSON.parse(data))
        setNow(moment)
        if (!records.current || moments.current.length >= MOST) return
        moments.current.push(moment)
        setCount(moments.current.length)
      }),
    [stream],
  )
  useEffect(() => {
    if (!isRecording) return
    let isBusy = false
    let isOld = false
    const look = async () => {
      if (isBusy || moments.current.length < FEWEST) return
      isBusy = true
      const log = liveLog(name, moments.current)
      const { each } = await worker()
        .look(course, [log], 1, { limits: [], startAt: 0, drivers: [] })
        .finally(() => {
          isBusy = false
        })
      if (!isOld) setLaps(each[0]?.found?.laps.map((lap) => lap.to - lap.from) ?? [])
    }
    const looking = setInterval(() => void look(), LOOK_MS)
    return () => {
      isOld = true
      clearInterval(looking)
    }
  }, [isRecording, course, name, worker])
  const begin = () => {
    moments.current = []
    setCount(0)
    setLaps([])
    setRecording(true)
    if (logger?.isSimulated) orderDevice(stream, { running: true, times: QUICK })
  }
  const end = async () => {
    setRecording(false)
    if (logger?.isSimulated) orderDevice(stream, { running: false, times: 1 })
    await onKeep(liveLog(name, moments.current))
  }
  const figures: readonly (readonly [string, string, string])[] = [
    ['Speed', now ? formatFigure(now.speed, velocity, 0) : '–', velocity.symbol],
    ['Throttle', now ? formatNumber(now.throttle * 100, 0) : '–', '%'],
    ['Place', now === null ? '–' : now.latitude === null ? 'no fix' : 'known', ''],
    ['Laps', String(laps.length), laps.length > 0 ? sayTime(laps.at(-1) ?? 0) : ''],
  ]
  return (
    <section aria-label="Logger, live" className="mt-3 border-t border-line pt-2">
      <h4 className="text-[16px] font-medium">{logger?.name ?? 'Logger'}, live</h4>
      <dl className="grid grid-cols-2 gap-x-6 @2xl:grid-cols-4">
        {figures.map(([label, figure, symbol]) => (
          <div key={label} className="flex items-baseline justify-between border-b border-line py-1">
            <dt className="text-[13px] text-muted">{label}</dt>
            <dd>
              <span className="figure text-[20px]">{isLost ? '–' : figure}</span>{' '}
              <span className="unit">{symbol}</span>
            </dd>
          </div>
        ))}
      </dl>
      <p role="status" className={`mt-1 text-[14.5px] ${isLost ? 'text-ochre' : ''}`} data-testid="live-says">
        {isLost
          ? 'The line to the logger is lost. It is tried again; what was recorded so far is here.'
          : isRecording
            ? `Recording: ${formatNumber(count, 0)} samples.`
            : logger?.isSimulated
              ? `Ready. It drives ${QUICK} times as quick as it would, so that nobody has to wait.`
              : 'Ready.'}
      </p>
      <p className="mt-1 flex flex-wrap gap-2">
        {isRecording ? (
          <Button look="main" disabled={count < FEWEST} onClick={() => void end()}>
            End it and keep it with the run
          </Button>
        ) : (
          <Button disabled={isLost} onClick={begin}>
            Record
          </Button>
        )}
      </p>
    </section>
  )
}
