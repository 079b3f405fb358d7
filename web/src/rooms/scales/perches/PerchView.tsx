import { CORNER_WORDS, type WeighIn } from '@bold-ballast/contract'
import {
  CORNERS,
  formatFigure,
  formatNumber,
  formatQuantity,
  levelCost,
  perCorner,
  perchTurns,
  springsOf,
  type PerchPlan,
  type PerCorner,
  type WeighInReading,
} from '@bold-ballast/core'
import { useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { QuantityField } from '../../../ui/QuantityField'
import { ShowWorking } from '../../../ui/ShowWorking'
import { TableHead } from '../../../ui/TableHead'
import { sayTurns } from './sayTurns'
import { OntoNextSheet } from '../../../sheets/OntoNextSheet'
import { useLiveCar } from '../../../store/useCar'
import { SuspensionSheet } from '../../../sheets/SuspensionSheet'

/** From the corner weights of a weighing to turns at each perch, for a wanted cross weight. */
export function PerchView({ weighIn, reading }: { weighIn: WeighIn | null; reading: WeighInReading | null }) {
  const { unit, built } = useBuild()
  const [target, setTarget] = useState<number | null>(0.5)
  const [editing, setEditing] = useState(false)
  const build = built
  const mass = unit('mass')
  const share = unit('share')
  const corners = reading?.result.corners ?? null
  const sheet = editing && <SuspensionSheet onClose={() => setEditing(false)} />
  if (!weighIn || !reading || !corners) {
    return (
      <EmptyRoom title="No corner weights at this stage">
        Turns at the perches start from four corner weights. Log a weigh-in with pads first
        {reading ? '; a weighbridge reads axles only' : ''}.
      </EmptyRoom>
    )
  }
  if (!build.springs) {
    return (
      <>
        <EmptyRoom
          title="Springs and threads are not known yet"
          action={
            <Button look="main" onClick={() => setEditing(true)}>
              Type the springs
            </Button>
          }
        >
          From spring rates, motion ratios and the pitch of the perch threads come the turns at each corner
          that reach a wanted cross weight with the ride heights kept.
        </EmptyRoom>
        {sheet}
      </>
    )
  }
  const { front, rear, turnStep } = build.springs
  const springs = springsOf(build, reading.books.centre.x.value, reading.result.total.value)
  const byAxle = (pick: (axle: typeof front) => number) =>
    perCorner((c) => pick(c.startsWith('front') ? front : rear))
  let plan: PerchPlan | null = null
  let problem: string | null = null
  try {
    if (target !== null && !Number.isNaN(target))
      plan = perchTurns({
        springs,
        corners,
        target,
        motionRatio: byAxle((a) => a.motionRatio),
        pitch: byAxle((a) => a.threadPitch),
        step: turnStep,
      })
  } catch (error) {
    problem = (error as Error).message
  }
  const perLevel = levelCost(springs, 0.001)
  return (
    <section aria-label="Turns at the perches" className="max-w-[760px]">
      <div className="flex flex-wrap items-end gap-4">
        <div className="w-[170px]">
          <QuantityField
            label="Wanted cross share"
            quantity="share"
            unit={share}
            value={target}
            onChange={setTarget}
            problem={problem ?? undefined}
          />
        </div>
        <Button onClick={() => setTarget(0.5)}>50 %</Button>
        <Button look="quiet" onClick={() => setEditing(true)}>
          Change the springs
        </Button>
      </div>
      {plan && (
        <>
          <table className="mt-4 w-full" data-testid="perch-turns">
            <caption className="sr-only">Turns at each perch</caption>
            <TableHead
              columns={[
                { says: 'Corner' },
                { says: `Now (${mass.symbol})`, figures: true },
                { says: 'Turn the perch', figures: true },
                { says: 'exactly', figures: true },
                { says: `Then (${mass.symbol})`, figures: true },
              ]}
            />
            <tbody>
              {CORNERS.map((c) => (
                <tr key={c} className="border-b border-line">
                  <th scope="row" className="py-2 text-left font-medium">
                    {CORNER_WORDS[c]}
                  </th>
                  <td className="text-right">{formatFigure(corners[c], mass)}</td>
                  <td className="figure text-right text-[20px]">{sayTurns(plan.turns[c])}</td>
                  <td className="text-right text-[13px] text-muted">{formatNumber(plan.exact[c], 2)}</td>
                  <td className="text-right">{formatFigure(plan.after[c], mass)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-3 flex flex-wrap items-center gap-2 text-[16px]">
            Cross {formatQuantity(plan.crossBefore, share)} →{' '}
            <b className="figure text-[22px]">{formatQuantity(plan.crossAfter, share)}</b>
            <span className="text-muted">after rounding to {sayTurns(turnStep).split(' ')[0]} turn</span>
            <ShowWorking
              working={{
                title: 'Turns at the perches',
                formula: 'ΔF = K(δ − B·h), BᵀΔF = 0; turns = δ × motion ratio ÷ pitch',
                inputs: [
                  ['Wheel rate, front', formatQuantity(springs.rates.frontLeft, unit('stiffness'))],
                  ['Wheel rate, rear', formatQuantity(springs.rates.rearLeft, unit('stiffness'))],
                  ['Ride height moves by', `${formatNumber(plan.heave * 1000, 2)} mm`],
                ],
                result: formatQuantity(plan.crossAfter, share),
                source: 'A rigid body on four springs, tyre in series: statics',
              }}
            />
          </p>
          {CORNERS.some((c) => plan.turns[c] !== 0) && (
            <TurnsOntoSheet
              turns={plan.turns}
              pitch={byAxle((a) => a.threadPitch)}
              cross={`cross ${formatQuantity(plan.crossBefore, share)} to ${formatQuantity(plan.crossAfter, share)}`}
            />
          )}
          <ul className="mt-2 list-disc pl-5 text-[13.5px] text-muted">
            <li>The ride heights stay: the body doesn’t move, only the diagonals trade load.</li>
            <li>
              The front share ({formatQuantity(reading.result.front.value, share)})
              {reading.result.left &&
                ` and the left share (${formatQuantity(reading.result.left.value, share)})`}{' '}
              stay too. Perches can’t change them; only moving mass can.
            </li>
            <li>
              A pad 1 mm out of level reads {formatQuantity(perLevel, mass)} of cross that isn’t there,{' '}
              {formatQuantity(perLevel / reading.result.total.value, share)}.
              {reading.result.crossIsIndicative && ' And this weighing’s cross is only an indication.'}
            </li>
            <li>
              Turn the perches with the wheels hanging, the car on stands and bars disconnected. Settle it,
              weigh again.
            </li>
          </ul>
        </>
      )}
      {sheet}
    </section>
  )
}

/** The turns as perch heights of the next set-up sheet; where it says none yet, as words to turn by. */
function TurnsOntoSheet({ turns, pitch, cross }: { turns: PerCorner; pitch: PerCorner; cross: string }) {
  const { setup } = useLiveCar()
  const perches = setup?.value.perches
  const unsaid = CORNERS.filter((c) => turns[c] !== 0 && (perches?.[c] ?? null) === null)
  const words = CORNERS.filter((c) => turns[c] !== 0)
    .map((c) => `${CORNER_WORDS[c].toLowerCase()} ${sayTurns(turns[c])}`)
    .join(', ')
  return (
    <div className="mt-3 flex flex-wrap items-center gap-x-3 gap-y-1">
      <OntoNextSheet
        why={`Perches turned: ${words}`}
        meant={cross.replace(/^./, (letter) => letter.toUpperCase())}
        said="the perches as planned"
        change={(next) => ({
          perches: perCorner((c) => {
            const now = next.perches[c]
            return now === null ? null : now + turns[c] * pitch[c]
          }),
        })}
      >
        Put the turns on the next set-up sheet
      </OntoNextSheet>
      {unsaid.length > 0 && (
        <span className="text-[13.5px] text-muted">
          {setup ? `Sheet ${setup.value.order} doesn’t say` : 'No sheet says'} how far up{' '}
          {unsaid.length === 4 ? 'the perches stand' : 'some perches stand'}: there the turns are written as
          words.
        </span>
      )}
    </div>
  )
}
