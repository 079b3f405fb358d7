import type { SealedFigures } from '@bold-ballast/contract'
import {
  formatKnown,
  formatNumber,
  formatQuantity,
  peaksOf,
  preferredUnit,
  type Quantity,
  type UnitPreferences,
} from '@bold-ballast/core'

/** Something that two proof sheets of a stage say differently, as a person reads it. */
export interface DifferingFigure {
  readonly what: string
  /** '–' where that sheet says nothing of it. */
  readonly before: string
  readonly after: string
}

const NOTHING = '–'

/** Everything that a sheet says, line by line, as it is read. */
function linesOf(figures: SealedFigures, units: UnitPreferences): ReadonlyMap<string, string> {
  const unit = (quantity: Quantity) => preferredUnit(quantity, units)
  const lines = new Map<string, string>()
  const say = (what: string, says: string) => {
    // Two of a name stand one after the other.
    let name = what
    for (let i = 2; lines.has(name); i += 1) name = `${what}, ${i}`
    lines.set(name, says)
  }
  for (const { what, says } of figures.facts) say(what, says)
  for (const { name, target, figure, says } of figures.marks)
    say(`${name}, ${target}`, figure === NOTHING ? says : `${figure}, ${says}`)
  const { ticket, curve, finalDrive } = figures
  if (ticket) {
    const { figure, spread, unit: mass } = formatKnown(ticket.total.value, ticket.total.sigma, unit('mass'))
    say('Weighing', `${ticket.date}, ${figure} ±${spread} ${mass}. ${ticket.books}`)
  }
  if (curve.length > 1) {
    const { value, speed } = peaksOf(curve).power
    const where = formatQuantity(speed, unit('engineSpeed'), 0)
    say('Curve', `${figures.dyno}, ${formatQuantity(value, unit('power'), 1)} at ${where}`)
  }
  figures.gears.forEach(({ ratio, speed }, i) =>
    say(`Gear ${i + 1}`, `${formatNumber(ratio, 3)}, ${formatQuantity(speed, unit('velocity'), 0)}`),
  )
  if (finalDrive !== null) say('Final drive', formatNumber(finalDrive, 3))
  for (const { name, margin } of figures.links) say(`Link ${name}`, `margin ${formatNumber(margin, 2)}`)
  for (const { swap, mass } of figures.changed) say(`Swap ${swap}`, formatQuantity(mass, unit('mass'), 1))
  figures.risks.forEach((risk) => say(risk, 'open'))
  return lines
}

/**
 * What two sheets of a stage say differently, line by line: what was signed and what the records say now, or what was
 * shown and what it is signed with.
 *
 * @param units of the build
 * @returns nothing where both read the same
 * @example differingFigures(seal.figures, sealedFiguresOf(document, stageId), units) // [{ what: 'Mass', before: '1,236 ±5 kg, by the scales', after: … }]
 */
export function differingFigures(
  before: SealedFigures,
  after: SealedFigures,
  units: UnitPreferences,
): DifferingFigure[] {
  const [was, is] = [linesOf(before, units), linesOf(after, units)]
  return [...new Set([...was.keys(), ...is.keys()])].flatMap((what) => {
    const [one, other] = [was.get(what) ?? NOTHING, is.get(what) ?? NOTHING]
    return one === other ? [] : [{ what, before: one, after: other }]
  })
}
