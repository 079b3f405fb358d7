import { CORNERS, formatFigure, type CornerWeights } from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'

const PLACE = {
  frontLeft: [45, 62],
  frontRight: [185, 62],
  rearLeft: [45, 218],
  rearRight: [185, 218],
} as const

/** The car from above, nose up, with what stands on each pad; a bigger pad carries more. */
export function CornerPlan({ corners }: { corners: CornerWeights }) {
  const { unit } = useBuild()
  const total = CORNERS.reduce((s, c) => s + corners[c], 0)
  const says = CORNERS.map(
    (c) => `${c.replace(/[A-Z]/, (l) => ` ${l.toLowerCase()}`)} ${formatFigure(corners[c], unit('mass'))}`,
  ).join(', ')
  return (
    <svg
      viewBox="0 -12 230 292"
      role="img"
      aria-label={`Corner weights: ${says} ${unit('mass').symbol}`}
      className="mx-auto w-full max-w-[230px]"
    >
      <path
        d="M78 30 Q115 8 152 30 L160 90 L156 200 L150 262 Q115 272 80 262 L74 200 L70 90 Z"
        fill="var(--bench)"
        stroke="var(--edge)"
      />
      <path
        d="M86 104 Q115 92 144 104 L140 128 L90 128 Z M92 206 L138 206 L142 228 Q115 236 88 228 Z"
        fill="none"
        stroke="var(--edge)"
      />
      {CORNERS.map((corner) => {
        const [x, y] = PLACE[corner]
        const side = 34 + 90 * (corners[corner] / total - 0.25)
        return (
          <g key={corner}>
            <rect
              x={x - side / 2}
              y={y - side / 2}
              width={side}
              height={side}
              rx="3"
              fill="var(--solid)"
              stroke="var(--edge)"
            />
            <text
              x={x}
              y={y - side / 2 - 6}
              textAnchor="middle"
              className="figure"
              fontSize="19"
              fill="var(--ink)"
            >
              {formatFigure(corners[corner], unit('mass'))}
            </text>
          </g>
        )
      })}
      <text x="115" y="6" textAnchor="middle" fontSize="11" fill="var(--muted)">
        front
      </text>
    </svg>
  )
}
