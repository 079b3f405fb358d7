import type { Drive } from '@bold-ballast/contract'
import {
  formatNumber,
  fromSi,
  type Gearing,
  type GearingGoal,
  type GearingTrial,
  type SolvedGearing,
  type Varied,
} from '@bold-ballast/core'
import { proxy } from 'comlink'
import { useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { QuantityField } from '../../../ui/QuantityField'
import { useGearingWorkers } from '../useGearingWorkers'

export type Solved = SolvedGearing

/** Which final drive, or which tyre, hits a wanted top speed, a window, the quickest 402 m or the fewest shifts. */
export function SolveGearing({
  gearing,
  trial,
  layout,
  onSolved,
}: {
  gearing: Gearing
  trial: GearingTrial
  layout: Drive['layout']
  onSolved: (solved: Solved) => void
}) {
  const { unit } = useBuild()
  const velocity = unit('velocity')
  const length = unit('length')
  const [vary, setVary] = useState<Varied>('finalDrive')
  const [wanted, setWanted] = useState<number | null>(null)
  const [window, setWindow] = useState<{ entry: number | null; exit: number | null }>(
    () => layout ?? { entry: null, exit: null },
  )
  const [share, setShare] = useState<number | null>(null)
  const [says, setSays] = useState<string | null>(null)
  const workers = useGearingWorkers(1)
  const solve = async (goal: GearingGoal, words: string) => {
    setShare(0)
    setSays(null)
    const answer = await workers.ask().solve(trial, gearing, goal, vary, proxy(setShare))
    setShare(null)
    if ('problem' in answer) return setSays(`${answer.problem.replace(/^./, (c) => c.toUpperCase())}.`)
    const { value, reaches } = answer
    const reached = {
      layout: `one gear then covers ${formatNumber(reaches * 100, 0)} % of it`,
      quarterMile: `402 m in ${formatNumber(reaches, 2)} s`,
      topSpeed: `${formatNumber(fromSi(reaches, velocity), 0)} ${velocity.symbol} at the limiter in the last gear`,
      fewestShifts: `${formatNumber(reaches, 0)} shifts a lap`,
    }[goal.kind]
    const found =
      vary === 'finalDrive'
        ? `final drive ${formatNumber(value, 2)}`
        : `a rolling radius of ${formatNumber(fromSi(value, length), length.decimals)} ${length.symbol}`
    setSays(`For ${words}: ${found}, ${reached}. It stands above as one more choice.`)
    onSolved(answer)
  }
  const stop = () => {
    workers.stop()
    setShare(null)
    setSays('Stopped.')
  }
  const { entry, exit } = window
  return (
    <section aria-label="Solve for a gearing" className="mt-4 border-t border-line pt-3">
      <h2 className="text-[19px]">Which one hits the mark?</h2>
      <fieldset className="mt-1 flex gap-4 text-[14px]">
        <legend className="sr-only">What is changed</legend>
        {(['finalDrive', 'tyre'] as const).map((v) => (
          <label key={v} className="flex items-center gap-1.5">
            <input
              type="radio"
              name="vary"
              className="accent-blued"
              checked={vary === v}
              onChange={() => setVary(v)}
            />
            {v === 'finalDrive' ? 'change the final drive' : 'change the tyre'}
          </label>
        ))}
      </fieldset>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <div className="w-[150px]">
          <QuantityField
            label="Top speed wanted"
            quantity="velocity"
            unit={velocity}
            value={wanted}
            onChange={setWanted}
          />
        </div>
        <Button
          disabled={!wanted || !(wanted > 0)}
          onClick={() => wanted && void solve({ kind: 'topSpeed', speed: wanted }, 'the top speed wanted')}
        >
          Solve for it
        </Button>
        <div className="w-[130px]">
          <QuantityField
            label="Window from"
            quantity="velocity"
            unit={velocity}
            value={exit}
            onChange={(v) => setWindow({ ...window, exit: v })}
          />
        </div>
        <div className="w-[130px]">
          <QuantityField
            label="Window to"
            quantity="velocity"
            unit={velocity}
            value={entry}
            onChange={(v) => setWindow({ ...window, entry: v })}
          />
        </div>
        <Button
          disabled={!entry || !exit}
          onClick={() =>
            entry && exit && void solve({ kind: 'layout', entry, exit }, 'the window in one gear')
          }
        >
          That window in one gear
        </Button>
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <Button onClick={() => void solve({ kind: 'quarterMile' }, 'the quickest 402 m')}>
          Quickest 402 m
        </Button>
        <Button
          disabled={!trial.lap}
          onClick={() => void solve({ kind: 'fewestShifts' }, 'the fewest shifts a lap')}
        >
          Fewest shifts a lap
        </Button>
        {share !== null && (
          <span className="flex items-center gap-2">
            <progress value={share} max={1} aria-label="Trying gearings" />
            {Math.round(share * 100)} % <Button onClick={stop}>Stop</Button>
          </span>
        )}
      </div>
      <p role="status" className="mt-2" data-testid="solved">
        {says}
      </p>
      <p className="text-[13px] text-muted">
        Final drives are tried from 2.4 to 6.0, rolling radii from 240 to 360 mm. The straight line knows grip
        but no wheelspin: where the tyres spin in first, a taller drive looks quicker than it launches.
        {!trial.lap && ' Shifts a lap want the speeds of a course: note them under Shelf.'}
      </p>
    </section>
  )
}
