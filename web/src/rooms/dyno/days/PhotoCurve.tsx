import {
  readNumber,
  readPicture,
  toSi,
  unitNamed,
  unitOf,
  unitsOf,
  type AxisMark,
  type Pixel,
  type PullPoint,
} from '@bold-ballast/core'
import { useEffect, useState, type MouseEvent } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'

const RPM = unitOf('engineSpeed', 'rpm')
const BOX = 'w-full min-w-0 rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink'
const MARKS = [
  ['x0', 'low engine speed', 'rpm there'],
  ['x1', 'high engine speed', 'rpm there'],
  ['y0', 'low figure on the upright axis', 'figure there'],
  ['y1', 'high figure on the upright axis', 'figure there'],
] as const
type MarkName = (typeof MARKS)[number][0]

/** A curve clicked off a photographed sheet: four marks on the axes with their figures, then along the curve. */
export function PhotoCurve({ onPoints }: { onPoints: (points: PullPoint[] | null) => void }) {
  const { unit } = useBuild()
  const [picture, setPicture] = useState<string | null>(null)
  const [figure, setFigure] = useState<'torque' | 'power'>('power')
  const [symbol, setSymbol] = useState<string | null>(null)
  const [marks, setMarks] = useState<Partial<Record<MarkName, Pixel>>>({})
  const [values, setValues] = useState<Record<MarkName, string>>({ x0: '', x1: '', y0: '', y1: '' })
  const [clicks, setClicks] = useState<readonly Pixel[]>([])
  useEffect(() => () => void (picture && URL.revokeObjectURL(picture)), [picture])

  const next = MARKS.find(([name]) => !marks[name])
  const missing = MARKS.filter(([name]) => marks[name] && readNumber(values[name]) === null)
  const chosen = unitNamed(figure, symbol ?? '') ?? unit(figure)

  /** The points of now, or why there are none. */
  const curveOf = (
    at: typeof marks,
    written: typeof values,
    clicked: readonly Pixel[],
    of: 'torque' | 'power',
    shown: string | null,
  ): { points: PullPoint[]; problem: string | null } => {
    const mark = (name: MarkName): AxisMark | null => {
      const value = readNumber(written[name])
      return at[name] && value !== null ? { at: at[name], value } : null
    }
    const [x0, x1, y0, y1] = [mark('x0'), mark('x1'), mark('y0'), mark('y1')]
    if (!x0 || !x1 || !y0 || !y1) return { points: [], problem: null }
    try {
      const inUnit = unitNamed(of, shown ?? '') ?? unit(of)
      const points = readPicture({ x: [x0, x1], y: [y0, y1] }, clicked)
        .filter(({ x }) => x > 0)
        .map(({ x, y }) => {
          const speed = toSi(x, RPM)
          const si = toSi(y, inUnit)
          return { speed, torque: of === 'torque' ? si : si / speed }
        })
      return { points, problem: null }
    } catch (error) {
      return { points: [], problem: (error as Error).message }
    }
  }
  const { points, problem } = curveOf(marks, values, clicks, figure, symbol)
  const tell = (...now: Parameters<typeof curveOf>) => {
    const { points: found } = curveOf(...now)
    onPoints(found.length > 1 ? found : null)
  }
  const click = (event: MouseEvent<HTMLButtonElement>) => {
    const box = event.currentTarget.getBoundingClientRect()
    // A key has no place in the picture: points are clicked, or typed in the other tab.
    if (event.detail === 0) return
    // In thousandths of the width, so that the marks stay where they are when the picture is drawn larger.
    const scale = 1000 / box.width
    const at = { x: (event.clientX - box.left) * scale, y: (event.clientY - box.top) * scale }
    if (next) {
      const all = { ...marks, [next[0]]: at }
      setMarks(all)
      return tell(all, values, clicks, figure, symbol)
    }
    const all = [...clicks, at]
    setClicks(all)
    tell(marks, values, all, figure, symbol)
  }
  const startOver = () => {
    setMarks({})
    setClicks([])
    onPoints(null)
  }
  const says = !picture
    ? 'Choose a picture of the sheet.'
    : next
      ? `Click the ${next[1]} in the picture.`
      : missing.length > 0
        ? 'Type what stands at the four marks.'
        : `Click along the curve: ${points.length} ${points.length === 1 ? 'point' : 'points'} so far.`
  return (
    <div className="flex flex-col gap-2">
      <label className="flex flex-col gap-1 text-[13px] text-muted">
        Picture of the sheet
        <input
          type="file"
          accept="image/*"
          className={BOX}
          onChange={(e) => {
            const file = e.target.files?.[0]
            if (!file) return
            setPicture(URL.createObjectURL(file))
            startOver()
          }}
        />
      </label>
      <div className="flex flex-wrap items-center gap-3 text-[13px] text-muted">
        <label className="flex items-center gap-2">
          The curve is
          <select
            className={`${BOX} !w-auto`}
            value={figure}
            onChange={(e) => {
              const of = e.target.value as 'torque' | 'power'
              setFigure(of)
              setSymbol(null)
              tell(marks, values, clicks, of, null)
            }}
          >
            <option value="power">power</option>
            <option value="torque">torque</option>
          </select>
        </label>
        <label className="flex items-center gap-2">
          in
          <select
            aria-label="Unit of the picture"
            className={`${BOX} !w-auto`}
            value={chosen.symbol}
            onChange={(e) => {
              setSymbol(e.target.value)
              tell(marks, values, clicks, figure, e.target.value)
            }}
          >
            {unitsOf(figure).map((u) => (
              <option key={u.symbol}>{u.symbol}</option>
            ))}
          </select>
        </label>
      </div>
      <p role="status" className="font-medium">
        {says}
      </p>
      {problem && (
        <p role="alert" className="text-oxide">
          {problem.charAt(0).toUpperCase() + problem.slice(1)}.
        </p>
      )}
      {picture && (
        <button
          type="button"
          aria-label="The picture, to be clicked on"
          className="relative block cursor-crosshair"
          onClick={click}
        >
          <img src={picture} alt="Dyno sheet" className="block w-full" draggable={false} />
          <svg
            className="pointer-events-none absolute top-0 left-0 w-full overflow-visible"
            viewBox="0 0 1000 1000"
            aria-hidden
          >
            {MARKS.map(([name]) => {
              const at = marks[name]
              return (
                at && (
                  <g
                    key={name}
                    stroke={`var(${name.startsWith('x') ? '--blued' : '--zinc'})`}
                    strokeWidth="4"
                  >
                    <path d={`M${at.x - 16} ${at.y}h32M${at.x} ${at.y - 16}v32`} />
                  </g>
                )
              )
            })}
            {clicks.map((p, i) => (
              <circle key={i} cx={p.x} cy={p.y} r="8" fill="none" stroke="var(--oxide)" strokeWidth="4" />
            ))}
          </svg>
        </button>
      )}
      {picture && (
        <>
          <div className="grid grid-cols-2 gap-2">
            {MARKS.map(([name, words, hint]) => (
              <label key={name} className="flex flex-col gap-1 text-[13px] text-muted">
                At the {words}
                <input
                  inputMode="decimal"
                  autoComplete="off"
                  placeholder={hint}
                  className={BOX}
                  value={values[name]}
                  aria-invalid={values[name] !== '' && readNumber(values[name]) === null ? true : undefined}
                  onChange={(e) => {
                    const all = { ...values, [name]: e.target.value }
                    setValues(all)
                    tell(marks, all, clicks, figure, symbol)
                  }}
                />
                {values[name] !== '' && readNumber(values[name]) === null && (
                  <span role="alert" className="text-oxide">
                    “{values[name]}” is not a number.
                  </span>
                )}
              </label>
            ))}
          </div>
          <p className="flex gap-2">
            <Button
              disabled={clicks.length === 0}
              onClick={() => {
                const all = clicks.slice(0, -1)
                setClicks(all)
                tell(marks, values, all, figure, symbol)
              }}
            >
              Take the last point back
            </Button>
            <Button look="quiet" onClick={startOver}>
              Mark the axes anew
            </Button>
          </p>
        </>
      )}
    </div>
  )
}
