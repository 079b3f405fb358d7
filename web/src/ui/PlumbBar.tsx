import type { Known } from '@bold-ballast/core'
import { gradeFill } from './grades'

export type Verdict = 'met' | 'missed' | 'cantTell'
export const VERDICT_COLOUR: Record<Verdict, string> = {
  met: 'var(--zinc)',
  missed: 'var(--oxide)',
  cantTell: 'var(--ochre)',
}

/** The same for text: a class. */
export const VERDICT_TEXT: Record<Verdict, string> = {
  met: 'text-zinc',
  missed: 'text-oxide',
  cantTell: 'text-ochre',
}

/** Where a plan or a model points: nothing is shown, so nothing is settled. */
export const POINTS_TEXT: Record<Verdict, string> = {
  met: 'text-ink',
  missed: 'text-ochre',
  cantTell: 'text-ochre',
}
const POINTING = { fill: 'none', stroke: 'var(--edge)', strokeDasharray: '6 3' } as const

export interface PlumbBarProps {
  readonly value: Known | null
  readonly planned?: Known | null
  readonly mark?: number | null
  readonly verdict?: Verdict | null
  /** The value is a plan's or a model's: it points, and is drawn as a plan is. */
  readonly points?: boolean
  /** The span the bar is drawn in, same unit; bars that are compared share one. */
  readonly domain: readonly [number, number]
  /** What a screen reader says. */
  readonly label: string
}

/**
 * One bar for one measure: a notch for the mark, a bar for the value, a whisker for its uncertainty, a
 * diamond for what was planned. The fill tells the evidence grade; what only points is an open bar with the diamond at
 * its end. Bars start at a cut axis, drawn as a
 * break, because differences of a few per cent are what matters.
 */
export function PlumbBar({
  value,
  planned,
  mark,
  verdict,
  points = false,
  domain: [low, high],
  label,
}: PlumbBarProps) {
  const at = (v: number) => `${(Math.min(1, Math.max(0, (v - low) / (high - low))) * 100).toFixed(2)}%`
  const plan = points ? value : planned
  const colour = verdict ? VERDICT_COLOUR[verdict] : 'var(--muted)'
  return (
    <svg role="img" aria-label={label} className="block h-[26px] w-full overflow-visible">
      <line x1="0" x2="100%" y1="13" y2="13" stroke="var(--line)" />
      {value && (
        <>
          <rect
            x="0"
            y="7.5"
            height="11"
            width={at(value.value)}
            strokeWidth="1.5"
            {...(points ? POINTING : gradeFill(value.grade))}
          />
          {low > 0 && <path d="M7 5l-3 16M11 5l-3 16" stroke="var(--chalk)" strokeWidth="2" fill="none" />}
          <g stroke="var(--ink)" strokeWidth="1.5">
            <line x1={at(value.value - value.sigma)} x2={at(value.value + value.sigma)} y1="13" y2="13" />
            <line x1={at(value.value - value.sigma)} x2={at(value.value - value.sigma)} y1="9" y2="17" />
            <line x1={at(value.value + value.sigma)} x2={at(value.value + value.sigma)} y1="9" y2="17" />
          </g>
        </>
      )}
      {plan && (
        <svg x={at(plan.value)} overflow="visible">
          <path d="M0 8l5 5-5 5-5-5z" fill="var(--panel)" stroke="var(--ink)" strokeWidth="1.5" />
        </svg>
      )}
      {mark != null && (
        <svg x={at(mark)} overflow="visible">
          <path
            d="M0 2v22M0 2l-4 -4h8z"
            stroke={colour}
            strokeWidth="2"
            fill={points ? 'var(--panel)' : colour}
          />
        </svg>
      )}
    </svg>
  )
}

/** A span that shows all the figures, cut below the smallest by its own spread. */
export function domainOf(values: readonly number[]): [number, number] {
  if (values.length === 0) return [0, 1]
  const low = Math.min(...values)
  const high = Math.max(...values)
  // Figures that are all nothing still want a line to stand on.
  const spread = Math.max(high - low, Math.abs(high) * 0.03) || 1
  const cut = low - spread * 1.4
  return [low < 0 ? cut : Math.max(0, cut), high + spread * 0.25]
}
