import { SYSTEM, type Line } from '@bold-ballast/contract'
import { doubtMass, formatQuantity, fromSi, type Unit } from '@bold-ballast/core'

/** The question to ask about a mass that looks mistyped, with the other readings; null when it looks right. */
export function massDoubt(
  line: Pick<Line, 'mass' | 'system'>,
  unit: Unit,
): { question: string; instead: { words: string; mass: number }[] } | null {
  const doubt = doubtMass(line.mass, line.system)
  if (!doubt) return null
  const typed = Number(fromSi(line.mass, unit).toPrecision(6))
  const factor = { g: 0.001, lb: 0.45359237 }
  const instead = doubt.couldBe
    .filter((u) => u !== unit.symbol)
    .map((u) => ({ words: `${typed} ${u}`, mass: typed * factor[u] }))
  const units = instead.map((i) => i.words.split(' ').at(-1)).join(' or ')
  return {
    question: `${formatQuantity(line.mass, unit)} is a lot for one piece of ${SYSTEM[line.system].toLowerCase()}.${units ? ` Did you mean ${units}?` : ''}`,
    instead,
  }
}
