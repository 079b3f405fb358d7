import type { BuildDocument, Mark } from '@bold-ballast/contract'
import {
  readingsToJudge,
  verdictFrom,
  type MarkReading,
  type RepeatErrors,
  type RepeatPlan,
} from '@bold-ballast/core'
import type { Car } from '../car/Car'
import { dynoToTest, scaleToTest, type TestInstrument } from './testInstrument'

/** What it takes to show a mark, before anybody measures it. */
export interface MarkTest {
  readonly instrument: TestInstrument
  /** Of the mark's figure, in its unit. */
  readonly errors: RepeatErrors
  /** How far the figure is thought to lie inside the allowed side; negative outside, null where nobody knows. */
  readonly margin: number | null
  /** Readings that show that; null where no number of them does, or it isn't known. */
  readonly plan: RepeatPlan | null
  /** How far beyond the mark what is usual shows it: three readings on one day. */
  readonly shownFrom: number
}

/** Readings that people make anyway. */
export const USUAL_TEST = { days: 1, readings: 3 } as const

const KIND: Partial<Record<Mark['measure'], TestInstrument['kind']>> = {
  mass: 'scale',
  wheelPower: 'dyno',
  meanPower: 'dyno',
  powerToWeight: 'dyno',
}

/**
 * Pulls or weighings that would show a mark, off what the instrument that will read it is off by.
 *
 * @returns null for a mark that neither a dyno nor scales read, or that is met or missed already
 * @source {@link readingsToJudge}
 * @example testOfMark(document, car, mark, readMark(car, mark))?.instrument.kind // 'scale'
 */
export function testOfMark(
  view: BuildDocument,
  car: Car,
  mark: Pick<Mark, 'measure' | 'comparator' | 'value' | 'tolerance'>,
  { value, verdict, judgement }: MarkReading,
): MarkTest | null {
  const kind = KIND[mark.measure]
  if (!kind || verdict !== 'cantTell') return null
  const instrument = kind === 'dyno' ? dynoToTest(view) : scaleToTest(view)
  const about = Math.abs(value?.value ?? mark.value)
  const { mass } = car.summary.finished
  // Of a power for each kilo the kilos are known as well as they are, whatever is pulled.
  const beside = mark.measure === 'powerToWeight' && mass.value > 0 ? mass.sigma / mass.value : 0
  const errors = {
    scatter: instrument.scatter * about,
    betweenDays: instrument.betweenDays * about,
    always: Math.hypot(instrument.own, beside) * about,
  }
  const margin = judgement?.margin ?? null
  return {
    instrument,
    errors,
    margin,
    plan: margin ? readingsToJudge(Math.abs(margin), errors) : null,
    shownFrom: verdictFrom(errors, USUAL_TEST),
  }
}
