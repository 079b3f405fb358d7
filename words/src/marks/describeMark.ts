import { COMPARATOR, type Mark } from '@bold-ballast/contract'
import {
  chanceOf,
  formatKnown,
  formatQuantity,
  fromSi,
  spreadFromSi,
  formatNumber,
  decimalsFor,
  leansTo,
  type Cannot,
  type MarkReading,
  type StageSummary,
  type Unit,
  type UnitPreferences,
} from '@bold-ballast/core'
import { MEASURES_OF_CAR } from '@bold-ballast/model'
import { nameOfMark, unitOfMeasure } from './measures'
import { sayMass } from '../describeMassFault'
import { sayOdds } from './sayOdds'

export interface SaidMark {
  readonly measure: string
  readonly unit: Unit
  /** "at most 1,220 kg" */
  readonly target: string
  /** "1,236 → 1,220 kg" */
  readonly headline: string
  /** "met", "missed by 16", "points to met", "likely missed", "can’t tell yet" */
  readonly verdict: string
  /** How likely it is to be met, "9 in 10"; null where there is no figure. */
  readonly odds: string | null
  /** Where a plan or a model points, which shows nothing; null where something was measured, or it is near even. */
  readonly points: 'met' | 'missed' | null
  /** "16 to find, 9 of it pending" */
  readonly short: string
  /** The reason, in a sentence. */
  readonly reason: string
}

/** Whether a figure can only point: a plan, what a model works out, or what nobody has measured. */
export const isPointing = ({ because }: Pick<MarkReading, 'because'>): boolean =>
  because === 'workedOut' || because === 'stillPlanned' || because === 'unmeasured'

/** Why a figure can't be worked out. */
const sayCannot = (cannot: Cannot, units: UnitPreferences): string =>
  cannot.why === 'weighsNothing'
    ? `the car would weigh ${sayMass(cannot.mass, units)}`
    : 'what was typed leads nowhere; check the figures it rests on'

/** On which side of a mark a figure is that is off. */
const WHICH_WAY: Readonly<Record<string, string>> = { 'at least': 'short', 'at most': 'over' }
const FLIPPED = { atMost: COMPARATOR.atLeast, atLeast: COMPARATOR.atMost, within: COMPARATOR.within } as const

/**
 * How a mark is compared, as it reads in a unit: pounds per horsepower run the other way, so that at least so much power to
 * weight is at most so many of them.
 *
 * @example comparatorWords(unitOf('powerToWeight', 'lb/hp')).atLeast // 'at most'
 */
export const comparatorWords = ({
  reciprocal,
}: Pick<Unit, 'reciprocal'>): Readonly<Record<keyof typeof FLIPPED, string>> =>
  reciprocal ? FLIPPED : COMPARATOR

/**
 * A mark and its reading, in words.
 *
 * @param pending kg of the stage's change that is not banked yet, for marks on mass
 */
