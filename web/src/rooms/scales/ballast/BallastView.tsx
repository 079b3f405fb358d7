import { format, parseISO } from 'date-fns'
import type { WeighIn } from '@bold-ballast/contract'
import {
  carriedBy,
  formatFigure,
  formatQuantity,
  leftShare,
  springsOf,
  type BallastInputs,
  type BallastLimit,
  type BallastPlan,
  type WeighInReading,
  itemAt,
} from '@bold-ballast/core'
import { useMemo, useState } from 'react'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { TableHead } from '../../../ui/TableHead'
import { BallastSheet, type Ballast } from './BallastSheet'
import { MoveWhatIf } from './MoveWhatIf'
import { PlanView } from '../PlanView'
import { useBallastPlan } from './useBallastPlan'
import { bareCar, type BareCar } from '@bold-ballast/model'

const takenFrom = ({ weighed }: BareCar) =>
  weighed
    ? `as weighed on ${format(parseISO(weighed.date), 'd MMM yyyy')}${weighed.condition.driver > 0 ? ', driver aboard' : ', no driver'}`
    : 'by the books, in the reference condition; weigh it on pads to be sure'

/** Ballast at allowed spots for the least added mass, and what moving something would do. */
export function BallastView({
  weighIn,
  reading,
}: {
  weighIn: WeighIn | null
  reading: WeighInReading | null
}) {
  const { view, built } = useBuild()
  const [editing, setEditing] = useState(false)
  const { summary } = useLiveBuild()
  const car = useMemo(
    () => bareCar(view.build, weighIn, reading, summary),
    [view.build, weighIn, reading, summary],
  )
  const { ballast } = built
  return (
    <>
      {ballast ? (
        <Plan ballast={ballast} car={car} onEdit={() => setEditing(true)} />
      ) : (
        <EmptyRoom
          title="No ballast planned"
          action={
            <Button look="main" onClick={() => setEditing(true)}>
              Say what it should reach
            </Button>
          }
        >
          Give a minimum mass or a share to reach, the spots where plates may be bolted, and the plates there
          are. You get the least ballast that does it, plate by plate, or the limit that stands in the way.
        </EmptyRoom>
      )}
      <MoveWhatIf car={car} />
      {editing && <BallastSheet onClose={() => setEditing(false)} />}
    </>
  )
}

const LIMIT: Record<BallastLimit, string> = {
  minimumMass: 'minimum mass',
  front: 'front share',
  left: 'left share',
  cross: 'cross share',
}

