import { formatQuantity, itemAt, moveInCar, type Position } from '@bold-ballast/core'
import { useId, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { QuantityField } from '../../../ui/QuantityField'
import { stagesUpTo, type BareCar } from '@bold-ballast/model'

/** What moving a part does to the shares, before anybody drills a hole. */
export function MoveWhatIf({ car }: { car: BareCar }) {
  const { ledger, stage, unit, built } = useBuild()
  const build = built
  const upTo = stagesUpTo(ledger.stages, stage.id)
  const things: readonly { id: string; name: string; mass: number; at: Position }[] = [
    { id: 'driver', name: 'Driver', mass: build.driverMass, at: build.seat },
    { id: 'tank', name: 'Tank, 20 l in it', mass: 0.02 * build.fuelDensity, at: build.tank },
    ...upTo
      .flatMap((s) => ledger.swapsOf(s.id).flatMap((swap) => swap.lines))
      .flatMap(({ id, name, kind, mass, quantity, position, movedTo }) =>
        kind !== 'off' && position && mass * quantity >= 1
          ? [{ id, name, mass: mass * quantity, at: movedTo ?? position }]
          : [],
      )
      .sort((a, b) => b.mass - a.mass),
  ]
  const [chosen, setChosen] = useState('driver')
  const [back, setBack] = useState<number | null>(0.04)
  const [left, setLeft] = useState<number | null>(0)
  const id = useId()
  const thing = things.find((t) => t.id === chosen) ?? itemAt(things, 0)
  const moved = moveInCar({ ...build, ...car }, thing, { back: back || 0, left: left || 0 })
  const share = unit('share')
  const signed = (change: number) =>
    `${change > 0 ? '+' : ''}${formatQuantity(Math.abs(change) < 5e-6 ? 0 : change, share)}`
  return (
    <section aria-label="What if I move this" className="mt-6 max-w-[860px] border-t border-line pt-4">
      <h2 className="text-[20px]">What if I move this?</h2>
      <div className="mt-2 grid max-w-[620px] grid-cols-[1.6fr_1fr_1fr] items-start gap-3 max-md:grid-cols-2">
        <div className="flex flex-col gap-1 max-md:col-span-2">
          <label htmlFor={id} className="text-[13px] text-muted">
            What
          </label>
          <select
            id={id}
            value={thing.id}
            onChange={(e) => setChosen(e.target.value)}
            className="rounded-[3px] border border-edge bg-panel px-2 py-1"
          >
            {things.map((t) => (
              <option key={t.id} value={t.id}>
                {t.name}, {formatQuantity(t.mass, unit('mass'))}
              </option>
            ))}
          </select>
        </div>
        <QuantityField
          label="Back by"
          quantity="length"
          unit={unit('length')}
          value={back}
          onChange={setBack}
        />
        <QuantityField
          label="To the left by"
          quantity="length"
          unit={unit('length')}
          value={left}
          onChange={setLeft}
        />
      </div>
      <p aria-live="polite" className="mt-2 text-[16px]" data-testid="move-what-if">
        Front <b className="figure text-[20px]">{signed(moved.front)}</b>, left{' '}
        <b className="figure text-[20px]">{signed(moved.left)}</b>, cross{' '}
        <b className="figure text-[20px]">{signed(moved.cross)}</b>
        {!build.springs && <span className="text-muted"> (cross with 2 Hz at each corner assumed)</span>}
      </p>
    </section>
  )
}
