const MINUTE = 60_000
const HOUR = 60 * MINUTE
const DAY = 24 * HOUR

/**
 * How long ago something was, in words.
 *
 * @example agoSaid(25 * 60_000) // '25 min ago'
 */
export function agoSaid(ms: number): string {
  if (ms < MINUTE) return 'just now'
  if (ms < HOUR) return `${Math.floor(ms / MINUTE)} min ago`
  if (ms < DAY) return `${Math.floor(ms / HOUR)} h ago`
  const days = Math.floor(ms / DAY)
  return days === 1 ? 'a day ago' : `${days} days ago`
}

/** When something was: the time, and the day where it is another than today. */
export function timeSaid(at: number, now: number): string {
  const [then, today] = [new Date(at), new Date(now)]
  const time = then.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
  return then.toDateString() === today.toDateString()
    ? time
    : `${then.toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })}, ${time}`
}
