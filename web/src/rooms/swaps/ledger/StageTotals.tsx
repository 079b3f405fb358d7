import { formatFigure, formatNumber, sayKnown, totalsOfStage } from '@bold-ballast/core'
import { namedMass } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { Figure } from '../../../ui/Figure'
import { ShowWorking } from '../../../ui/ShowWorking'
import { useWhy } from '../../../store/useWhy'

/** The change of the stage, banked and pending apart, moving with every key. */
export function StageTotals() {
  const { stage, view, unit } = useBuild()
  const why = useWhy()
  const { ledger, summary } = useLiveBuild()
  const mass = unit('mass')
  const swaps = ledger.swapsOf(stage.id)
  const { net, banked, pending } = useMemo(() => totalsOfStage(swaps.map((s) => s.counted)), [swaps])
  const sign = (v: number) => `${v > 0 ? '+' : ''}${formatFigure(v, mass)} ${mass.symbol}`
  return (
    <dl
      data-testid="stage-totals"
      className="grid grid-cols-2 gap-x-6 gap-y-2 border-y border-line py-2 sm:flex sm:flex-wrap"
    >
      <div>
        <dt className="flex items-center gap-1 text-[12.5px] text-muted">
          Change in this stage
          <ShowWorking
            working={{
              title: 'Change in this stage',
              formula: 'Σ on + Σ carried over − Σ off; variances add',
              inputs: [
                ['Banked', sign(banked.value)],
                ['Pending', sign(pending.value)],
                ['Lines', String(swaps.reduce((n, s) => n + s.lines.length, 0))],
              ],
              result: sign(net.value),
              source: 'Common practice; uncertainty by JCGM 100:2008, section 5.1',
            }}
          />
        </dt>
        <dd className="text-[21px]">
          <Figure known={net} unit={mass} signed />
        </dd>
      </div>
      <div>
        <dt className="text-[12.5px] text-muted">Banked: weighed and fitted</dt>
        <dd className="text-[21px] text-zinc">
          <Figure known={banked} unit={mass} signed />
        </dd>
      </div>
      <div>
        <dt className="text-[12.5px] text-muted">Pending</dt>
        <dd className="text-[21px] text-ochre">
          <Figure known={pending} unit={mass} signed />
        </dd>
      </div>
      <div>
        <dt className="flex items-center gap-1 text-[12.5px] text-muted">
          Car at the end of the stage, by the books
          <ShowWorking
            working={{
              title: 'Mass by the books',
              formula: 'as bought + Σ on + Σ carried over − Σ off, in the reference condition',
              inputs: [
                ['As bought', `${formatFigure(view.build.baseMass, mass)} ${mass.symbol}`],
                [
                  'Fuel as bought',
                  `${formatFigure(view.build.baseFuel, unit('volume'))} ${unit('volume').symbol}`,
                ],
                [
                  'Fuel in the reference condition',
                  `${formatFigure(view.build.reference.fuel, unit('volume'))} ${unit('volume').symbol}`,
                ],
                [
                  'Driver',
                  view.build.reference.driver > 0
                    ? `${formatFigure(view.build.reference.driver, mass)} ${mass.symbol}`
                    : 'not aboard',
                ],
              ],
              result: sayKnown(summary.planned.mass, mass),
              source: 'Statics; uncertainty by JCGM 100:2008, section 5.1',
              why: why(() => namedMass(view, stage.id, 'planned'), mass),
            }}
          />
        </dt>
        <dd className="text-[21px]" data-testid="stage-mass">
          <Figure known={summary.planned.mass} unit={mass} />
        </dd>
      </div>
      <div>
        <dt className="text-[12.5px] text-muted">Measured or proven</dt>
        <dd className="figure text-[21px]">
          {formatNumber(summary.planned.measuredShare * 100, 0)} <span className="unit">% of it</span>
        </dd>
      </div>
    </dl>
  )
}
