import { useCars } from '../../../store/useCar'
import {
  CORRECTION_NAMES,
  crankRange,
  formatNumber,
  formatQuantity,
  fromSi,
  usualLoss,
  itemWhere,
  itemAt,
} from '@bold-ballast/core'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { useWhy } from '../../../store/useWhy'
import { Figure } from '../../../ui/Figure'
import { GradeMark } from '../../../ui/grades'
import { ShowWorking } from '../../../ui/ShowWorking'
import { FOLDED, TableHead } from '../../../ui/TableHead'

/** Power to weight of each stage from the pulls that stand for it, and the crank power they may stand for. */
export function PowerByStage() {
  const { view, ledger, unit } = useBuild()
  const { summaries } = useLiveBuild()
  const cars = useCars()
  const why = useWhy()
  const rows = summaries.flatMap((summary, i) => {
    const { measuredPower } = summary
    if (!measuredPower) return []
    const day = itemWhere(view.dynoDays, (d) => d.id === measuredPower.dynoDayId)
    const own = itemAt(cars, i).gears?.value.loss ?? null
    const loss = own ? ([own.least, own.most] as const) : usualLoss(view.build.layout, day.kind)
    return [
      {
        summary,
        measuredPower,
        stage: itemAt(ledger.stages, i),
        number: i + 1,
        own,
        day,
        loss,
        crank: crankRange(measuredPower.power, loss),
      },
    ]
  })
  if (rows.length === 0) return null
  const power = unit('power')
  return (
    <section aria-label="By stage" className="mt-6">
      <h2 className="text-[19px]">
        By stage,{' '}
        {view.build.powerBasis === 'observed' ? 'observed' : CORRECTION_NAMES[view.build.powerBasis]}
      </h2>
      <div className="overflow-x-auto">
        <table className="w-full max-w-[980px]">
          <TableHead
            folds
            columns={[
              { says: 'Stage' },
              { says: 'At the wheels', figures: true },
              { says: 'Known by', className: 'pl-4' },
              { says: 'At the crank, a guess', figures: true },
              { says: 'Power to weight', figures: true },
            ]}
          />
          <tbody>
            {rows.map(({ summary, measuredPower, stage, number, day, loss, own, crank }) => (
              <tr
                key={stage.id}
                className="border-b border-line @max-2xl:grid @max-2xl:grid-cols-2 @max-2xl:py-2"
              >
                <th scope="row" className="py-1.5 text-left font-medium @max-2xl:col-span-2">
                  {number}. {stage.name}
                  <span className="block text-[12.5px] font-normal text-muted">{day.dyno}</span>
                </th>
                <td className="text-right @max-2xl:text-left">
                  <span className={FOLDED}>at the wheels</span>
                  <Figure known={measuredPower.power} unit={power} className="text-[17px]" />{' '}
                  <ShowWorking
                    working={{
                      title: 'Wheel power',
                      formula: 'the mean of the pulls that stand for the stage, off one day on one dyno',
                      inputs: [
                        ['Pulls', String(measuredPower.pulls)],
                        ['Day', `${day.dyno}, ${day.date}`],
                      ],
                      result: formatQuantity(measuredPower.power.value, power),
                      source: 'JCGM 100:2008, 4.2.3 for the mean and 5.2 for what pulls share',
                      why: why(measuredPower.power, power),
                    }}
                  />
                </td>
                <td className="pl-4 @max-2xl:pl-0">
                  <GradeMark grade={measuredPower.power.grade} word />
                </td>
                <td className="text-right whitespace-nowrap @max-2xl:text-left">
                  <span className={FOLDED}>at the crank, a guess</span>
                  <span className="figure text-[17px]">
                    {formatNumber(fromSi(crank.low, power), 0)} to{' '}
                    {formatNumber(fromSi(crank.high, power), 0)}
                  </span>{' '}
                  <span className="unit">{power.symbol}</span>{' '}
                  <ShowWorking
                    working={{
                      title: 'Wheel to crank',
                      formula: 'P_crank = P_wheel / (1 − loss)',
                      inputs: [
                        [
                          'At the wheels',
                          `${formatNumber(fromSi(measuredPower.power.value, power), 1)} ${power.symbol}`,
                        ],
                        [
                          'Lost on the way',
                          `${formatNumber(loss[0] * 100, 0)} to ${formatNumber(loss[1] * 100, 0)} %`,
                        ],
                      ],
                      result: `${formatNumber(fromSi(crank.low, power), 0)} to ${formatNumber(fromSi(crank.high, power), 0)} ${power.symbol}`,
                      source: own
                        ? 'the loss typed under Gears and grip'
                        : 'the usual loss of this layout on this kind of dyno, common practice',
                    }}
                  />
                </td>
                <td className="text-right @max-2xl:text-left">
                  <span className={FOLDED}>power to weight</span>
                  {summary.standing.powerToWeight && (
                    <Figure
                      known={summary.standing.powerToWeight}
                      unit={unit('powerToWeight')}
                      className="text-[17px]"
                    />
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  )
}
