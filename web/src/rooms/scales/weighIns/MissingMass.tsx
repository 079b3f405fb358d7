import { stagesUpTo } from '@bold-ballast/model'
import { newLine, type Edit, type Swap, type WeighIn, putEdit } from '@bold-ballast/contract'
import {
  explainMissing,
  formatKnown,
  formatQuantity,
  type Explanation,
  type WeighInReading,
  itemWhere,
} from '@bold-ballast/core'
import { format, parseISO } from 'date-fns'
import { toast } from '../../../ui/toast'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { ShowWorking } from '../../../ui/ShowWorking'
import { PlanView } from '../PlanView'

const FOUND = 'Found by the scales'
/** Where nobody can say how high it sits: about where most things sit. */
const HEIGHT = 0.4

/** What the books lack, where on the car it sits, what it may be, and a way to book it. */
export function MissingMass({ weighIn, reading }: { weighIn: WeighIn; reading: WeighInReading }) {
  const { view, ledger, stage, unit, save, built } = useBuild()
  const { missing } = reading
  if (!missing) return null
  const mass = unit('mass')
  const length = unit('length')
  const heavier = missing.mass.value > 0
  const amount = formatKnown(Math.abs(missing.mass.value), missing.mass.sigma, mass)
  const along = formatKnown(missing.x.value, missing.x.sigma, length)
  const across = formatKnown(Math.abs(missing.y.value), missing.y.sigma, length)
  const upTo = stagesUpTo(ledger.stages, stage.id)
  const lines = upTo.flatMap((s) => ledger.swapsOf(s.id).flatMap((swap) => swap.lines))
  const explanations = explainMissing(
    missing,
    lines
      .filter((l) => !l.fitted && l.kind !== 'moved')
      .map((l) => ({
        id: l.id,
        name: l.name,
        mass: (l.kind === 'off' ? -1 : 1) * l.mass * l.quantity,
        at: l.position,
      })),
    [...lines, ...view.loads].map((l) => l.name),
    built.wheelbase,
  )

  const book = (name: string) => {
    const swaps = ledger.swapsOf(stage.id)
    const existing = swaps.find((s) => s.swap.name === FOUND)
    const swap: Omit<Swap, 'version'> = {
      id: existing?.swap.id ?? crypto.randomUUID(),
      stageId: stage.id,
      name: FOUND,
      order: existing?.swap.order ?? (swaps.at(-1)?.swap.order ?? -1) + 1,
      workTime: null,
      cost: null,
      note: `From the weigh-in of ${weighIn.date}`,
    }
    const line = newLine({
      id: crypto.randomUUID(),
      swapId: swap.id,
      kind: heavier ? 'on' : 'off',
      name,
      system: 'other',
      mass: Math.abs(missing.mass.value),
      sigma: missing.mass.sigma,
      grade: 'guess',
      fitted: true,
      position: missing.canPlace ? { x: missing.x.value, y: missing.y.value, z: HEIGHT } : null,
      order: existing?.lines.length ?? 0,
    })
    const edits: Edit[] = [...(existing ? [] : [putEdit(view, 'swap', swap)]), putEdit(view, 'line', line)]
    const faults = save(`Book ${name}`, edits)
    if (faults) toast.error(faults[0].problem)
    else toast(`${name} is booked in ${FOUND}, as a guess until it is weighed by itself.`)
  }
  const accept = (explanation: Explanation) => {
    if (explanation.kind === 'unbooked') return book(capital(explanation.name))
    const line = itemWhere(view.lines, (l) => l.id === explanation.id)
    const { version: _, ...record } = line
    save(`Say ${line.name} is done`, [
      putEdit(view, 'line', { ...record, fitted: true, changedOn: weighIn.date }),
    ])
  }
  const says = missing.canPlace
    ? `${amount.figure} ${amount.unit} ${heavier ? 'not in the books' : 'too much in the books'}, ${along.figure} ±${along.spread} ${along.unit} behind the front axle, ${across.figure} ±${across.spread} ${across.unit} ${missing.y.value >= 0 ? 'left' : 'right'} of the middle`
    : `${amount.figure} ${amount.unit} ${heavier ? 'not in the books' : 'too much in the books'}, place unknown`
  return (
    <section aria-label="What the books lack" className="mt-6 max-w-[760px]">
      <h2 className="flex items-center gap-2 text-[22px]">
        {heavier ? 'What the books lack' : 'What the books have too much'}
        <ShowWorking
          working={{
            title: 'Where the difference sits',
            formula: 'Δm = m₂ − m₁, x* = (m₂x₂ − m₁x₁) / Δm, the same for y',
            inputs: [
              ['Scales', formatQuantity(reading.result.total.value, mass)],
              ['Books, same condition', formatQuantity(reading.books.mass.value, mass)],
              ['Books’ centre', formatQuantity(reading.books.centre.x.value, length)],
            ],
            result: says,
            source: 'Statics; the region after Fieller, J. R. Stat. Soc. B 16 (1954) 175',
          }}
        />
      </h2>
      <div className="mt-2 grid gap-5 @lg:grid-cols-[220px_1fr]">
        <PlanView
          build={built}
          says={says}
          region={missing.region}
          marks={[
            ...(missing.canPlace
              ? [
                  {
                    at: { x: missing.x.value, y: missing.y.value },
                    label: `${amount.figure} ${amount.unit}`,
                    tone: 'ochre' as const,
                  },
                ]
              : []),
          ]}
        />
        <div>
          <p className="text-[15px]">
            {reading.missingSince &&
              `Since the weigh-in of ${format(parseISO(reading.missingSince), 'd MMM yyyy')}, which balanced: `}
            <b className="figure text-[22px]">{amount.figure}</b>{' '}
            <span className="unit text-[15px]">
              ±{amount.spread} {amount.unit}
            </span>
            {missing.canPlace ? (
              <>
                , {along.figure} ±{along.spread} {along.unit} behind the front axle and {across.figure} ±
                {across.spread} {across.unit} to the {missing.y.value >= 0 ? 'left' : 'right'}. The dashed
                outline holds it nine times in ten.
              </>
            ) : (
              <>
                . Can’t place it: its place is less certain than the car is long.{' '}
                {weighIn.readings.method === 'axles'
                  ? 'A weighbridge reads no sides; four pads would tell more.'
                  : 'Finer pads, or more of the ledger weighed, would narrow it.'}
              </>
            )}
          </p>
          <h3 className="mt-3 text-[17px]">What it may be</h3>
          {explanations.length === 0 && (
            <p className="text-muted">No open line and nothing usual fits. Look where the outline lies.</p>
          )}
          <ul>
            {explanations.map((e) => (
              <li key={e.id} className="flex items-center justify-between gap-2 border-t border-line py-1.5">
                <span>
                  {e.kind === 'open' ? (
                    <>
                      <b className="font-medium">{e.name}</b> is planned and not marked done,{' '}
                      {formatQuantity(Math.abs(e.mass), mass)}
                    </>
                  ) : (
                    <>
                      Nothing is booked for <b className="font-medium">{e.name}</b>, usually about{' '}
                      {formatQuantity(e.mass, mass, 0)}
                    </>
                  )}
                </span>
                <Button onClick={() => accept(e)}>{e.kind === 'open' ? 'It is done' : 'Book it'}</Button>
              </li>
            ))}
            <li className="border-t border-line py-2">
              <Button onClick={() => book('Not found yet')}>
                Book {amount.figure} {amount.unit} as not found yet
              </Button>
            </li>
          </ul>
        </div>
      </div>
    </section>
  )
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)
