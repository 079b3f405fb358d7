import { GRADES, type Grade } from '@bold-ballast/core'

export const GRADE_HINTS: Record<Grade, string> = {
  guess: 'someone’s feel',
  claim: 'a maker’s or seller’s figure',
  measured: 'our own instrument, once',
  proven: 'two or more measurements that agree',
}

/** How a grade is drawn as a fill: dotted outline, hatch, light solid, dark solid. */
export function gradeFill(grade: Grade): { fill: string; stroke: string; strokeDasharray?: string } {
  if (grade === 'guess') return { fill: 'transparent', stroke: 'var(--muted)', strokeDasharray: '2 2.5' }
  if (grade === 'claim') return { fill: 'url(#claim-hatch)', stroke: 'var(--edge)' }
  return grade === 'measured'
    ? { fill: 'var(--solid)', stroke: 'var(--solid)' }
    : { fill: 'var(--blued)', stroke: 'var(--blued)' }
}

/** The hatch that `gradeFill` refers to; stands once in the page. */
export function GradePatterns() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden>
      <defs>
        <pattern
          id="claim-hatch"
          width="5"
          height="5"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="2" height="5" fill="var(--edge)" />
        </pattern>
      </defs>
    </svg>
  )
}

/** A small swatch of a grade's fill, with the word for those who can't see it. */
export function GradeMark({ grade, word = false }: { grade: Grade; word?: boolean }) {
  return (
    <span className="inline-flex items-center gap-1.5" title={`${grade}: ${GRADE_HINTS[grade]}`}>
      <svg width="20" height="11" aria-hidden className="shrink-0">
        <rect x="0.75" y="0.75" width="18.5" height="9.5" strokeWidth="1.5" {...gradeFill(grade)} />
      </svg>
      <span className={word ? '' : 'sr-only'}>{grade}</span>
    </span>
  )
}

/** What the fills mean. */
export function GradeKey() {
  return (
    <p className="flex flex-wrap gap-x-4 gap-y-1 text-[12.5px] text-muted">
      {GRADES.map((grade) => (
        <GradeMark key={grade} grade={grade} word />
      ))}
      <span>▾ the mark</span>
      <span>◇ planned</span>
    </p>
  )
}
