import { useEffect, useState } from 'react'
import { Button } from '../../../ui/Button'
import { sayTime } from '../sayTime'

const KEY = 'bold-ballast.stopwatch'
interface Running {
  readonly runId: string
  /** Of the device's clock, ms: a phone that slept in between still knows when the lap began. */
  readonly since: number
}

function kept(): Running | null {
  try {
    const text = localStorage.getItem(KEY)
    const read: unknown = text ? JSON.parse(text) : null
    return typeof read === 'object' && read !== null && 'since' in read && 'runId' in read
      ? (read as Running)
      : null
  } catch {
    return null
  }
}
function keep(running: Running | null): void {
  try {
    if (running) localStorage.setItem(KEY, JSON.stringify(running))
    else localStorage.removeItem(KEY)
  } catch {
    // Without storage it runs all the same, as long as the page is open.
  }
}

/** A stopwatch for the laps of one run: each press is a lap, and it goes on while the phone sleeps. */
export function Stopwatch({ runId, onLap }: { runId: string; onLap: (seconds: number) => void }) {
  const [running, setRunning] = useState<Running | null>(() => {
    const before = kept()
    return before?.runId === runId ? before : null
  })
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    if (!running) return
    const timer = setInterval(() => setNow(Date.now()), 100)
    return () => clearInterval(timer)
  }, [running])
  const set = (next: Running | null) => {
    keep(next)
    setRunning(next)
    setNow(Date.now())
  }
  if (!running)
    return (
      <Button look="quiet" onClick={() => set({ runId, since: Date.now() })}>
        Start a stopwatch
      </Button>
    )
  return (
    <span className="flex items-center gap-2" data-testid="stopwatch">
      <span role="timer" aria-label="Stopwatch" className="figure min-w-[80px] text-[24px] tabular-nums">
        {sayTime(Math.max(0, (now - running.since) / 1000)).slice(0, -1)}
      </span>
      <Button
        look="main"
        className="min-h-[44px]"
        onClick={() => {
          const at = Date.now()
          onLap((at - running.since) / 1000)
          set({ runId, since: at })
        }}
      >
        Lap
      </Button>
      <Button look="quiet" onClick={() => set(null)}>
        Stop
      </Button>
    </span>
  )
}
