import { formatNumber, fromSi, leastSandwich, STANDARD_GRAVITY } from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { ShowWorking } from '../../../ui/ShowWorking'
import { LAY } from '@bold-ballast/contract'
import { GroundSays } from './GroundSays'
import { panelUnderAir, PERSON, type Panelled, type Stance } from '@bold-ballast/model'
import { mm, sizeMm, times, tone } from './safetyTone'
import { StockTable } from './StockTable'
import { stockOf, type Stock } from './useStocks'

/** A panel under the air of a speed: what bends, what is in hand, the gap it keeps, and the sheets side by side. */
export function PanelCheck({
  element,
  stocks,
  stance,
  q,
  speed,
  onChange,
  onTemplate,
}: {
  element: Panelled
  stocks: readonly Stock[]
  stance: Stance
  /** Dynamic pressure, Pa, at a speed, m/s. */
  q: number
  speed: number
  onChange: () => void
  onTemplate: () => void
}) {
  const { view, unit } = useBuild()
  const mass = unit('mass')
  const velocity = unit('velocity')
  const { panel } = element
  const { airLoads } = view.build
  const { wanted } = airLoads
  const own = stockOf(stocks, panel)
  const found = panelUnderAir(element, stocks, (s) => s === own, airLoads, q, speed)
  const { lightest, struts } = found
  const least = leastSandwich(own.material, speed)
  const thin = panel.thickness < least
  return (
    <section aria-label={element.name} className="mt-4" data-testid="panel">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-[19px]">{element.name}</h2>
        <span className="flex gap-1">
          <Button look="quiet" onClick={onTemplate}>
            Cut list and template<span className="sr-only"> of {element.name}</span>
          </Button>
          <Button look="quiet" onClick={onChange}>
            Change<span className="sr-only"> {element.name}</span>
          </Button>
        </span>
      </div>
      <p className="text-[17px]" data-testid="panel-says">
        {formatNumber(panel.thickness * 1000, 1)} mm {own.says} bends{' '}
        <span className="figure text-[22px]">{mm(found.own.bends)}</span> <span className="unit">mm</span>{' '}
        between its supports{panel.overhang > 0 && ` and droops ${mm(found.own.droops)} mm at the lip`}:{' '}
        <span className={thin ? 'text-ochre' : tone(found.own.safety, wanted)}>
          {times(found.own.safety)} times what it is asked
        </span>
        .{' '}
        <ShowWorking
          working={{
            title: element.name,
            formula: 'y = α·q·b⁴/(E·t³), σ = β·q·b²/t²;  lip δ = w·L⁴/8D',
            inputs: [
              ['Steady load', `${formatNumber(found.steady, 0)} N`],
              ['With gusts and kerbs', `× ${formatNumber(airLoads.gust * airLoads.kerb, 2)}`],
              ['Pressure', `${formatNumber(found.pressure, 0)} Pa`],
              ['Between supports', `${sizeMm(panel.spanAlong)} × ${sizeMm(panel.spanAcross)} mm`],
              ['It lies', LAY[panel.lay]],
            ],
            result: `${times(found.own.safety)} in hand`,
            source: 'Roark, flat rectangle, simply supported; usual figures of generic sheets',
          }}
        />
      </p>
      <GroundSays element={element} q={q} stance={stance} helps={found.helps} />
      <p className="text-[14px] text-muted">
        It carries {formatNumber(fromSi(found.steady / STANDARD_GRAVITY, mass), 0)} {mass.symbol}. A person of{' '}
        {PERSON} kg standing on it is as much as {formatNumber(fromSi(found.personSpeed, velocity), 0)}{' '}
        {velocity.symbol}.
        {lightest &&
          ` The lightest sheet that holds and bends no more than ${mm(found.allowed)} mm is ${sizeMm(lightest.thickness)} mm ${lightest.sheet.says}, ${formatNumber(fromSi(lightest.mass, mass), 1)} ${mass.symbol} instead of ${formatNumber(fromSi(found.own.mass, mass), 1)}.`}
      </p>
      {struts && panel.struts && (
        <p className="text-[14px]" data-testid="struts-say">
          {panel.struts.count} {panel.struts.kind === 'cable' ? 'cables' : 'struts'} pull{' '}
          {formatNumber(struts.pull, 0)} N each:{' '}
          <span className={tone(struts.held.pull / struts.pull, wanted)}>
            {times(struts.held.pull / struts.pull)} times in hand
          </span>
          ;{' '}
          {panel.struts.kind === 'cable'
            ? 'pushed from below, a cable holds nothing.'
            : `pushed from below they buckle at ${formatNumber(struts.held.push, 0)} N each.`}
        </p>
      )}
      <p className="text-[13px] text-muted" data-testid="sandwich-says">
        Of a sheet with two skins only its bending as a whole is reckoned: not its skins’ buckling over the
        core, nor crushing at bolts and supports, nor open edges.
        {thin &&
          ` ${sizeMm(panel.thickness)} mm of it is less than is trusted at this speed: ${sizeMm(least)} mm is usual, whatever is in hand.`}
      </p>
      <StockTable name={element.name} rows={found.rows} own={found.own} wanted={wanted} speed={speed} />
    </section>
  )
}
