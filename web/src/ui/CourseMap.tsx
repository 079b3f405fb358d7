import { itemAt } from '@bold-ballast/core'
import type { NamedCorner } from '@bold-ballast/model'
import { useMemo, useRef, type PointerEvent } from 'react'

/** A stretch of the line that is drawn in one look. */
export interface MapStretch {
  /** m along the line; `to` may be the end of it. */
  readonly from: number
  readonly to: number
  readonly look: MapLook
}
/** Told apart by width and dashes as well as by colour. */
export interface MapLook {
  readonly says: string
  readonly colour: string
  readonly width: number
  readonly dash?: string
}

interface Place {
  readonly distance: number
  readonly x: number
  readonly y: number
}
interface Props {
  readonly label: string
  readonly points: readonly Place[]
  readonly closed: boolean
  readonly length: number
  readonly stretches: readonly MapStretch[]
  readonly corners?: readonly NamedCorner[]
  /** Ends of sectors, m. */
  readonly marks?: readonly number[]
  /** The place that is marked, m. */
  readonly at?: number
  readonly onAt?: (distance: number) => void
}

const WIDE = 560
const HIGH = 300
const ROOM = 34

/** Lays a line into the picture, north up, or turned by a quarter where it is higher than wide. */
export function placesOn(points: readonly Place[]) {
  const spread = (of: (p: Place) => number) => {
    const all = points.map(of)
    return [Math.min(...all), Math.max(...all)] as const
  }
  const [left, right] = spread((p) => p.x)
  const [low, high] = spread((p) => p.y)
  const isTurned = high - low > right - left
  const [wide, tall] = isTurned ? [high - low, right - left] : [right - left, high - low]
  const scale = Math.min((WIDE - 2 * ROOM) / Math.max(1, wide), (HIGH - 2 * ROOM) / Math.max(1, tall))
  const [offX, offY] = [(WIDE - wide * scale) / 2, (HIGH - tall * scale) / 2]
  return {
    scale,
    place: ({ x, y }: { readonly x: number; readonly y: number }) =>
      isTurned
        ? { x: offX + (y - low) * scale, y: offY + (x - left) * scale }
        : { x: offX + (x - left) * scale, y: offY + (high - y) * scale },
  }
}

