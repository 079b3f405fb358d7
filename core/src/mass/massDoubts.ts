import type { Doubts } from '../evidence/doubts'
import { doubtName } from '../evidence/doubtNames'
import type { MassPoint } from './massFold'

/** Contributions that one source says the mass of. */
export interface MassSource {
  readonly name: string
  readonly points: readonly MassPoint[]
}

/**
 * What the mass of a car is in doubt by, source by source: each with its own, and what several of them share by what they
 * share, added before it is squared. Together they come to what `massState` says of the mass.
 *
 * @param sources contributions of one name together; what is only moved is in doubt by nothing here
 * @source JCGM 100:2008, 5.2.2
 * @example massDoubts([{ name: 'car', points: [{ mass: known(900, 'measured', 3), sign: 1, position: null }] }]) // { car: 3 }
 */
export function massDoubts(sources: readonly MassSource[]): Doubts {
  const doubts: Record<string, number> = {}
  const add = (name: string, effect: number) => {
    if (effect !== 0) doubts[name] = (doubts[name] ?? 0) + effect
  }
  for (const { name, points } of sources) {
    const own = Math.hypot(...points.map(({ sign, mass }) => sign * mass.sigma))
    add(name, (points[0]?.sign ?? 1) < 0 ? -own : own)
    for (const { sharing, sign } of points)
      if (sharing) add(doubtName.shared(sharing.with), sign * sharing.sigma)
  }
  return doubts
}
