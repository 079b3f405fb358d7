import { GUESSED_OF, type FirstGuess } from '@bold-ballast/contract'
import { formatNumber, formatQuantity } from '@bold-ballast/core'
import { guessesOf, type GuessKept } from '@bold-ballast/model'
import { hoursOf } from '@bold-ballast/words'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useMoney } from '../../../store/useMoney'
import { useSettledSummaries } from '../../../store/useSettledSummaries'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'
import { RowButtons } from '../../../ui/RowButtons'
import { TableHead } from '../../../ui/TableHead'

/** What was guessed before anybody knew, beside what came out. */
export function Guesses({ onGuess }: { onGuess: (id: string | null) => void }) {
  const { view, ledger, unit, removeSaying } = useBuild()
  const money = useMoney(view.build.currency)
  const summaries = useSettledSummaries()
  const kept = useMemo(
    () =>
      guessesOf(view, (stageId, of) => {
        // A guess of the whole car is about the car that comes of it: its last stage that was weighed or pulled.
        const from = ledger.stages.findIndex((stage) => stage.id === stageId)
        const known = summaries.slice(Math.max(0, from)).flatMap(({ weighed, standing }) => {
          if (of === 'mass') return weighed ? [weighed.atReference.value] : []
          return standing.powerFrom === 'dyno' && standing.power ? [standing.power.value] : []
        })
        return known.at(-1) ?? null
      }),
    [view, ledger.stages, summaries],
  )
  const said = (of: FirstGuess['of'], value: number): string => {
    if (of === 'hours') return hoursOf(value)
    if (of === 'money') return money(value)
    return formatQuantity(value, unit(of))
  }
  const right = 'px-2 text-right whitespace-nowrap tabular-nums'
  const cameOut = ({ guess, came, isFinal }: GuessKept) => (
    <>
      {came === null ? 'nothing yet' : said(guess.of, came)}
      {came !== null && !isFinal && <span className="text-muted"> so far</span>}
    </>
  )
  const off = ({ guess, came }: GuessKept) =>
    came === null
      ? '–'
      : `${came >= guess.value ? '+' : '−'}${formatNumber(Math.abs(came / guess.value - 1) * 100, 0)} %`
  return (
    <section aria-label="First guesses" className="mt-5">
      <div className="flex flex-wrap items-end justify-between gap-2">
        <h2 className="text-[20px]">First guesses</h2>
        <MayOnly right="log">
          <Button onClick={() => onGuess(null)}>Guess</Button>
        </MayOnly>
      </div>
      {kept.length === 0 ? (
        <p className="max-w-[760px] text-muted">
          Before it rolls on the pads, everybody says what it will weigh, make, cost and take. The guess is
          kept, and stands beside what came out.
        </p>
      ) : (
        <table className="mt-1 w-full max-w-[860px]" data-testid="guesses">
          <caption className="sr-only">First guesses beside what came out</caption>
          <TableHead
            columns={[
              { says: 'Guess of' },
              { says: 'Guessed', figures: true, className: 'px-2 @max-2xl:hidden' },
              { says: 'Came out', figures: true, className: 'px-2 @max-2xl:hidden' },
              { says: 'Off by', figures: true, className: 'px-2' },
              { says: 'Change', unseen: true },
            ]}
          />
          <tbody>
            {kept.map((one) => (
              <tr key={one.guess.id} className="border-b border-line">
                <th scope="row" className="py-1 pr-2 text-left font-medium">
                  {one.guess.who}: {GUESSED_OF[one.guess.of]}
                  <span className="block text-[12.5px] font-normal text-muted">
                    {ledger.stages.find((s) => s.id === one.guess.stageId)?.name}, {one.guess.date}
                  </span>
                  <span className="block text-[13.5px] font-normal @2xl:hidden">
                    {said(one.guess.of, one.guess.value)}, came out: {cameOut(one)}
                  </span>
                </th>
                <td className={`${right} @max-2xl:hidden`}>{said(one.guess.of, one.guess.value)}</td>
                <td className={`${right} @max-2xl:hidden`}>{cameOut(one)}</td>
                <td className={`${right} figure text-[17px]`}>{off(one)}</td>
                <td className="text-right whitespace-nowrap @max-2xl:whitespace-normal">
                  <RowButtons
                    name={`the guess of ${one.guess.who}`}
                    recordId={one.guess.id}
                    onChange={() => onGuess(one.guess.id)}
                    onRemove={() => removeSaying('firstGuess', one.guess.id, `The guess of ${one.guess.who}`)}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  )
}
