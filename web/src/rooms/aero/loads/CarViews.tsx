import type { AeroElement } from '@bold-ballast/contract'
import { useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { useBuild } from '../../../store/useBuild'

export interface Moved {
  readonly id: string
  readonly x: number
  readonly z: number
}
const AHEAD = 1.15
const BEHIND = 1.2
const HIGH = 1.75
const SCALE = 100
const NUDGE = 0.01
const WHEEL = 0.32
const clamp = (v: number, low: number, high: number) => Math.min(high, Math.max(low, v))
/** To the centimetre: a hand on a drawing is no finer. */
const rounded = (v: number) => Math.round(v * 100) / 100

/** A shape in either view; selected by click, moved by pointer or arrow keys. */
function Shape({
  element,
  view,
  wheelbase,
  chosen,
  onChoose,
  onMove,
  onDone,
}: {
  element: AeroElement
  view: 'side' | 'plan'
  wheelbase: number
  chosen: boolean
  onChoose: () => void
  onMove: (moved: Moved) => void
  onDone: (moved: Moved | null) => void
}) {
  const held = useRef<{ px: number; py: number; x: number; z: number; now: Moved | null } | null>(null)
  const { x, z, chord, span, kind, wing, id, name } = element
  const at = (dx: number, dz: number): Moved => ({
    id,
    x: rounded(clamp(x + dx, -AHEAD, wheelbase + BEHIND)),
    z: rounded(clamp(z + dz, 0, HIGH)),
  })
  const start = (event: PointerEvent<SVGGElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId)
    held.current = { px: event.clientX, py: event.clientY, x, z, now: null }
    onChoose()
  }
  const move = (event: PointerEvent<SVGGElement>) => {
    const from = held.current
    if (!from) return
    const box = event.currentTarget.ownerSVGElement!.getBoundingClientRect()
    const perPixel = (wheelbase + AHEAD + BEHIND) / box.width
    const dx = (event.clientX - from.px) * perPixel
    const dz = view === 'side' ? -(event.clientY - from.py) * perPixel : 0
    from.now = {
      id,
      x: rounded(clamp(from.x + dx, -AHEAD, wheelbase + BEHIND)),
      z: rounded(clamp(from.z + dz, 0, HIGH)),
    }
    onMove(from.now)
  }
  const end = () => {
    const { now } = held.current ?? { now: null }
    held.current = null
    onDone(now)
  }
  const nudge = (event: KeyboardEvent) => {
    const by = event.shiftKey ? 10 * NUDGE : NUDGE
    const step = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, view === 'side' ? by : 0],
      ArrowDown: [0, view === 'side' ? -by : 0],
    }[event.key]
    if (!step) return
    event.preventDefault()
    onChoose()
    onDone(at(step[0]!, step[1]!))
  }
  const across = (m: number) => (m + AHEAD) * SCALE
  const up = (m: number) => (HIGH - m) * SCALE
  const fill = chosen ? 'var(--oxide)' : 'var(--blued)'
  const thick = kind === 'spoiler' || kind === 'vent' ? 6 : 5
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${name}, ${Math.round(x * 1000)} mm behind the front axle, ${Math.round(z * 1000)} mm up; arrow keys move it`}
      aria-pressed={chosen}
      className="cursor-move touch-none outline-offset-2"
      onPointerDown={start}
      onPointerMove={move}
      onPointerUp={end}
      onPointerCancel={end}
      onKeyDown={nudge}
      onFocus={onChoose}
    >
      {view === 'side' ? (
        <rect
          x={across(x - chord / 2)}
          y={up(z) - thick / 2}
          width={Math.max(6, chord * SCALE)}
          height={thick}
          rx="2"
          fill={fill}
          transform={wing ? `rotate(${(-wing.angle * 180) / Math.PI} ${across(x)} ${up(z)})` : undefined}
        />
      ) : (
        // Canards stand in pairs at the corners; everything else across the middle.
        (kind === 'canards' ? [1.05 - 0.86, 1.05 + 0.86 - span / 2] : [1.05 - span / 2]).map((top) => (
          <rect
            key={top}
            x={across(x - chord / 2)}
            y={top * SCALE}
            width={Math.max(6, chord * SCALE)}
            height={(kind === 'canards' ? span / 2 : span) * SCALE}
            rx="2"
            fill={fill}
            fillOpacity={0.55}
            stroke={fill}
          />
        ))
      )}
      {view === 'side' && wing && wing.endPlate > 0 && (
        <rect
          x={across(x - chord / 2)}
          y={up(z) - (wing.endPlate * SCALE) / 2}
          width={chord * SCALE}
          height={wing.endPlate * SCALE}
          fill="none"
          stroke={fill}
        />
      )}
    </g>
  )
}

/** The car from the side and from above, to scale from its wheelbase and tracks, with everything that the air presses on. */
export function CarViews({
  elements,
  chosen,
  onChoose,
  onMove,
  onDone,
}: {
  elements: readonly AeroElement[]
  chosen: string | null
  onChoose: (id: string) => void
  onMove: (moved: Moved) => void
  onDone: (moved: Moved | null) => void
}) {
  const { view } = useBuild()
  const { wheelbase: L, trackFront, trackRear } = view.build
  const width = (L + AHEAD + BEHIND) * SCALE
  const at = (m: number) => (m + AHEAD) * SCALE
  const up = (m: number) => (HIGH - m) * SCALE
  // The body itself is the drawing; what hangs on it can be moved.
  const loose = elements.filter((e) => e.kind !== 'body')
  const shapes = (which: 'side' | 'plan') =>
    loose.map((element) => (
      <Shape
        key={element.id}
        {...{ element, view: which, wheelbase: L, chosen: element.id === chosen, onMove, onDone }}
        onChoose={() => onChoose(element.id)}
      />
    ))
  const roof = `M${at(-0.75)} ${up(0.28)} L${at(-0.72)} ${up(0.62)} Q${at(-0.5)} ${up(0.74)} ${at(0.25)} ${up(0.86)} L${at(0.42 * L)} ${up(1.32)} Q${at(0.6 * L)} ${up(1.4)} ${at(0.78 * L)} ${up(1.3)} L${at(L + 0.25)} ${up(0.98)} L${at(L + 0.72)} ${up(0.92)} L${at(L + 0.75)} ${up(0.3)} Z`
  const outline = `M${at(-0.75)} ${(1.05 - 0.6) * SCALE} Q${at(-0.85)} ${1.05 * SCALE} ${at(-0.75)} ${(1.05 + 0.6) * SCALE} L${at(-0.2)} ${(1.05 + 0.86) * SCALE} L${at(L + 0.45)} ${(1.05 + 0.86) * SCALE} L${at(L + 0.75)} ${(1.05 + 0.68) * SCALE} L${at(L + 0.75)} ${(1.05 - 0.68) * SCALE} L${at(L + 0.45)} ${(1.05 - 0.86) * SCALE} L${at(-0.2)} ${(1.05 - 0.86) * SCALE} Z`
  const tyre = (x: number, y: number) => (
    <rect
      key={`${x} ${y}`}
      x={at(x - WHEEL)}
      y={(1.05 + y - 0.11) * SCALE}
      width={2 * WHEEL * SCALE}
      height={0.22 * SCALE}
      rx="6"
      fill="var(--muted)"
      opacity={0.5}
    />
  )
  return (
    <div className="grid gap-x-6 @3xl:grid-cols-2" data-testid="car-views">
      <svg
        viewBox={`0 0 ${width} ${(HIGH + 0.08) * SCALE}`}
        className="block w-full"
        aria-label="From the side"
        role="group"
      >
        <path d={roof} fill="var(--bench)" stroke="var(--edge)" />
        {[0, L].map((x) => (
          <circle
            key={x}
            cx={at(x)}
            cy={up(WHEEL)}
            r={WHEEL * SCALE}
            fill="var(--panel)"
            stroke="var(--edge)"
            strokeWidth="3"
          />
        ))}
        <line x1="0" x2={width} y1={up(0)} y2={up(0)} stroke="var(--edge)" />
        {shapes('side')}
      </svg>
      <svg
        viewBox={`0 0 ${width} ${2.1 * SCALE}`}
        className="block w-full"
        aria-label="From above"
        role="group"
      >
        {[-1, 1].flatMap((side) => [tyre(0, (side * trackFront) / 2), tyre(L, (side * trackRear) / 2)])}
        <path d={outline} fill="var(--bench)" fillOpacity={0.8} stroke="var(--edge)" />
        {shapes('plan')}
      </svg>
    </div>
  )
}
