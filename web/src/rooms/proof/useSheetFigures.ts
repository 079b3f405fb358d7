import { type Build, type SealedFigures } from '@bold-ballast/contract'
import { expectedWrong } from '@bold-ballast/model'
import {
  formatFigure,
  formatKnown,
  formatNumber,
  formatQuantity,
  type CarNow,
  type PullPoint,
  type Unit,
} from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../store/useBuild'
import { sayMark } from '../../words/sayMark'
import { openRisks } from './openRisks'
import { ticketOf } from './ticketOf'
import { useProof, type Proof } from './useProof'

const DISCIPLINE: Record<Build['discipline'], string> = {
  track: 'track',
  drift: 'drift',
  timeAttack: 'time attack',
}
const FROM: Record<Proof['summary']['massFrom'], string> = {
  scales: 'by the scales',
  books: 'by the books',
  plan: 'planned',
}

function say(k: { value: number; sigma: number }, unit: Unit): string {
  const { figure, spread, unit: symbol } = formatKnown(k.value, k.sigma, unit)
  return `${figure} ±${spread} ${symbol}`.trim()
}

const MOST_POINTS = 120
/** Every so many points: a sheet is no log. */
function thinned(curve: readonly PullPoint[]): { speed: number; torque: number }[] {
  const every = Math.ceil(curve.length / MOST_POINTS)
  return curve.flatMap(({ speed, torque }, i) =>
    i % every === 0 || i === curve.length - 1 ? [{ speed, torque }] : [],
  )
}

/** What the proof sheet of the open stage says, in words and figures, as it would be signed now. */
export function useSheetFigures(): SealedFigures {
  const { view, units, unit } = useBuild()
  const proof = useProof()
  return useMemo((): SealedFigures => {
    const { summary, marks, car, gears, rungs, aero, changed, className } = proof
    const { build } = view
    const { weighed, measuredPower, standing, finished } = summary
    const isHalf = summary.openLinesSoFar > 0
    const weighIn = view.weighIns.find((w) => w.id === weighed?.id)
    const facts: { what: string; says: string }[] = []
    const fact = (what: string, says: string) => facts.push({ what, says: says.slice(0, 500) })
    fact('Car', `${build.car || build.name}, ${DISCIPLINE[build.discipline]}`)
    fact('Class', className ?? 'none chosen')
    fact(
      'Condition',
      `${build.reference.driver > 0 ? 'driver aboard' : 'no driver'}, ${formatQuantity(build.reference.fuel, unit('volume'))} fuel`,
    )
    // Half done, the car is two cars: each with its own mass, power and ratio, and its own name.
    const masses = (car: CarNow) => `${say(car.mass, unit('mass'))}, ${FROM[car.massFrom]}`
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
          ? `${say(now.power, unit('power'))}, ${build.powerBasis}, ${measuredPower.pulls} pulls${car ? ` on ${car.curveOf.dyno}` : ''}`
          : `${say(now.power, unit('power'))}, planned`
    const both = (what: string, of: (now: CarNow) => string | null) => {
      const [now, then] = [of(standing), of(finished)]
      if (!isHalf) {
        // A stage that is done but never pulled still has its plan.
        if (now ?? then) fact(what, (now ?? then)!)
        return
      }
      if (now) fact(`${what}, as it stands`, now)
      if (then) fact(`${what}, when it is finished`, then)
    }
    both('Wheel power', (now) => (now.power === null && !isHalf && finished.power ? null : powerOf(now)))
    both('Power to weight', (now) => now.powerToWeight && say(now.powerToWeight, unit('powerToWeight')))
    if (aero) {
      const { frontShare, drag } = aero.balance
      const share =
        frontShare === null || aero.sigma === null
          ? 'no downforce to speak of'
          : `${formatNumber(frontShare * 100, 0)} ±${formatNumber(aero.sigma * 100, 0)} % in front`
      fact('Aero balance', `${share}, drag area ${formatNumber(drag, 2)} m²`)
    }
    const words = { units, currency: build.currency, conditions: view.conditions }
    return {
      facts,
      marks: marks.map(({ mark, reading }) => {
        const said = sayMark(mark, reading, summary, words)
        const { value, verdict } = reading
        return {
          measure: mark.measure,
          name: said.measure,
          target: said.target,
          value,
          verdict,
          figure: value ? say(value, said.unit) : '–',
          says: said.verdict,
          reason: said.reason,
        }
      }),
      ticket: weighed && weighIn ? ticketOf(weighIn, weighed, unit('mass')) : null,
      curve: car ? thinned(car.curve) : [],
      dyno: car?.curveOf.dyno ?? '',
      gears: gears.map(({ ratio, speed }) => ({ ratio, speed })),
      finalDrive: car?.drive.finalDrive ?? null,
      links: rungs.map((r) => ({
        name: r.part.name,
        margin: r.margin,
        sigma: r.marginSigma,
        // What loads a link is worked out: a margin points, and settles nothing.
        verdict: 'cantTell' as const,
      })),
      changed: changed.map(({ entry, mass }) => ({ swap: entry.swap.name, mass })),
      expectedWrong: expectedWrong(marks.map((m) => m.reading)).wrong,
      risks: openRisks(proof),
    }
  }, [proof, view, units, unit])
}