function Plan({ ballast, car, onEdit }: { ballast: Ballast; car: BareCar; onEdit: () => void }) {
  const { built: build, unit } = useBuild()
  const mass = unit('mass')
  const share = unit('share')
  const track = (build.trackFront + build.trackRear) / 2
  const springs = springsOf(build, car.x, car.mass)
  const inputs: BallastInputs = {
    mass: car.mass,
    centre: { x: car.x, y: car.y },
    ...(car.cross === undefined ? {} : { cross: car.cross }),
    wheelbase: build.wheelbase,
    track,
    spots: ballast.spots.map(({ id, x, y, limit }) => {
      const carried = carriedBy(springs, { left: y - car.y, forward: car.x - x })
      return { id, at: { x, y }, limit, crossShare: carried.frontRight + carried.rearLeft }
    }),
    plates: ballast.plates,
    minimumMass: ballast.minimumMass,
    front: ballast.front,
    left: ballast.left,
    crossTarget: ballast.cross,
  }
  const outcome = useBallastPlan(inputs)
  const plan: BallastPlan | null =
    outcome && 'feasible' in outcome ? (outcome.feasible ? outcome.plan : outcome.nearest) : null
  const before = {
    front: 1 - car.x / build.wheelbase,
    left: leftShare({ value: car.y, sigma: 0, grade: 'measured' }, track).value,
  }
  const limitWords = (limit: BallastLimit, to: number) =>
    `${LIMIT[limit]} would have to be ${formatQuantity(to, limit === 'minimumMass' ? mass : share)}`
  const hung = (id: string) =>
    (plan?.plates[id] ?? []).reduce((sum, n, p) => sum + n * itemAt(ballast.plates, p).mass, 0)
  const rows: readonly (readonly [string, string, string])[] = plan
    ? [
        ['Mass', formatQuantity(car.mass, mass), formatQuantity(plan.mass, mass)],
        ['Front share', formatQuantity(before.front, share), formatQuantity(plan.front, share)],
        ['Left share', formatQuantity(before.left, share), formatQuantity(plan.left, share)],
        ...(plan.cross !== null && car.cross !== undefined
          ? [['Cross share', formatQuantity(car.cross, share), formatQuantity(plan.cross, share)] as const]
          : []),
      ]
    : []
  return (
    <section aria-label="Ballast plan" className="max-w-[860px]" data-testid="ballast-plan">
      <p className="mb-3 flex flex-wrap items-center gap-x-4 text-muted">
        <span>The car is taken {takenFrom(car)}.</span>
        <Button look="quiet" className="!px-0" onClick={onEdit}>
          Change targets, spots and plates
        </Button>
      </p>
      {outcome && 'problem' in outcome && <p className="text-oxide">{outcome.problem}.</p>}
      {outcome && 'feasible' in outcome && !outcome.feasible && (
        <p role="status" className="mb-3 border-l-4 border-oxide pl-3">
          <b className="text-oxide">These limits can’t all be met.</b> The{' '}
          {outcome.relax.map(({ limit, to }) => limitWords(limit, to)).join(', and the ')}; or add spots or
          plates. Below is what comes nearest.
        </p>
      )}
      {plan && (
        <div className="grid gap-6 @lg:grid-cols-[220px_1fr]">
          <PlanView
            build={build}
            says={`Ballast: ${ballast.spots.map((s) => `${formatQuantity(hung(s.id), mass)} at ${s.name}`).join(', ')}`}
            marks={ballast.spots.map((s) => ({
              at: s,
              label: formatFigure(hung(s.id), mass),
              tone: hung(s.id) > 0 ? ('blued' as const) : ('ochre' as const),
            }))}
          />
          <div>
            <p className="text-[16px]">
              Add <b className="figure text-[24px]">{formatQuantity(plan.added, mass)}</b>
            </p>
            <table className="mt-2 w-full">
              <TableHead
                columns={[
                  { says: 'Spot' },
                  { says: 'Plates' },
                  { says: `Together (${mass.symbol})`, figures: true },
                ]}
              />
              <tbody>
                {ballast.spots.map((spot) => (
                  <tr key={spot.id} className="border-b border-line">
                    <th scope="row" className="py-1.5 text-left font-medium">
                      {spot.name}
                    </th>
                    <td>
                      {(plan.plates[spot.id] ?? [])
                        .map(
                          (n, p) => n > 0 && `${n} × ${formatQuantity(itemAt(ballast.plates, p).mass, mass)}`,
                        )
                        .filter(Boolean)
                        .join(', ') || 'none'}
                    </td>
                    <td className="text-right">{formatFigure(hung(spot.id), mass)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <table className="mt-4 w-full">
              <TableHead
                columns={[
                  { says: 'Measure' },
                  { says: 'Now', figures: true },
                  { says: 'With it', figures: true },
                ]}
              />
              <tbody>
                {rows.map(([name, now, then]) => (
                  <tr key={name} className="border-b border-line">
                    <th scope="row" className="py-1.5 text-left font-medium">
                      {name}
                    </th>
                    <td className="text-right text-muted">{now}</td>
                    <td className="figure text-right text-[17px]">{then}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <p className="mt-2 text-[13px] text-muted">
              Bolt ballast through the structure with large washers or plates, as the event’s rules ask. Loose
              ballast is a missile.
            </p>
          </div>
        </div>
      )}
    </section>
  )
}
