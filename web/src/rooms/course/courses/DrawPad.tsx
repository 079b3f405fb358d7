import { itemAt, formatNumber } from '@bold-ballast/core'
import { useEffect, useState, type PointerEvent } from 'react'
import { useWatch } from 'react-hook-form'
import { Button } from '../../../ui/Button'
import { Choice } from '../../../ui/Choice'
import { useOpenForm } from '../../../ui/record/RecordFormContext'
import { PadScale } from './PadScale'
import { pointsAsText, pointsFromText, type TypedPoint } from './pointsText'

const WIDE = 560
const HIGH = 380
/** What the pad is across before anybody says its scale, m. */
const ACROSS = 1000
/** A click that near to a point takes hold of it, pixels of the pad. */
const HOLD = 9

const MODES = [
  ['draw', 'Draw'],
  ['scale', 'Set its scale'],
] as const

type Spot = { readonly x: number; readonly y: number }

/**
 * A pad on which the points of a line are clicked and dragged, over a picture of the plan if there is one, whose scale two
 * points of a known distance set. Points are text beside it: what is drawn here can be typed there.
 */
export function DrawPad() {
  const { control, setValue } = useOpenForm()
  const text = useWatch({ control, name: 'points' }) as string
  const { points } = pointsFromText(text ?? '')
  const [mode, setMode] = useState<(typeof MODES)[number][0]>('draw')
  const [picture, setPicture] = useState<string | null>(null)
  const [marks, setMarks] = useState<readonly Spot[]>([])
  const [cannotShow, setCannotShow] = useState(false)
  const [view, setView] = useState(() => viewOf(points))
  const [held, setHeld] = useState<number | null>(null)
  useEffect(() => () => void (picture && URL.revokeObjectURL(picture)), [picture])

  const put = (next: readonly TypedPoint[]) => {
    setValue('points', pointsAsText(next), { shouldDirty: true })
    setValue('from', 'drawn', { shouldDirty: true })
    setValue('closingError', null, { shouldDirty: true })
  }
  const onPad = (event: PointerEvent<SVGSVGElement>): Spot => {
    const box = event.currentTarget.getBoundingClientRect()
    return {
      x: ((event.clientX - box.left) / box.width) * WIDE,
      y: ((event.clientY - box.top) / box.height) * HIGH,
    }
  }
  const metres = ({ x, y }: Spot): TypedPoint => ({
    x: Math.round((view.left + x / view.scale) * 10) / 10,
    y: Math.round((view.top - y / view.scale) * 10) / 10,
    z: null,
  })
  const spot = ({ x, y }: Spot): Spot => ({ x: (x - view.left) * view.scale, y: (view.top - y) * view.scale })
  const spots = points.map(spot)
  const down = (event: PointerEvent<SVGSVGElement>) => {
    const at = onPad(event)
    if (mode === 'scale') {
      const isTwice = marks.length === 1 && marks.every((m) => Math.hypot(m.x - at.x, m.y - at.y) < HOLD)
      // Two clicks on one place are one: no distance is measured between them.
      return isTwice ? undefined : setMarks(marks.length >= 2 ? [at] : [...marks, at])
    }
    const near = spots.findIndex((s) => Math.hypot(s.x - at.x, s.y - at.y) < HOLD)
    event.currentTarget.setPointerCapture(event.pointerId)
    if (near >= 0) return setHeld(near)
    put([...points, metres(at)])
    setHeld(points.length)
  }
  const move = (event: PointerEvent<SVGSVGElement>) => {
    if (held === null || mode !== 'draw') return
    const there = metres(onPad(event))
    put(points.map((p, i) => (i === held ? { ...there, z: p.z } : p)))
  }
  const setScale = (metres: number) => {
    const [a, b] = marks
    if (!a || !b) return
    const scale = Math.hypot(b.x - a.x, b.y - a.y) / metres
    // What was drawn lies where it lay on the picture: it is what its metres are that changes.
    const moved = spots.map((s, i) => ({
      x: round(s.x / scale),
      y: round((HIGH - s.y) / scale),
      z: itemAt(points, i).z,
    }))
    setView({ scale, left: 0, top: HIGH / scale })
    if (moved.length > 0) put(moved)
    // What lay on the earth before doesn't any more.
    setValue('origin', null, { shouldDirty: true })
    setMode('draw')
    setMarks([])
  }
  const grid = gridOf(view.scale)
  return (
    <div className="col-span-2">
      <div className="mb-1 flex flex-wrap items-center gap-2">
        <Choice label="What clicks on the pad do" value={mode} options={MODES} onChange={setMode} />
        <Button look="quiet" disabled={points.length === 0} onClick={() => put(points.slice(0, -1))}>
          Take the last point away
        </Button>
        <Button look="quiet" disabled={points.length === 0} onClick={() => setView(viewOf(points))}>
          Show all of it
        </Button>
        <label className="text-[13px] text-blued">
          <span className="cursor-pointer font-medium hover:underline">
            {picture ? 'Another picture' : 'Trace over a picture'}
          </span>
          <input
            type="file"
            accept="image/*"
            className="sr-only"
            onChange={(event) => {
              const file = event.target.files?.[0]
              if (!file) return
              setPicture(URL.createObjectURL(file))
              setCannotShow(false)
              setMode('scale')
            }}
          />
        </label>
      </div>
      {mode === 'scale' && <PadScale marked={marks.length} onScale={setScale} />}
      {cannotShow && (
        <p role="alert" className="mb-1 text-[13.5px] text-oxide">
          That file can’t be shown as a picture: take a PNG or a JPEG of the plan.
        </p>
      )}
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        role="application"
        aria-label="Pad to draw the line on; points can be typed below instead"
        className="w-full cursor-crosshair touch-none rounded-[3px] border border-edge bg-panel"
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={() => setHeld(null)}
        onPointerCancel={() => setHeld(null)}
      >
        {picture && (
          <image
            href={picture}
            width={WIDE}
            height={HIGH}
            preserveAspectRatio="xMidYMid meet"
            onError={() => {
              setPicture(null)
              setCannotShow(true)
              setMode('draw')
            }}
            opacity={0.55}
          />
        )}
        {Array.from({ length: Math.floor(WIDE / grid.pixels) }, (_, i) => (
          <path
            key={`v${i}`}
            d={`M${(i + 1) * grid.pixels} 0V${HIGH}`}
            stroke="var(--line)"
            strokeWidth={0.6}
          />
        ))}
        {Array.from({ length: Math.floor(HIGH / grid.pixels) }, (_, i) => (
          <path
            key={`h${i}`}
            d={`M0 ${(i + 1) * grid.pixels}H${WIDE}`}
            stroke="var(--line)"
            strokeWidth={0.6}
          />
        ))}
        <polyline
          points={spots.map((s) => `${s.x},${s.y}`).join(' ')}
          fill="none"
          stroke="var(--blued)"
          strokeWidth={2}
        />
        {spots.length <= 400 &&
          spots.map((s, i) => (
            <circle
              key={i}
              cx={s.x}
              cy={s.y}
              r={i === 0 ? 6 : 4}
              fill={i === 0 ? 'var(--ink)' : 'var(--panel)'}
              stroke="var(--blued)"
              strokeWidth={2}
            />
          ))}
        {marks.map((s, i) => (
          <path
            key={i}
            d={`M${s.x - 7} ${s.y}H${s.x + 7}M${s.x} ${s.y - 7}V${s.y + 7}`}
            stroke="var(--oxide)"
            strokeWidth={2}
          />
        ))}
      </svg>
      <p className="text-[12.5px] text-muted">
        {formatNumber(grid.metres, 0)} m a square, north up. A line wants a point each 10 to 20 m in corners;
        on straights few do.
      </p>
    </div>
  )
}

const round = (n: number) => Math.round(n * 10) / 10

/** The part of the world that the pad shows: around what is drawn, or a kilometre across. */
function viewOf(points: readonly TypedPoint[]) {
  if (points.length < 2) return { scale: WIDE / ACROSS, left: 0, top: (HIGH / WIDE) * ACROSS }
  const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)]
  const least = (all: readonly number[]) => all.reduce((a, b) => Math.min(a, b), Infinity)
  const most = (all: readonly number[]) => all.reduce((a, b) => Math.max(a, b), -Infinity)
  const [left, right, low, high] = [least(xs), most(xs), least(ys), most(ys)]
  const scale = 0.86 * Math.min(WIDE / Math.max(20, right - left), HIGH / Math.max(20, high - low))
  return { scale, left: (left + right) / 2 - WIDE / scale / 2, top: (low + high) / 2 + HIGH / scale / 2 }
}

/** Squares of a round length, about twelve across. */
function gridOf(scale: number) {
  const about = WIDE / 12 / scale
  const power = 10 ** Math.floor(Math.log10(about))
  const first = about / power
  const metres = (first >= 5 ? 5 : first >= 2 ? 2 : 1) * power
  return { metres, pixels: metres * scale }
}
