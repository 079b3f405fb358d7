import { MOMENTS, type ChangeKey, type GainChanges, type Moment } from '@bold-ballast/model'
import { formatNumber, unitOf, type GainMeasure, itemAt } from '@bold-ballast/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { useBuild } from '../../../store/useBuild'
import { useSettledSummaries } from '../../../store/useSettledSummaries'
import { Choice } from '../../../ui/Choice'
import { Choose } from '../../../ui/Choose'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { GainSplitView } from './GainSplitView'
import { useGainChanges } from './useGainChanges'

/** What is split: one of two measures, or a lap of the course with this id. */
type Split = 'powerToWeight' | 'quarterMile' | (string & {})
const CHANGE: Record<ChangeKey, string> = {
  power: 'Power at the wheels',
  gears: 'Gears, tyre size and shifts',
  grip: 'Tyres that grip otherwise',
  drag: 'Drag and rolling',
  downforce: 'Downforce',
  sits: 'Where the mass sits',
  springs: 'Springs, bars and tracks',
  brakes: 'Brakes and how they are used',
  scales: 'What scales found beside the books',
}
const MOMENT: Record<Moment, string> = { standing: 'as it stands', finished: 'when it is finished' }
const WHEN = MOMENTS.map((m) => [m, MOMENT[m]] as const)
const RUN_LACKS: Record<NonNullable<GainChanges['runLacks']>, string> = {
  gearsOrCurve: '402 m and laps can be split once gears and a curve are known at both stages.',
  bridge: '402 m and laps can be split once a bridge joins the dynos that the two curves are from.',
}
const SECONDS = unitOf('time', 's')

/** Where the gain between two stages came from, split fairly among everything that was changed. */
export function GainView() {
  const { view, ledger, stage, unit } = useBuild()
  const summaries = useSettledSummaries()
  const at = ledger.stages.indexOf(stage)
  const [sinceId, setSince] = useState<string | null>(null)
  const [split, setSplit] = useState<Split>('powerToWeight')
  const earlier = ledger.stages.slice(0, at)
  const chosen = earlier.findIndex((s) => s.id === sinceId)
  const from = chosen >= 0 ? chosen : at - 1
  const course = view.courses.find((c) => c.id === split) ?? null
  const measure: GainMeasure = course ? 'lap' : split === 'quarterMile' ? 'quarterMile' : 'powerToWeight'
  const [wanted, setWanted] = useState<Moment | null>(null)
  const gain = useGainChanges(from, at, measure, course, wanted)
  const isHalf = [from, at].some((i) => (summaries[i]?.openLinesSoFar ?? 0) > 0)
  if (at === 0)
    return (
      <EmptyRoom title="Nothing to split yet">
        This is the first stage. At a later one, the gain since an earlier stage is split among its swaps,
        power, gears, tyres and drag.
      </EmptyRoom>
    )
  const moments = isHalf && (
    <Choice label="The car" value={gain?.moment ?? 'finished'} options={WHEN} onChange={setWanted} />
  )
  const since = (
    <Choose
      label="Since"
      wide={false}
      value={itemAt(ledger.stages, from).id}
      options={earlier.map((s, i) => [s.id, `${i + 1} ${s.name}`] as const)}
      onChange={setSince}
    />
  )
  const found = gain?.found ?? null
  if (!gain || !found || found.changes.length === 0)
    return (
      <section aria-label="Gain split">
        <div className="no-print mb-3 flex flex-wrap items-end gap-x-5 gap-y-2">
          {since}
          {moments}
        </div>
        {gain?.dynos ? (
          <div className="max-w-[720px] border-l-4 border-oxide pl-4" data-testid="two-dynos">
            <h2 className="text-[19px] text-oxide">Two dynos: not subtracted</h2>
            <p className="mt-1">
              The one stage was pulled on {gain.dynos[0]}, the other on {gain.dynos[1]}. They read the same
              car differently, by more than most gains. The same car in the same tune, run on both, would
              bridge them:{' '}
              <Link className="text-blued hover:underline" to="../dyno?view=compare" relative="path">
                bridge them under Compare
              </Link>
              {isHalf && ', or split the gain by the plan'}.
            </p>
          </div>
        ) : (
          <EmptyRoom title="Nothing to split yet">
            {found
              ? 'Nothing was changed between these stages.'
              : 'One of the stages has no wheel power, planned or pulled.'}
          </EmptyRoom>
        )}
      </section>
    )
  const canRun = found.runLacks === null
  const shown = canRun ? measure : 'powerToWeight'
  const measures = [
    ['powerToWeight', 'Power to weight'] as const,
    ['quarterMile', '402 m'] as const,
    ...[...view.courses].sort((a, b) => a.order - b.order).map((c) => [c.id, `Lap, ${c.name}`] as const),
  ]
  const nameOf = (id: string) => view.swaps.find((s) => s.id === id)?.name ?? CHANGE[id as ChangeKey]
  return (
    <section aria-label="Gain split">
      <div className="no-print flex flex-wrap items-end gap-x-5 gap-y-2">
        {since}
        {moments}
        {canRun && (
          <Choice
            label="Of"
            value={measures.some(([key]) => key === split) ? split : 'powerToWeight'}
            options={measures}
            onChange={setSplit}
          />
        )}
      </div>
      {found.runLacks && <p className="mt-2 text-[13.5px] text-muted">{RUN_LACKS[found.runLacks]}</p>}
      <GainSplitView
        key={`${from} ${shown} ${course?.id ?? ''} ${gain.moment}`}
        found={found}
        measure={shown}
        unit={shown === 'powerToWeight' ? unit('powerToWeight') : SECONDS}
        stages={[
          itemAt(ledger.stages, from).name,
          isHalf ? `${stage.name}, ${MOMENT[gain.moment]}` : stage.name,
        ]}
        nameOf={nameOf}
        filename={`${view.build.name} gain ${stage.name}`}
      />
      {canRun && view.courses.length === 0 && (
        <p className="mt-2 text-[13.5px] text-muted">
          <Link className="text-blued hover:underline" to="../driveline?view=shelf" relative="path">
            Type the line of a course
          </Link>{' '}
          to split a lap of it too.
        </p>
      )}
      <p className="mt-3 text-[13px] text-muted">
        {formatNumber(found.changes.length, 0)} changes. What one adds depends on which were made before it;
        each gets the mean of what it adds over all orders. The air is that of the later stage throughout.
      </p>
    </section>
  )
}
