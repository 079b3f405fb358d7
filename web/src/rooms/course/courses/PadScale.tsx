import { parseQuantity, unitOf } from '@bold-ballast/core'
import { useState } from 'react'
import { Button } from '../../../ui/Button'

const METRES = unitOf('length', 'm')

/** How far two places on the pad lie from each other: what sets its scale. */
export function PadScale({
  marked,
  onScale,
}: {
  /** How many of the two are marked. */
  marked: number
  onScale: (metres: number) => void
}) {
  const [distance, setDistance] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const set = () => {
    const typed = parseQuantity(distance, 'length', METRES)
    if (!typed.ok) return setProblem(`${typed.problem} ${typed.remedy}`)
    if (typed.si < 1) return setProblem('Take two places that lie farther apart than a metre.')
    return onScale(typed.si)
  }
  if (marked < 2)
    return <p className="mb-1 text-[13.5px]">Click two places whose distance is known: {marked} of 2.</p>
  return (
    <div className="mb-1 flex flex-wrap items-center gap-2 text-[13.5px]">
      <label className="flex items-center gap-1.5">
        They lie
        <input
          aria-label="Distance between both, m"
          value={distance}
          onChange={(event) => {
            setDistance(event.target.value)
            setProblem(null)
          }}
          onKeyDown={(event) => {
            // Enter here is about the scale, and doesn't send the form that it lies in.
            if (event.key !== 'Enter') return
            event.preventDefault()
            set()
          }}
          className="w-24 rounded-[3px] border border-edge bg-panel px-2 py-1"
          inputMode="decimal"
          aria-invalid={problem !== null}
        />
        m apart
      </label>
      <Button onClick={set}>That is its scale</Button>
      {problem && (
        <p role="alert" className="basis-full text-oxide">
          {problem}
        </p>
      )}
    </div>
  )
}
