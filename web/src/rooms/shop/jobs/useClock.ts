import { putEdit, withoutVersion, type Job } from '@bold-ballast/contract'
import { format } from 'date-fns'
import { useAppSelector } from '../../../store/store'
import { useBuild } from '../../../store/useBuild'
import { today } from '../../../ui/today'

const MINUTE = 60
const A_DAY = 86_400
const nowTime = () => format(new Date(), 'HH:mm')

/** From one time of the day to another, s; past midnight where the second is the earlier. */
const between = (from: string, until: string): number => {
  const at = (time: string) => {
    const [hours = 0, minutes = 0] = time.split(':').map(Number)
    return (hours * 60 + minutes) * MINUTE
  }
  return (at(until) - at(from) + A_DAY) % A_DAY
}

/** The clock of a job: on and off for whoever works at this screen. */
export function useClock() {
  const { view, saveSaying } = useBuild()
  const author = useAppSelector((state) => state.settings.author)
  const running = (job: Job) => job.spells.findIndex((s) => s.time === null && s.from !== null)
  const start = (job: Job) => {
    const who = author || job.who[0] || ''
    const spells = [...job.spells, { who, on: today(), from: nowTime(), time: null }]
    saveSaying(
      `Clock on: ${job.name}`,
      [putEdit(view, 'job', { ...withoutVersion(job), state: 'doing', spells })],
      `${job.name}: the clock runs${who ? ` for ${who}` : ''}.`,
    )
  }
  const stop = (job: Job) => {
    const at = running(job)
    const spells = job.spells.map((s, i) =>
      // A minute at least: what was begun was worked on.
      i === at && s.from !== null ? { ...s, time: Math.max(MINUTE, between(s.from, nowTime())) } : s,
    )
    saveSaying(
      `Clock off: ${job.name}`,
      [putEdit(view, 'job', { ...withoutVersion(job), spells })],
      `${job.name}: the clock is off.`,
    )
  }
  return { isRunning: (job: Job) => running(job) >= 0, start, stop }
}
