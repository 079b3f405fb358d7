import { Promises } from './Promises'
import { Deliveries } from './Deliveries'
import { Guesses } from './Guesses'
import { Operations } from './Operations'

/** What was promised and what it took; days that were promised; what comes again; and first guesses beside what came out. */
export function RecordView({ onGuess }: { onGuess: (id: string | null) => void }) {
  return (
    <section aria-label="Record" className="max-w-[1100px]">
      <Promises />
      <Deliveries />
      <Operations />
      <Guesses onGuess={onGuess} />
    </section>
  )
}
