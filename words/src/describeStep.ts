import type { BuildDocument } from '@bold-ballast/contract'
import { MEASURES_OF_CAR, type Step } from '@bold-ballast/model'
import {
  formatKnown,
  formatNumber,
  fromSi,
  preferredUnit,
  type Unit,
  type UnitPreferences,
} from '@bold-ballast/core'
import { formatMoney } from './formatMoney'
import { describeDoubt } from './evidence/describeDoubt'
import { nameOfMark, unitOfMeasure } from './marks/measures'
import { sayOdds } from './marks/sayOdds'

export const hoursOf = (seconds: number): string => {
  const h = seconds / 3600
  return h < 0.95 ? `${formatNumber(h * 60, 0)} min` : `${formatNumber(h, h < 3 ? 1 : 0)} h`
}
const figure = (si: number, unit: Unit) => `${formatNumber(fromSi(si, unit), 1)}\u00a0${unit.symbol}`

function toTypeIn({ marks: [mark] }: Step, { components }: BuildDocument): string {
  if (!mark) return ''
  // Ratings are there; what they lack is somebody who has tested them.
  if (mark.measure === 'weakestLink' && components.some((c) => c.rating !== null))
    return 'Get a test or a certificate for the weakest link'
  return MEASURES_OF_CAR[mark.measure].says.missing.replace(/\.$/, '')
}

/** What a step is called. */
export function nameOfStep(step: Step, view: BuildDocument, units: UnitPreferences): string {
  const swap = view.swaps.find((s) => s.id === step.swapId)?.name
  const line = view.lines.find((l) => l.id === step.lineId)?.name
  const component = view.components.find((c) => c.id === step.componentId)
  const names: Record<Step['kind'], string> = {
    weighCar: 'Weigh the car',
    weighCorners: 'Weigh the car on four pads',
    weighPart: `Weigh ${line ?? 'a part'}`,
    pull: 'Pull it on a dyno',
    checkInstrument: `Find out ${step.source ? describeDoubt(step.source, view) : 'what the instrument is off by itself'}`,
    logDownforce: 'Log downforce at held speeds',
    sayPitch: 'Say how it pitches and rolls',
    measureForClass: 'Measure what the class asks for',
    drive: 'Time a lap',
    typeIn: toTypeIn(step, view),
    finishSwap: `Finish ${swap ?? 'what is open'}`,
    bringForward: `Bring ${swap ?? 'a swap'} forward to this stage`,
    findKilos: `Find ${figure(-(step.kilograms ?? 0), preferredUnit('mass', units))} more to take off`,
    findPower: `Find ${figure(step.watts ?? 0, preferredUnit('power', units))} more at the wheels`,
    strengthen: component?.replacement
      ? `Fit ${component.replacement.name} for ${component.name}`
      : `Strengthen ${component?.name ?? 'the weakest link'}`,
    trim: 'Trim the balance',
    turnBar: 'Turn a bar or a spring for the balance',
    turnBrakeBar: 'Turn the brake bar',
    support: 'Hold the floor up, or raise it',
    mendRules: 'Mend what fails the class',
  }
  return names[step.kind]
}

const MENDING: ReadonlySet<Step['kind']> = new Set([
  ...([
    'strengthen',
    'trim',
    'support',
    'turnBar',
    'turnBrakeBar',
    'mendRules',
    'findKilos',
    'findPower',
    'bringForward',
  ] as const),
])

/** What a step does for which marks, and what it takes. */
export function whyOfStep(step: Step, view: BuildDocument, units: UnitPreferences): string {
  const mass = preferredUnit('mass', units)
  const marks = [...new Set(step.marks.map((m) => nameOfMark(m, units, view.conditions)))].map((name) =>
    // "402 m" and "km/h" keep their letters.
    /^[A-Z][a-z]/.test(name) ? name.charAt(0).toLowerCase() + name.slice(1) : name,
  )
  const list = marks.length > 1 ? `${marks.slice(0, -1).join(', ')} and ${marks.at(-1)}` : marks[0]
  const { kind, kilograms, cost, workTime } = step
  const kilos =
    kilograms === null || kind === 'findKilos' || Math.abs(kilograms) < 0.05
      ? ''
      : `, ${kilograms > 0 ? '+' : '−'}${figure(Math.abs(kilograms), mass)}`
  const money = cost === null || cost === 0 ? '' : `, ${formatMoney(cost, view.build.currency, 0)}`
  const takes = `${hoursOf(workTime)}${kilos}${money}`
  const does = MENDING.has(kind) ? 'Helps' : kind === 'finishSwap' ? 'Moves' : 'Settles'
  const { certainty } = step
  if (!certainty) return `${does} ${list}; ${takes}`
  // What a measurement leaves of the ±, and how likely that is enough.
  const { mark, now, then, chance } = certainty
  const unit = unitOfMeasure(mark.measure, units, view.build.currency)
  const spread = (sigma: number) => `±${formatKnown(mark.value, sigma, unit).spread}`
  const told = `${spread(now)} to ${spread(then)} ${unit.symbol}`.trim()
  return chance < 0.05
    ? `Sharpens ${list}, ${told}, and is unlikely to settle it; ${takes}`
    : `${does} ${list}, ${sayOdds(chance)}: ${told}; ${takes}`
}
