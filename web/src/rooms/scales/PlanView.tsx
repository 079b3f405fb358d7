import type { Build } from '@bold-ballast/contract'
import type { PlanPoint } from '@bold-ballast/core'
import type { ReactNode } from 'react'

/** Room left round the car on the plan, m. */
const AROUND = 0.75

export interface PlanMark {
  readonly at: PlanPoint
  readonly label: string
  readonly tone?: 'blued' | 'ochre' | 'oxide' | 'zinc'
}

/**
 * The car from above, nose up, to scale from the build's geometry: our own drawing, with whatever a room lays
 * over it. `at` is in the build's axes: x behind the front axle, y left.
 */
export function PlanView({
  build,
  says,
  region = [],
  marks = [],
  children,
}: {
  build: Build
  /** What the picture shows, for those who can't see it. */
  says: string
  region?: readonly PlanPoint[]
  marks?: readonly PlanMark[]
  children?: ReactNode
}) {
  const { wheelbase, trackFront, trackRear } = build
  const half = Math.max(trackFront, trackRear) / 2
  const [left, top] = [-half - 0.45, -AROUND - 0.1]
  const [width, height] = [2 * half + 0.9, wheelbase + 2 * AROUND + 0.2]
  const put = ({ x, y }: PlanPoint) => `${-y} ${x}`
  const nose = -AROUND
  const tail = wheelbase + AROUND
  const [front, rear] = [trackFront / 2 + 0.05, trackRear / 2 + 0.05]
  const side = (sign: 1 | -1) => [
    `C${sign * front} ${nose + 0.1} ${sign * front} ${nose + 0.3} ${sign * front} ${nose + 0.5}`,
    `L${sign * front} ${wheelbase * 0.25}`,
    `C${sign * front * 0.95} ${wheelbase * 0.4} ${sign * rear * 0.95} ${wheelbase * 0.6} ${sign * rear} ${wheelbase * 0.75}`,
    `L${sign * rear} ${tail - 0.35}`,
    `C${sign * rear} ${tail - 0.1} ${sign * rear * 0.92} ${tail - 0.02} ${sign * rear * 0.72} ${tail}`,
  ]
  // The left half is the right one's mirror, so one outline is drawn twice from the nose.
  const outline = (sign: 1 | -1) =>
    `M0 ${nose - 0.06} C${sign * front * 0.4} ${nose - 0.06} ${sign * front * 0.8} ${nose} ${sign * front * 0.9} ${nose + 0.08} ${side(sign).join(' ')} Q${sign * rear * 0.4} ${tail + 0.04} 0 ${tail + 0.04}`
  const body = `${outline(1)} ${outline(-1)}`
  const wheels = [
    [trackFront / 2, 0],
    [-trackFront / 2, 0],
    [trackRear / 2, wheelbase],
    [-trackRear / 2, wheelbase],
  ] as const
  return (
    <svg
      viewBox={`${left} ${top} ${width} ${height}`}
      role="img"
      aria-label={says}
      className="mx-auto w-full max-w-[240px]"
    >
      <path d={body} fill="var(--bench)" stroke="var(--edge)" strokeWidth={0.012} />
      <path
        d={`M${-front * 0.8} ${wheelbase * 0.38} Q0 ${wheelbase * 0.3} ${front * 0.8} ${wheelbase * 0.38} L${front * 0.72} ${wheelbase * 0.52} L${-front * 0.72} ${wheelbase * 0.52} Z`}
        fill="none"
        stroke="var(--edge)"
        strokeWidth={0.008}
      />
      {wheels.map(([y, x]) => (
        <rect
          key={`${x} ${y}`}
          x={-y - 0.1}
          y={x - 0.3}
          width={0.2}
          height={0.6}
          rx={0.04}
          fill="var(--ink)"
          opacity={0.75}
        />
      ))}
      {region.length > 0 && (
        <polygon
          points={region.map(put).join(', ')}
          fill="var(--ochre)"
          fillOpacity={0.22}
          stroke="var(--ochre)"
          strokeWidth={0.02}
          strokeDasharray="0.06 0.04"
        />
      )}
      {marks.map(({ at, label, tone = 'blued' }) => (
        <g key={label}>
          <circle
            cx={-at.y}
            cy={at.x}
            r={0.055}
            fill={`var(--${tone})`}
            stroke="var(--panel)"
            strokeWidth={0.015}
          />
          <text
            x={-at.y + (at.y > 0 ? -0.09 : 0.09)}
            y={at.x + 0.045}
            textAnchor={at.y > 0 ? 'end' : 'start'}
            fontSize={0.125}
            fontWeight={600}
            stroke="var(--panel)"
            strokeWidth={0.03}
            paintOrder="stroke"
            fill="var(--ink)"
          >
            {label}
          </text>
        </g>
      ))}
      {children}
    </svg>
  )
}
