import { formatNumber } from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'

const MOST = 12

/** Everything that sits behind a cut, before it is saved: what comes forward with one entry. */
export function WhatMoves({ at, by }: { at: number; by: number }) {
  const { view, ledger, stage, built } = useBuild()
  const upTo = ledger.stages.slice(0, ledger.stages.indexOf(stage))
  const lines = upTo
    .flatMap((s) => ledger.swapsOf(s.id).flatMap((swap) => swap.lines))
    .filter((l) => l.kind !== 'off')
    .flatMap((l) => {
      const place = l.movedTo ?? l.position
      return place && place.x > at ? [l.name] : []
    })
  const earlier = new Set(upTo.map((s) => s.id))
  const things = [
    ...lines,
    ...view.aeroElements.filter((e) => earlier.has(e.stageId) && e.x > at).map((e) => e.name),
    ...view.loads.filter((l) => l.position.x > at).map((l) => l.name),
    ...(view.build.ballast?.spots ?? []).filter((s) => s.x > at).map((s) => s.name),
  ]
  const isWheelbase = at < built.wheelbase && at > 0
  return (
    <div
      className="col-span-2 rounded-[3px] border border-dashed border-edge p-3 text-[13.5px]"
      data-testid="what-moves"
    >
      <p className="font-medium">
        {things.length === 0 ? 'Nothing that has a place' : `${things.length} things`} behind{' '}
        {formatNumber(at * 1000, 0)} mm {things.length === 1 ? 'comes' : 'come'} {by > 0 ? 'forward' : 'back'}{' '}
        by {formatNumber(Math.abs(by) * 1000, 0)} mm from {stage.name} on
        {isWheelbase ? ', and the rear axle with them.' : '; the axles stay.'}
      </p>
      {things.length > 0 && (
        <p className="mt-1 text-muted">
          {things.slice(0, MOST).join(', ')}
          {things.length > MOST && ` and ${things.length - MOST} more`}.
        </p>
      )}
      <p className="mt-1 text-muted">
        What was cut out is a line of its own in Swaps. Tank and seat below were moved too: type over what is
        otherwise.
      </p>
    </div>
  )
}
