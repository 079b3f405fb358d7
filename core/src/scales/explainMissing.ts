import type { MissingMass, PlanPoint } from './locateMissing'

/** A line that could be the missing mass: planned, and not yet said to be fitted or off. */
export interface OpenLine {
  readonly id: string
  readonly name: string
  /** Signed: what it would add to the books, kg. */
  readonly mass: number
  readonly at: PlanPoint | null
}
export interface Explanation {
  readonly kind: 'open' | 'unbooked'
  /** The line's id, or the suspect's name. */
  readonly id: string
  readonly name: string
  readonly mass: number
  readonly at: PlanPoint | null
  /** How badly it fits, in standard uncertainties; smaller is likelier. */
  readonly misfit: number
}

/** What is forgotten most, what it weighs, and where it sits along the wheelbase. */
const SUSPECTS: readonly {
  readonly name: string
  readonly words: RegExp
  readonly mass: number
  readonly along: number
}[] = [
  { name: 'coolant', words: /coolant|water/i, mass: 7, along: -0.1 },
  { name: 'engine oil', words: /engine oil|oil fill|\boil\b/i, mass: 5, along: 0.05 },
  {
    name: 'gearbox and axle oil',
    words: /gear(box)? oil|axle oil|diff(erential)? oil/i,
    mass: 3,
    along: 0.6,
  },
  { name: 'fuel that was not counted', words: /$^/, mass: 8, along: 1 },
  { name: 'wiring', words: /wiring|harness|loom/i, mass: 10, along: 0.35 },
  { name: 'exhaust', words: /exhaust|silencer|tailpipe/i, mass: 12, along: 0.8 },
  { name: 'fire extinguisher', words: /extinguisher|fire/i, mass: 5, along: 0.55 },
  { name: 'tools or a spare wheel left in', words: /spare|tools/i, mass: 12, along: 1.15 },
  { name: 'paint and sealer', words: /paint|sealer/i, mass: 6, along: 0.5 },
  { name: 'wheels and tyres of another set', words: /wheel|tyre|slick/i, mass: 8, along: 0.5 },
]
/** A suspect's mass is known to about half of it, its place to half a metre. */
const SUSPECT_MASS = 0.5
const SUSPECT_PLACE = 0.5
const WORST = 2.5
const MOST = 5

/**
 * What the missing mass may be, likeliest first: lines that are planned but not said to be done, and things that
 * nobody booked.
 *
 * @param missing from {@link locateMissing}
 * @param open lines not fitted or not off yet
 * @param booked names of everything that the ledger has
 * @param wheelbase m
 * @source common practice for the suspects and what they weigh
 * @example explainMissing(missing, open, names, 2.4)[0] // { kind: 'unbooked', name: 'coolant', … }
 */
export function explainMissing(
  missing: MissingMass,
  open: readonly OpenLine[],
  booked: readonly string[],
  wheelbase: number,
): Explanation[] {
  const misfit = (mass: number, massSigma: number, at: PlanPoint | null, placing: number) => {
    const heavy = (missing.mass.value - mass) / Math.hypot(missing.mass.sigma, massSigma)
    if (!at || !missing.canPlace) return Math.abs(heavy)
    const along = (missing.x.value - at.x) / Math.hypot(missing.x.sigma, placing)
    return Math.hypot(heavy, along) / Math.SQRT2
  }
  const lines = open.map((line): Explanation => ({
    ...line,
    kind: 'open',
    misfit: misfit(line.mass, 0.05 * Math.abs(line.mass), line.at, 0.1),
  }))
  const suspects =
    missing.mass.value < 0
      ? []
      : SUSPECTS.filter(({ words }) => !booked.some((name) => words.test(name))).map(
          ({ name, mass, along }): Explanation => {
            const at = { x: along * wheelbase, y: 0 }
            return {
              kind: 'unbooked',
              id: name,
              name,
              mass,
              at,
              misfit: misfit(mass, SUSPECT_MASS * mass, at, SUSPECT_PLACE),
            }
          },
        )
  return [...lines, ...suspects]
    .filter((e) => e.misfit < WORST)
    .sort((a, b) => a.misfit - b.misfit || (a.id < b.id ? -1 : 1))
    .slice(0, MOST)
}
