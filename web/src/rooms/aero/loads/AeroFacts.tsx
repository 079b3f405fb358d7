import { formatNumber, fromSi, type AeroBalance, type TopSpeed } from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'

/** Loads by axle, the power that drag takes, and the top speed, beside what they were at the stage before. */
export function AeroFacts({
  balance,
  before,
  load,
  dragPower,
  top,
  bareTop,
}: {
  balance: AeroBalance
  before: AeroBalance | null
  /** What a downforce area presses with, and what a drag area takes, in the person’s units. */
  load: (area: number) => number
  dragPower: (area: number) => number
  top: TopSpeed | null
  /** With nothing but the body. */
  bareTop: TopSpeed | null
}) {
  const { unit } = useBuild()
  const velocity = unit('velocity')
  const mass = unit('mass')
  const power = unit('power')
  return (
    <dl className="my-3 flex flex-wrap gap-x-8 gap-y-2" data-testid="aero-facts">
      {(['front', 'rear'] as const).map((end) => (
        <div key={end}>
          <dt className="text-[12.5px] text-muted first-letter:uppercase">{end} axle</dt>
          <dd className="figure text-[22px]">
            {formatNumber(load(balance[end]), 0)} <span className="unit">{mass.symbol}</span>
            {before && (
              <span className="unit">
                {' '}
                {load(balance[end] - before[end]) >= 0 ? '+' : '−'}
                {formatNumber(Math.abs(load(balance[end] - before[end])), 0)} on the stage before
              </span>
            )}
          </dd>
        </div>
      ))}
      <div>
        <dt className="text-[12.5px] text-muted">Drag takes</dt>
        <dd className="figure text-[22px]">
          {formatNumber(dragPower(balance.drag), 0)} <span className="unit">{power.symbol}</span>
          {before && (
            <span className="unit">
              {' '}
              {balance.drag >= before.drag ? '+' : '−'}
              {formatNumber(Math.abs(dragPower(balance.drag - before.drag)), 0)} on the stage before
            </span>
          )}
        </dd>
      </div>
      {top && (
        <div>
          <dt className="text-[12.5px] text-muted">Top speed</dt>
          <dd className="figure text-[22px]">
            {formatNumber(fromSi(top.speed, velocity), 0)} <span className="unit">{velocity.symbol}</span>
            {bareTop && bareTop.speed - top.speed > 0.2 && (
              <span className="unit">
                {' '}
                {formatNumber(fromSi(bareTop.speed - top.speed, velocity), 0)} less than bare
              </span>
            )}
          </dd>
        </div>
      )}
    </dl>
  )
}
