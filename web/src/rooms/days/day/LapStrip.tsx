import { blankLap, LAP_IS, LAP_MARKS, type Run } from '@bold-ballast/contract'
import { formatQuantity, itemAt, parseQuantity, unitOf } from '@bold-ballast/core'
import { timesThatCount } from '@bold-ballast/model'
import { useState } from 'react'
import { useMay } from '../../../store/me'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { sayTime } from '../sayTime'
import { Stopwatch } from './Stopwatch'

type Lap = Run['laps'][number]
const SECOND = unitOf('time', 's')
/** A lap that is so much shorter or longer than the others is asked about. */
const FAR = { short: 0.6, long: 2 } as const

/** The laps of a run: what each was, and one more by typing its time or by the stopwatch. Marked, never deleted. */
export function LapStrip({
  run,
  isEntered,
  onLaps,
}: {
  run: Run
  isEntered: boolean
  onLaps: (laps: readonly Lap[], label: string) => void
}) {
  const { unit } = useBuild()
  const may = useMay('log')
  const counted = timesThatCount(run)
  const best = counted.length > 0 ? Math.min(...counted) : null
  const add = (lap: Lap) =>
    onLaps([...run.laps, lap], lap.time === null ? 'A run' : `Lap ${sayTime(lap.time)}`)
  const turn = (at: number) => {
    const lap = itemAt(run.laps, at)
    const next = itemAt(LAP_MARKS, (LAP_MARKS.indexOf(lap.is) + 1) % LAP_MARKS.length)
    onLaps(
      run.laps.map((one, i) => (i === at ? { ...one, is: next } : one)),
      `Lap ${at + 1}: ${LAP_IS[next]}`,
    )
  }
  const isDrift = run.kind === 'drift'
  const says = (lap: Lap) =>
    isDrift
      ? [
          lap.entry !== null && formatQuantity(lap.entry, unit('velocity'), 0),
          lap.angle !== null && formatQuantity(lap.angle, unit('angle'), 0),
          lap.judged !== null && `${lap.judged} points`,
        ]
          .filter(Boolean)
          .join(', ') || 'driven'
      : lap.time === null
        ? 'not timed'
        : sayTime(lap.time)
  return (
    <div className="mt-2">
      {run.laps.length > 0 && (
        <ol className="flex flex-wrap gap-1" data-testid="laps" aria-label="Laps">
          {run.laps.map((lap, i) => {
            const isBest = lap.is === 'counts' && lap.time !== null && lap.time === best
            return (
              <li key={i}>
                <button
                  type="button"
                  disabled={!may}
                  title="What the lap is: each touch takes the next"
                  aria-label={`Lap ${i + 1}: ${says(lap)}, ${LAP_IS[lap.is]}`}
                  onClick={() => turn(i)}
                  className={`min-h-[32px] rounded-[3px] border px-2 text-[14px] tabular-nums ${
                    lap.is === 'counts' ? 'border-edge' : 'border-dashed border-line text-muted'
                  } ${isBest ? 'font-semibold' : ''}`}
                >
                  {says(lap)}
                  {lap.is !== 'counts' && <span className="text-[12.5px]"> {LAP_IS[lap.is]}</span>}
                  {isBest && <span className="text-[12.5px] font-normal text-zinc"> best</span>}
                </button>
              </li>
            )
          })}
        </ol>
      )}
      {may && isEntered && (
        <div className="no-print mt-1.5 flex flex-wrap items-start gap-2">
          {isDrift ? (
            <AddSlide onAdd={add} />
          ) : (
            <AddLap times={counted} onAdd={(time) => add(blankLap(time))} />
          )}
          {!isDrift && <Stopwatch runId={run.id} onLap={(time) => add(blankLap(time))} />}
        </div>
      )}
    </div>
  )
}

