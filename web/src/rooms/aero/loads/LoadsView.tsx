import { withoutVersion, type AeroElement, putEdit } from '@bold-ballast/contract'
import {
  aeroBalance,
  aeroSigma,
  dynamicPressure,
  elementAreas,
  formatNumber,
  formatQuantity,
  fromSi,
  placedAreas,
  STANDARD_GRAVITY,
  topSpeed,
  type Range,
  itemAt,
} from '@bold-ballast/core'
import { useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'
import { useLiveCar } from '../../../store/useCar'
import { Button } from '../../../ui/Button'
import { Chart } from '../../../ui/Chart'
import { download } from '../../../ui/download'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { QuantityField } from '../../../ui/QuantityField'
import { ShowWorking } from '../../../ui/ShowWorking'
import { AeroFacts } from './AeroFacts'
import { BalanceBar } from './BalanceBar'
import { balanceVerdict, REARWARD } from './balanceVerdict'
import { CarViews } from './CarViews'
import type { Moved } from './ElementShape'
import { useLoadSeries } from './useLoadSeries'
import { ElementTable } from './ElementTable'
import { useRuleValues } from '../useRuleValues'
import { elementCsv } from './elementRows'
import { useAero } from '../useAero'
import { useAeroDraws } from '../useAeroDraws'

const percent = (share: number, decimals = 1) => `${formatNumber(share * 100, decimals)} %`

/** Share of the draws that may fall on the other side of a verdict. */
const SURE = 0.05

/** Everything that the air presses on, what the axles get of it over speed, and what each piece is worth. */
export function LoadsView({
  onElement,
  onImport,
}: {
  onElement: (id: string | null) => void
  onImport: () => void
}) {
  const { view, unit, save, removeSaying, built } = useBuild()
  const [moved, setMoved] = useState<Moved | null>(null)
  const [chosen, setChosen] = useState<string | null>(null)
  const [speed, setSpeed] = useState(200 / 3.6)
  const { elements, balance, before, massFront } = useAero(moved)
  const draws = useAeroDraws(elements, built.wheelbase, massFront)
  const { envelope } = useRuleValues()
  const { airDensity: density, geared: car, aero } = useLiveCar()
  const { record } = useCarried('drivetrain')
  const { wheelbase } = built
  const velocity = useMemo(() => unit('velocity'), [unit])
  const mass = useMemo(() => unit('mass'), [unit])
  const q = dynamicPressure(density, Number.isFinite(speed) ? speed : 0)
  const load = (area: number, at = q) => fromSi((area * at) / STANDARD_GRAVITY, mass)
  const dragPower = (area: number) => fromSi(area * q * speed, unit('power'))
  const effects = useMemo(
    () =>
      elements.map((element) => ({
        element,
        own: aeroBalance(placedAreas([element]), wheelbase),
        areas: elementAreas(element),
      })),
    [elements, wheelbase],
  )
  const series = useLoadSeries(balance, before, density)
  if (elements.length === 0)
    return (
      <EmptyRoom
        title="Nothing in the wind yet"
        action={
          <span className="flex flex-wrap gap-2">
            <Button look="main" onClick={() => onElement(null)}>
              Add an element
            </Button>
            <Button onClick={onImport}>Add from CSV</Button>
          </span>
        }
      >
        The body first, then wing, splitter, diffuser and what else hangs on it, each with its size and place.
        You get downforce and drag by axle over speed, the balance against the mass with how far off it may
        be, the trim that gives a wanted balance, and how long a splitter balances a wing.
      </EmptyRoom>
    )
  const place = (at: Moved | null) => {
    setMoved(null)
    const element = at && view.aeroElements.find((e) => e.id === at.id)
    const shown = aero.elements.find((e) => e.id === at?.id)
    if (!element || !shown || (shown.x === at.x && shown.z === at.z)) return
    // Of an earlier stage, it is kept where it sat then: a shell cut since has brought it forward.
    const x = element.x + (at.x - shown.x)
    save(`Move ${element.name}`, [putEdit(view, 'aeroElement', { ...withoutVersion(element), x, z: at.z })])
  }
  const remove = ({ id, name }: AeroElement) => {
    removeSaying('aeroElement', id, name)
  }
  const top = car && topSpeed(car.gearing, car.curve, { ...car.load, dragArea: Math.max(0, balance.drag) })
  const bare = effects.filter((e) => e.element.kind === 'body').reduce((sum, e) => sum + e.areas.dragArea, 0)
  const bareTop = car && bare > 0 ? topSpeed(car.gearing, car.curve, { ...car.load, dragArea: bare }) : null
  const share = aeroSigma(elements, wheelbase).frontShare === null ? null : balance.frontShare
  // Which side of the mass it is on may be sure where the share itself is not: a small total, all of it behind.
  const isSided = draws !== null && (draws.wrongSide < SURE || draws.wrongSide > 1 - SURE)
  const told = share !== null || isSided ? balance.frontShare : null
  const verdict = balanceVerdict(told, massFront, balance.total > 0)
  // Typed coefficients point; they show only where hardly a draw falls on the other side.
  const isOpen = share !== null && draws !== null && !isSided
  const range = (r: Range, by: (v: number) => number) => {
    const ends = [by(r.p10), by(r.p90)]
    return `${formatNumber(Math.min(...ends), 0)} to ${formatNumber(Math.max(...ends), 0)}`
  }
  return (
    <section aria-label="Aero sheet">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <div className="w-[140px]">
          <QuantityField
            label="At"
            quantity="velocity"
            unit={velocity}
            value={speed}
            onChange={(v) => v !== null && setSpeed(v)}
          />
        </div>
        <p className="min-w-[280px] flex-1 text-[17px]" data-testid="aero-says">
          {q > 0 && (
            <>
              <span className="figure text-[26px]">{formatNumber(load(balance.total), 0)}</span>{' '}
              <span className="unit">{mass.symbol}</span> of downforce,{' '}
            </>
          )}
          {share !== null && (
            <>
              <b>{percent(share)}</b> of it in front, where the mass has {percent(massFront)}:{' '}
            </>
          )}
          {isOpen && 'by typed figures '}
          <span className={isOpen ? 'text-ochre' : verdict.tone}>{verdict.says}</span>.{' '}
          <ShowWorking
            working={{
              title: 'Aero balance',
              formula: 'rear = Σ(C_L·A·x + C_D·A·z) / L;  front = Σ C_L·A − rear;  F = ½ρv²·C_L·A',
              inputs: [
                [
                  'C_L·A, front and rear',
                  `${formatNumber(balance.front, 3)} and ${formatNumber(balance.rear, 3)} m²`,
                ],
                ['C_D·A', `${formatNumber(balance.drag, 3)} m²`],
                ['Wheelbase', `${formatNumber(wheelbase, 3)} m`],
                ['Air', `${formatNumber(density, 3)} kg/m³`],
                [
                  'Stable',
                  `${percent(massFront - REARWARD)} to ${percent(massFront)} in front (common practice)`,
                ],
              ],
              result: share === null ? 'none' : percent(share),
              source: 'statics about the front axle; coefficients as typed, with their grades',
            }}
          />
        </p>
        <Button look="quiet" onClick={onImport}>
          Add from CSV
        </Button>
        <Button
          look="quiet"
          onClick={() => download(`${view.build.name} aero.csv`, elementCsv(elements), 'text/csv')}
        >
          CSV
        </Button>
      </div>
      {draws && (
        <p className="mt-1 text-[14px] text-muted" data-testid="aero-doubt">
          With what nobody has measured: front {range(draws.front, load)} {mass.symbol}, rear{' '}
          {range(draws.rear, load)} {mass.symbol}
          {draws.frontShare &&
            `, front share ${percent(draws.frontShare.p10, 0)} to ${percent(draws.frontShare.p90, 0)} in 8 of 10 cases`}
          .{' '}
          <span className={draws.wrongSide > 0.2 ? 'text-ochre' : ''}>
            In {percent(draws.wrongSide, 0)} of the cases the balance is forward of the mass.
          </span>
        </p>
      )}
      <BalanceBar share={share} range={draws?.frontShare ?? null} massFront={massFront} />
      <div className="mt-3">
        <CarViews {...{ elements, envelope, chosen }} onChoose={setChosen} onMove={setMoved} onDone={place} />
      </div>
      <AeroFacts {...{ balance, before, load, dragPower, top, bareTop }} />
      {record && (
        <p className="mb-3 text-[13.5px] text-muted" data-testid="one-air">
          {bare > 0
            ? `Top speed, runs and laps reckon with this sheet: ${formatNumber(Math.max(0, balance.drag), 2)} m² of drag area.`
            : `Top speed, runs and laps reckon with this sheet on top of the ${formatNumber(record.drive.dragArea, 2)} m² typed with the gears for the car without it. Add the body to say it here.`}
        </p>
      )}
      <ElementTable
        effects={effects}
        chosen={chosen}
        load={load}
        dragPower={dragPower}
        onElement={onElement}
        onRemove={remove}
      />
      <Chart
        title="Downforce by axle"
        summary={`Downforce on each axle against speed: at ${formatQuantity(200 / 3.6, velocity, 0)} front ${formatNumber(load(balance.front, dynamicPressure(density, 200 / 3.6)), 0)} and rear ${formatNumber(load(balance.rear, dynamicPressure(density, 200 / 3.6)), 0)} ${mass.symbol}.`}
        xTitle={`Road speed (${velocity.symbol})`}
        yTitle={`Downforce (${mass.symbol})`}
        series={series}
        table={{
          header: [velocity.symbol, ...series.map((s) => `${s.name} (${mass.symbol})`)],
          rows: itemAt(series, 0).x.map((v, i) => [v, ...series.map((s) => s.y[i] ?? null)]),
        }}
        filename={`${view.build.name} downforce`}
        height={270}
      />
      <p className="text-[13px] text-muted">
        Coefficients of splitters, floors and bodies are guesses until somebody measures them on this car. A
        big wing belongs on the chassis, not on the lid, with something that holds it if the skin fails.
      </p>
    </section>
  )
}
