import type { TiltTest } from '@bold-ballast/contract'
import { formatQuantity, tiltHeight } from '@bold-ballast/core'
import { format, parseISO } from 'date-fns'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { Figure } from '../../../ui/Figure'
import { GradeMark } from '../../../ui/grades'
import { ShowWorking } from '../../../ui/ShowWorking'

/** Height of the centre of mass: by tilting, beside what the books say. */
export function HeightView({ onOpen }: { onOpen: (test: TiltTest | 'new') => void }) {
  const { view, stage, unit, removeSaying, built } = useBuild()
  const { summary } = useLiveBuild()
  const length = unit('length')
  const tests = view.tiltTests.filter((t) => t.stageId === stage.id)
  if (tests.length === 0) {
    return (
      <EmptyRoom
        title="Not tilted at this stage"
        action={
          <Button look="main" onClick={() => onOpen('new')}>
            Log a tilt test
          </Button>
        }
      >
        Raise one axle with the suspension locked, read what the other gains, and the height of the centre of
        mass follows; several lifts tell how well. The books say{' '}
        <Figure known={summary.asFitted.centre.z} unit={length} /> from the places typed in the ledger.
        <p className="mt-2">
          Raising a car can kill. Use a lift or stands made for it, chock the wheels, lock the suspension, and
          let nobody under or in it. The event’s and the workshop’s rules come first.
        </p>
      </EmptyRoom>
    )
  }
  const remove = (test: TiltTest) => removeSaying('tiltTest', test.id, 'a tilt test', 'Tilt test removed.')
  return (
    <section aria-label="Height of the centre of mass" className="max-w-[760px]">
      {tests.map((test) => {
        const height = tiltHeight({ ...test, wheelbase: built.wheelbase })
        return (
          <article key={test.id} className="border-b border-line py-3">
            <p className="flex flex-wrap items-center gap-3">
              <Figure known={height} unit={length} className="text-[24px]" />
              <GradeMark grade={height.grade} word />
              <ShowWorking
                working={{
                  title: 'Height by tilting',
                  formula: 'h = ΔW·L / (W·tan θ) + r, sin θ = H/L; least squares over the lifts',
                  inputs: [
                    ['Whole car', formatQuantity(test.mass, unit('mass'))],
                    ['Wheelbase', formatQuantity(built.wheelbase, length)],
                    ...test.tilts.map(
                      (t) =>
                        [
                          `Raised ${formatQuantity(t.lift, length)}`,
                          `gains ${formatQuantity(t.gain, unit('mass'))}`,
                        ] as const,
                    ),
                  ],
                  result: formatQuantity(height.value, length),
                  source: 'Milliken & Milliken, Race Car Vehicle Dynamics, chapter 18 (from memory)',
                }}
              />
              <span className="text-muted">
                {format(parseISO(test.date), 'd MMM yyyy')}, {test.raised} raised, {test.tilts.length}{' '}
                {test.tilts.length === 1 ? 'lift' : 'lifts'}
              </span>
            </p>
            {test.note && <p className="text-[13.5px] text-muted">{test.note}</p>}
            <p className="mt-1 text-[13.5px]">
              The books say <Figure known={summary.asFitted.centre.z} unit={length} />,{' '}
              {formatQuantity(Math.abs(height.value - summary.asFitted.centre.z.value), length)}{' '}
              {height.value > summary.asFitted.centre.z.value ? 'lower' : 'higher'}.
            </p>
            <p className="flex gap-1">
              <Button look="quiet" className="!px-0" onClick={() => onOpen(test)}>
                Change
              </Button>
              <Button look="quiet" className="!text-muted" onClick={() => remove(test)}>
                Remove
              </Button>
            </p>
          </article>
        )
      })}
    </section>
  )
}