/** One lap by its time, as a stopwatch shows it; one that is far from the others is asked about. */
function AddLap({ times, onAdd }: { times: readonly number[]; onAdd: (time: number) => void }) {
  const [text, setText] = useState('')
  const [problem, setProblem] = useState<{ readonly says: string; readonly anyway: number | null } | null>(
    null,
  )
  const done = (time: number) => {
    onAdd(time)
    setText('')
    setProblem(null)
  }
  const add = () => {
    const read = parseQuantity(text, 'time', SECOND)
    if (!read.ok)
      return setProblem({ says: 'Write a lap as 1:26.4 or 86.4: minutes, a colon, seconds.', anyway: null })
    if (!(read.si > 0) || read.si > 7200)
      return setProblem({ says: 'A lap takes between nothing and two hours.', anyway: null })
    const middle = [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]
    const isFar =
      middle !== undefined ? read.si < FAR.short * middle || read.si > FAR.long * middle : read.si < 8
    if (isFar)
      return setProblem({
        says: `${sayTime(read.si)} is ${middle === undefined ? 'short for a lap' : `far from the others, ${sayTime(middle)}`}.`,
        anyway: read.si,
      })
    return done(read.si)
  }
  return (
    <form
      className="flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault()
        add()
      }}
    >
      <input
        aria-label="Lap time"
        placeholder="1:26.4"
        value={text}
        inputMode="text"
        autoComplete="off"
        aria-invalid={problem !== null}
        onChange={(event) => {
          setText(event.target.value)
          setProblem(null)
        }}
        className="h-9 w-28 rounded-[3px] border border-edge bg-panel px-2 tabular-nums"
      />
      <Button type="submit">Add the lap</Button>
      {problem && (
        <p role="alert" className="basis-full text-[13.5px] text-oxide">
          {problem.says}{' '}
          {problem.anyway !== null && (
            <Button look="quiet" className="!px-1" onClick={() => done(problem.anyway ?? 0)}>
              It is a lap
            </Button>
          )}
        </p>
      )}
    </form>
  )
}

/** One drift run by its entry speed and angle. */
function AddSlide({ onAdd }: { onAdd: (lap: Lap) => void }) {
  const { unit } = useBuild()
  const [typed, setTyped] = useState({ entry: '', angle: '', judged: '' })
  const [problem, setProblem] = useState<string | null>(null)
  const add = () => {
    const entry = typed.entry ? parseQuantity(typed.entry, 'velocity', unit('velocity')) : null
    const angle = typed.angle ? parseQuantity(typed.angle, 'angle', unit('angle')) : null
    const judged = typed.judged ? Number(typed.judged.replace(',', '.')) : null
    if (entry && (!entry.ok || !(entry.si > 0 && entry.si <= 150)))
      return setProblem('Write a speed, such as 86 km/h.')
    if (angle && (!angle.ok || !(angle.si >= 0 && angle.si <= Math.PI / 2)))
      return setProblem('Write an angle from 0 to 90°.')
    if (judged !== null && !(judged >= 0 && judged <= 10_000)) return setProblem('Write points as a number.')
    onAdd({
      ...blankLap(null),
      entry: entry?.ok ? entry.si : null,
      angle: angle?.ok ? angle.si : null,
      judged,
    })
    setTyped({ entry: '', angle: '', judged: '' })
    return setProblem(null)
  }
  return (
    <form
      className="flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault()
        add()
      }}
    >
      {(
        [
          ['entry', `Entry, ${unit('velocity').symbol}`],
          ['angle', 'Angle, °'],
          ['judged', 'Judged'],
        ] as const
      ).map(([key, label]) => (
        <label key={key} className="text-[13px] text-muted">
          {label}
          <input
            value={typed[key]}
            inputMode="decimal"
            autoComplete="off"
            onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
            className="block h-9 w-24 rounded-[3px] border border-edge bg-panel px-2 text-ink tabular-nums"
          />
        </label>
      ))}
      <Button type="submit" className="self-end">
        Add the run
      </Button>
      {problem && (
        <p role="alert" className="basis-full text-[13.5px] text-oxide">
          {problem}
        </p>
      )}
    </form>
  )
}