export function describeMark(
  mark: Omit<Mark, 'id' | 'stageId' | 'weight' | 'version'>,
  reading: MarkReading,
  summary: StageSummary,
  {
    units,
    currency,
    conditions,
    chance,
  }: {
    readonly units: UnitPreferences
    readonly currency: string
    readonly conditions: readonly { readonly id: string; readonly name: string }[]
    /** That it is met; null where nobody can say; left out, by the doubt of its figure. */
    readonly chance?: number | null
  },
  pending = 0,
): SaidMark {
  const unit = unitOfMeasure(mark.measure, units, currency)
  const { says } = MEASURES_OF_CAR[mark.measure]
  const measure = nameOfMark(mark, units, conditions)
  const way = comparatorWords(unit)[mark.comparator]
  const goal = tidy(fromSi(mark.value, unit))
  const tolerance =
    mark.tolerance > 0 ? ` ±${tidy(Math.abs(spreadFromSi(mark.tolerance, unit, mark.value)))}` : ''
  const target = `${way} ${goal}${tolerance} ${unit.symbol}`.trim()
  const { value, judgement, verdict, because } = reading
  if (!value || !judgement) {
    const missing = measure.replace(/^[A-Z](?=[a-z])/, (c) => c.toLowerCase())
    return {
      measure,
      unit,
      target,
      points: null,
      odds: null,
      headline: `mark ${goal} ${unit.symbol}`.trim(),
      verdict: 'can’t tell yet',
      short: reading.cannot ? 'can’t be worked out' : `no ${missing} yet`,
      reason: reading.cannot
        ? `Can’t be worked out: ${sayCannot(reading.cannot, units)}.`
        : `Can’t tell yet: no ${missing} is known at this stage. ${says.missing}`,
    }
  }
  const now = formatKnown(value.value, value.sigma, unit)
  const figure = `${now.figure} ${unit.symbol}`.trim()
  const off = size(judgement.margin, unit, value.value)
  const inside = judgement.margin >= 0
  const side = inside ? 'inside the mark' : 'off the mark'
  const spread = `±${now.spread} ${unit.symbol}`.trim()
  const settles = size(judgement.settlesAt, unit, value.value)
  const likely = chance === undefined ? chanceOf(reading, mark) : chance
  const odds = likely === null ? null : sayOdds(likely)
  const towards = likely === null ? judgement.verdict : leansTo(likely)
  const leans = verdict === 'cantTell' && towards !== 'cantTell' ? towards : null
  const points = isPointing(reading) ? leans : null
  const leaning = leans && `${points ? 'points to' : 'likely'} ${leans}`
  // How likely, and then why it isn't known.
  const head = leaning ? `${leaning.charAt(0).toUpperCase()}${leaning.slice(1)}` : 'Can’t tell yet'
  const open = odds === null ? head : `${head}, ${odds}`
  const reasons: Record<MarkReading['because'], string> = {
    shown: `${verdict === 'met' ? 'Met' : 'Missed'}: ${figure} is ${off} ${side}, and ${spread} doesn’t reach across it.`,
    tooClose:
      judgement.settlesAt > 0
        ? `${open}: ${off} ${side}, but known only to ${spread}. Known to ±${settles} or better, it would be settled: ${says.sharper ?? 'measure it again, or better'}.`
        : `${open}: it lies right on the mark, where no measurement settles it.`,
    stillPlanned: `${open}: ${planReason(mark, summary)}. The plan points to ${figure}, ${off} ${side}.`,
    workedOut: `${open}: ${says.workedOut ?? 'worked out, not measured'}. It points to ${figure}, ${off} ${side}, give or take ${now.spread} ${unit.symbol}. ${says.settled ?? 'Measure it to settle it'}.`,
    unmeasured: `${open}: ${figure} rests on what was ${value.grade === 'claim' ? 'claimed' : 'guessed'}, and only a measurement shows. It points ${off} ${side}, give or take ${now.spread} ${unit.symbol}: ${says.sharper ?? 'measure it to settle it'}.`,
    nothing: '',
  }
  const toFind =
    mark.measure === 'mass' && !inside
      ? `${off} to find${pending < -0.05 ? `, ${formatQuantity(-pending, unit)} pending` : ''}`
      : inside
        ? `${off} inside it`
        : `${off} ${WHICH_WAY[way] ?? 'off'}`
  return {
    measure,
    unit,
    target,
    points,
    odds,
    headline: `${now.figure} → ${goal} ${unit.symbol}`.trim(),
    verdict:
      verdict === 'met' ? 'met' : verdict === 'missed' ? `missed by ${off}` : (leaning ?? 'can’t tell yet'),
    short:
      verdict === 'met'
        ? `met, ${off} inside it`
        : verdict === 'missed'
          ? toFind
          : `${leaning ?? 'can’t tell yet'}, ${toFind}`,
    reason: reasons[because],
  }
}

function planReason(mark: Pick<Mark, 'measure'>, summary: StageSummary): string {
  const { unproven } = MEASURES_OF_CAR[mark.measure].says
  if (unproven) return unproven
  const lines = summary.openLinesSoFar
  const open = `${lines} ${lines === 1 ? 'line is' : 'lines are'} still to be fitted`
  if (mark.measure === 'mass') return open
  const noPull = 'nobody has pulled it yet'
  if (mark.measure === 'wheelPower') return noPull
  return summary.measuredPower ? open : lines > 0 ? `${noPull}, and ${open}` : noPull
}

const tidy = (value: number) =>
  formatNumber(
    value,
    Math.abs(value) >= 100
      ? Number.isInteger(Number(value.toFixed(1)))
        ? 0
        : 1
      : Math.abs(value) >= 10
        ? 1
        : 2,
  ).replace(/\.0+$/, '')

function size(si: number, unit: Unit, at: number): string {
  const shown = Math.abs(spreadFromSi(si, unit, at))
  // A count has no tenths.
  const decimals = unit.symbol === '' ? 0 : Math.min(decimalsFor(shown), unit.decimals + 1)
  return `${formatNumber(shown, decimals)} ${unit.symbol}`.trim()
}