/** The line of a course as a map: each stretch in its look, corners named, one place marked. */
export function CourseMap({
  label,
  points,
  closed,
  length,
  stretches,
  corners = [],
  marks = [],
  at,
  onAt,
}: Props) {
  const svg = useRef<SVGSVGElement>(null)
  const { scale, spots } = useMemo(() => {
    const { scale, place } = placesOn(points)
    return { scale, spots: points.map((p) => ({ distance: p.distance, ...place(p) })) }
  }, [points])
  const spotAt = (distance: number) => {
    const within = closed ? ((distance % length) + length) % length : Math.min(length, Math.max(0, distance))
    const after = spots.findIndex((s) => s.distance > within)
    const [a, b] =
      after <= 0
        ? [itemAt(spots, -1), closed ? itemAt(spots, 0) : itemAt(spots, -1)]
        : [itemAt(spots, after - 1), itemAt(spots, after)]
    const until = after <= 0 ? length : b.distance
    const part = until > a.distance ? (within - a.distance) / (until - a.distance) : 0
    return { x: a.x + (b.x - a.x) * part, y: a.y + (b.y - a.y) * part }
  }
  const pathOf = (from: number, to: number) => {
    const inside = spots.filter((s) => s.distance > from && s.distance < to)
    return [spotAt(from), ...inside, to >= length && closed ? itemAt(spots, 0) : spotAt(to)]
      .map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`)
      .join('')
  }
  const paths = useMemo(
    () => stretches.map(({ from, to, look }) => ({ key: `${from}`, d: pathOf(from, to), look })),
    // What a path is made of is in its spots and stretches.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [stretches, spots],
  )
  const centre = useMemo(
    () => ({
      x: spots.reduce((sum, s) => sum + s.x, 0) / spots.length,
      y: spots.reduce((sum, s) => sum + s.y, 0) / spots.length,
    }),
    [spots],
  )
  const labels = labelsFor(corners, spotAt, centre)
  const onPointer = (event: PointerEvent<SVGSVGElement>) => {
    const box = svg.current?.getBoundingClientRect()
    if (!box || !onAt) return
    const [x, y] = [
      ((event.clientX - box.left) / box.width) * WIDE,
      ((event.clientY - box.top) / box.height) * HIGH,
    ]
    const nearest = spots.reduce((best, s) =>
      Math.hypot(s.x - x, s.y - y) < Math.hypot(best.x - x, best.y - y) ? s : best,
    )
    onAt(nearest.distance)
  }
  const start = spotAt(0)
  const along = spotAt(Math.min(length / 4, 8 / scale))
  const way = Math.atan2(along.y - start.y, along.x - start.x)
  const marked = at === undefined ? null : spotAt(at)
  const bar = metresOfBar(scale)
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      role="img"
      aria-label={label}
      className="w-full touch-pan-y rounded-[3px] border border-line bg-panel"
      onPointerMove={onPointer}
      onPointerDown={onPointer}
    >
      {paths.map(({ key, d, look }) => (
        <path
          key={key}
          d={d}
          fill="none"
          stroke={`var(${look.colour})`}
          strokeWidth={look.width}
          strokeDasharray={look.dash}
          strokeLinejoin="round"
        />
      ))}
      {marks.map((distance) => {
        const { x, y } = spotAt(distance)
        return (
          <circle
            key={distance}
            cx={x}
            cy={y}
            r={3.5}
            fill="var(--panel)"
            stroke="var(--ink)"
            strokeWidth={1.5}
          />
        )
      })}
      <g
        transform={`translate(${start.x.toFixed(1)} ${start.y.toFixed(1)}) rotate(${((way * 180) / Math.PI).toFixed(1)})`}
      >
        <path d="M0 -9V9" stroke="var(--ink)" strokeWidth={2} />
        <path d="M3 -4L11 0L3 4Z" fill="var(--ink)" />
      </g>
      {labels.map(({ name, x, y, anchor }) => (
        <text
          key={`${name} ${x}`}
          x={x}
          y={y}
          textAnchor={anchor}
          className="fill-muted text-[11px]"
          stroke="var(--panel)"
          strokeWidth={3}
          paintOrder="stroke"
        >
          {name}
        </text>
      ))}
      {marked && (
        <circle
          cx={marked.x}
          cy={marked.y}
          r={6}
          fill="var(--panel)"
          stroke="var(--ink)"
          strokeWidth={2.5}
          data-testid="map-mark"
        />
      )}
      <g transform={`translate(${WIDE - 14 - bar.metres * scale} ${HIGH - 12})`}>
        <path d={`M0 -4V0H${(bar.metres * scale).toFixed(1)}V-4`} fill="none" stroke="var(--muted)" />
        <text x={(bar.metres * scale) / 2} y={-5} textAnchor="middle" className="fill-muted text-[10.5px]">
          {bar.metres} m
        </text>
      </g>
    </svg>
  )
}

type Anchor = 'start' | 'middle' | 'end'
/** Names beside their corners, outside where there is room, else inside; one that fits nowhere is left out. */
function labelsFor(
  corners: readonly NamedCorner[],
  spotAt: (distance: number) => { readonly x: number; readonly y: number },
  centre: { readonly x: number; readonly y: number },
) {
  const taken: { left: number; right: number; y: number }[] = []
  return corners.flatMap(({ name, from, to }) => {
    const { x, y } = spotAt((from + to) / 2)
    const off = Math.hypot(x - centre.x, y - centre.y) || 1
    for (const side of [1, -1]) {
      const [outX, outY] = [(side * (x - centre.x)) / off, (side * (y - centre.y)) / off]
      const anchor: Anchor = outX > 0.3 ? 'start' : outX < -0.3 ? 'end' : 'middle'
      const at = { name, x: x + outX * 12, y: y + outY * 14 + 4, anchor }
      const width = name.length * LETTER
      const left = at.x - { start: 0, middle: width / 2, end: width }[anchor]
      const box = { left, right: left + width, y: at.y }
      if (left < 0 || box.right > WIDE || at.y < LINE || at.y > HIGH) continue
      if (taken.some((t) => t.left < box.right && box.left < t.right && Math.abs(t.y - box.y) < LINE))
        continue
      taken.push(box)
      return [at]
    }
    return []
  })
}
const LETTER = 5.6
const LINE = 12

/** A round length that is about a seventh of the picture. */
function metresOfBar(scale: number): { readonly metres: number } {
  const about = WIDE / 7 / scale
  const power = 10 ** Math.floor(Math.log10(about))
  const first = about / power
  return { metres: (first >= 5 ? 5 : first >= 2 ? 2 : 1) * power }
}
