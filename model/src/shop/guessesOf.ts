import type { BuildDocument, FirstGuess } from '@bold-ballast/contract'
import { moneyOfStages, sumOfMoney } from './moneyOfStages'
import { workedOn } from './workedOn'

/** A first guess, and what came out so far; null while nothing did. */
export interface GuessKept {
  readonly guess: FirstGuess
  readonly came: number | null
  /** Nothing is left that would still change what came out. */
  readonly isFinal: boolean
}

/**
 * What was guessed of a car before it was begun, beside what came out from that stage on: hours worked, money spent, power of
 * the last dyno day, mass of the last weighing.
 *
 * @param measured power at the wheels, W, and mass as the stage is stated, kg, by stage; null where nothing shows it
 * @example guessesOf(document, () => null).length // 0
 */
export function guessesOf(
  document: BuildDocument,
  measured: (stageId: string, of: 'power' | 'mass') => number | null,
): GuessKept[] {
  const rows = moneyOfStages(document)
  const order = new Map(document.stages.map((stage) => [stage.id, stage.order]))
  return document.firstGuesses.map((guess) => {
    // It is of the whole that is still to come: this stage and all after it.
    const first = order.get(guess.stageId) ?? 0
    const isLater = ({ stageId }: { readonly stageId: string }) => (order.get(stageId) ?? 0) >= first
    const jobs = document.jobs.filter(isLater)
    const isDone = jobs.length > 0 && jobs.every((job) => job.state === 'done' || job.state === 'dropped')
    switch (guess.of) {
      case 'hours': {
        const worked = jobs.reduce((sum, job) => sum + workedOn(job), 0)
        return { guess, came: worked > 0 ? worked : null, isFinal: isDone }
      }
      case 'money': {
        const { spent, ordered, toFind } = sumOfMoney(rows.filter(isLater))
        return { guess, came: spent > 0 ? spent : null, isFinal: ordered === 0 && toFind === 0 }
      }
      default: {
        const came = measured(guess.stageId, guess.of)
        return { guess, came, isFinal: came !== null }
      }
    }
  })
}
