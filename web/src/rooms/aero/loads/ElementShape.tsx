import { itemAt } from '@bold-ballast/core'
import type { AeroElement } from '@bold-ballast/contract'
import { useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { across, AHEAD, BEHIND, HALF, HIGH, SCALE, up } from './drawing'

export interface Moved {
  readonly id: string
  readonly x: number
  readonly z: number
}
const NUDGE = 0.01
const clamp = (v: number, low: number, high: number) => Math.min(high, Math.max(low, v))
/** To the centimetre: a hand on a drawing is no finer. */
const rounded = (v: number) => Math.round(v * 100) / 100

/** A shape in either view; selected by click, moved by pointer or arrow keys. */
export function ElementShape({
  element,
  view,
  wheelbase,
  chosen,
  isOutside,
  onChoose,
  onMove,
  onDone,
}: {
  element: AeroElement
  view: 'side' | 'plan'
  wheelbase: number
  chosen: boolean
  /** Beyond what the class allows. */
  isOutside: boolean
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
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect()
    if (!from || !box) return
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
    onDone(at(itemAt(step, 0), itemAt(step, 1)))
  }
  const fill = chosen ? 'var(--oxide)' : 'var(--blued)'
  const edge = isOutside ? { stroke: 'var(--ochre)', strokeWidth: 3 } : {}
  const thick = kind === 'spoiler' || kind === 'vent' ? 6 : 5
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${name}, ${Math.round(x * 1000)} mm behind the front axle, ${Math.round(z * 1000)} mm up${isOutside ? ', outside of the class' : ''}; arrow keys move it`}
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
          {...edge}
          transform={wing ? `rotate(${(-wing.angle * 180) / Math.PI} ${across(x)} ${up(z)})` : undefined}
        />
      ) : (
        // Canards stand in pairs at the corners; everything else across the middle.
        (kind === 'canards' ? [HALF - 0.86, HALF + 0.86 - span / 2] : [HALF - span / 2]).map((top) => (
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
            {...edge}
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
          transform={`rotate(${(-wing.angle * 180) / Math.PI} ${across(x)} ${up(z)})`}
        />
      )}
    </g>
  )
}
