import type { Build, BuildDocument, SealedFigures } from '@bold-ballast/contract'
import {
  formatFigure,
  sayKnown,
  unnamed,
  formatNumber,
  formatQuantity,
  preferredUnit,
  type CarNow,
  type PullPoint,
  type Quantity,
  type StageSummary,
  type UnitPreferences,
} from '@bold-ballast/core'
import { chanceOfMark, expectedWrong, proofOf } from '@bold-ballast/model'
import { describeMark } from '../marks/describeMark'
import { openRisks } from './openRisks'
import { ticketOf } from './ticketOf'

const DISCIPLINE: Record<Build['discipline'], string> = {
  track: 'track',
  drift: 'drift',
  timeAttack: 'time attack',
}
const FROM: Record<StageSummary['massFrom'], string> = {
  scales: 'by the scales',
  books: 'by the books',
  plan: 'planned',
}

const MOST_POINTS = 120
/** Every so many points: a sheet is no log. */
function thinned(curve: readonly PullPoint[]): { speed: number; torque: number }[] {
  const every = Math.ceil(curve.length / MOST_POINTS)
  return curve.flatMap(({ speed, torque }, i) =>
    i % every === 0 || i === curve.length - 1 ? [{ speed, torque }] : [],
  )
}

/**
 * What the proof sheet of a stage says, in words and figures, as it would be signed now: in the units of the build. The
 * server works out what is signed by this, and the page shows what would be.
 *
 * @throws {RangeError} where the document has no such stage
 * @example sealedFiguresOf(document, stageId).marks[0]?.says // 'met'
 */
export function sealedFiguresOf(document: BuildDocument, stageId: string): SealedFigures {
  const proof = proofOf(document, stageId)
  const { marks, car, gears, rungs, changed } = proof
  const { build, summary, geared, aero } = car
  const units: UnitPreferences = build.units
  const unit = (quantity: Quantity) => preferredUnit(quantity, units)
  const { weighed, measuredPower, standing, finished } = summary
  const isHalf = summary.openLinesSoFar > 0
  const weighIn = document.weighIns.find((w) => w.id === weighed?.id)
  const facts: { what: string; says: string }[] = []
  const fact = (what: string, says: string) => facts.push({ what, says: says.slice(0, 500) })
  fact('Car', `${build.car || build.name}, ${DISCIPLINE[build.discipline]}`)
  fact('Class', car.rulebook?.name ?? 'none chosen')
  fact(
    'Condition',
    `${build.reference.driver > 0 ? 'driver aboard' : 'no driver'}, ${formatQuantity(build.reference.fuel, unit('volume'))} fuel`,
  )
  // Half done, the car is two cars: each with its own mass, power and ratio, and its own name.
  const masses = (now: CarNow) => `${sayKnown(now.mass, unit('mass'))}, ${FROM[now.massFrom]}`
  fact(isHalf ? 'Mass, as it stands' : 'Mass', masses(standing))
  if (isHalf) fact('Mass, when it is finished', masses(finished))
  if (weighed)
    fact(
      'Front, left, cross',
      [weighed.result.front, weighed.result.left, weighed.result.cross]
        .map((s) => (s ? `${formatFigure(s.value, unit('share'))} %` : '–'))
        .join(', '),
    )
  const powerOf = (now: CarNow) =>
    now.power === null
      ? 'nobody knows'
      : now.powerFrom === 'dyno' && measuredPower
        ? `${sayKnown(now.power, unit('power'))}, ${build.powerBasis}, ${measuredPower.pulls} pulls${geared ? ` on ${geared.curveOf.dyno}` : ''}`
        : `${sayKnown(now.power, unit('power'))}, planned`
  const both = (what: string, of: (now: CarNow) => string | null) => {
    const [now, then] = [of(standing), of(finished)]
    if (!isHalf) {
      // A stage that is done but never pulled still has its plan.
      const said = now ?? then
      if (said) fact(what, said)
      return
    }
    if (now) fact(`${what}, as it stands`, now)
    if (then) fact(`${what}, when it is finished`, then)
  }
  both('Wheel power', (now) => (now.power === null && !isHalf && finished.power ? null : powerOf(now)))
  both('Power to weight', (now) => now.powerToWeight && sayKnown(now.powerToWeight, unit('powerToWeight')))
  // A single piece has no balance worth signing.
  if (aero.elements.length > 1) {
    const { frontShare, drag } = aero.balance
    const share =
      frontShare === null || aero.sigma.frontShare === null
        ? 'no downforce to speak of'
        : `${formatNumber(frontShare * 100, 0)} ±${formatNumber(aero.sigma.frontShare * 100, 0)} % in front`
    fact('Aero balance', `${share}, drag area ${formatNumber(drag, 2)} m²`)
  }
  if (car.setup) {
    const { order, name, course, date } = car.setup.value
    fact('Set-up', [`sheet ${order}`, name, course, date].filter(Boolean).join(', '))
  }
  const words = { units, currency: build.currency, conditions: document.conditions }
  return {
    facts,
    marks: marks.map(({ mark, reading }) => {
      const chance = chanceOfMark(car, mark, reading)
      const said = describeMark(mark, reading, summary, { ...words, chance })
      const { value, verdict } = reading
      return {
        measure: mark.measure,
        name: said.measure,
        target: said.target,
        value: value && unnamed(value),
        verdict,
        figure: value ? sayKnown(value, said.unit) : '–',
        says: said.verdict,
        reason: said.reason,
      }
    }),
    ticket: weighed && weighIn ? ticketOf(weighIn, weighed, unit('mass')) : null,
    curve: geared ? thinned(geared.curve) : [],
    dyno: geared?.curveOf.dyno ?? '',
    gears: gears.map(({ ratio, speed }) => ({ ratio, speed })),
    finalDrive: geared?.drive.finalDrive ?? null,
    links: rungs.map((r) => ({
      name: r.part.name,
      margin: r.margin,
      sigma: r.marginSigma,
      // What loads a link is worked out: a margin points, and settles nothing.
      verdict: 'cantTell' as const,
    })),
    changed: [...changed],
    expectedWrong: expectedWrong(marks.map((m) => m.reading)).wrong,
    risks: openRisks(proof),
  }
}
