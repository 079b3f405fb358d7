import {
  axleGrip,
  curveFigures,
  engineSpeedAt,
  equivalentMass,
  formatNumber,
  formatQuantity,
  fromSi,
  QUARTER_MILE,
  roadLoad,
  roadSpeedAt,
  shiftPoints,
  straightLine,
  topSpeed,
  tractiveForce,
  type ShiftPoint,
  unitOf,
  type Unit,
  RPM,
  itemAt,
} from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Chart, type Series } from '../../../ui/Chart'
import { ShowWorking } from '../../../ui/ShowWorking'
import { TableHead } from '../../../ui/TableHead'
import { markFigures, type GearedCar } from '@bold-ballast/model'
import { gearName } from '@bold-ballast/words'
import { useTrial } from '../../../store/useTrial'
import { useCar } from '../../../store/useCar'
import { useWhy } from '../../../store/useWhy'

const KILONEWTON = unitOf('force', 'kN')
const COLOURS = ['--blued', '--oxide', '--zinc', '--ochre', '--muted', '--ink']
const LIGHTER = 0.9
const EARLIER = [250 * RPM, 500 * RPM]
const rpm = (speed: number) => Math.round(speed / RPM)
const sayRpm = (speed: number) => (Math.round(rpm(speed) / 10) * 10).toLocaleString('en-GB')
/** What the Board would ask for. */
const TOP_SPEED = {
  measure: 'topSpeed',
  conditionId: null,
  gear: null,
  place: '',
  part: '',
  speed: null,
} as const
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** The lines of both charts. */
function chartsOf(
  { gearing, curve, axle, load }: GearedCar,
  shifts: readonly ShiftPoint[],
  band: readonly [number, number],
  velocity: Unit,
) {
  const from = itemAt(curve, 0).speed
  const bySpeed = gearing.ratios.map((_, gear): Series => {
    const ns = Array.from({ length: 40 }, (_, i) => from + ((gearing.limiter - from) * i) / 39)
    const x = ns.map((n) => Number(fromSi(roadSpeedAt(gearing, gear, n), velocity).toFixed(1)))
    const name = capital(gearName(gear))
    return {
      name,
      x,
      y: ns.map(rpm),
      colour: itemAt(COLOURS, gear % COLOURS.length),
      says: ns.map((n, i) => `${name}: ${rpm(n).toLocaleString('en-GB')} rpm at ${x[i]} ${velocity.symbol}`),
    }
  })
  const fastest = roadSpeedAt(gearing, gearing.ratios.length - 1, gearing.limiter)
  const vs = Array.from({ length: 90 }, (_, i) => 1 + ((fastest - 1) * i) / 89)
  const x = vs.map((v) => Number(fromSi(v, velocity).toFixed(1)))
  const kN = (force: number | null) => (force === null ? null : Number(fromSi(force, KILONEWTON).toFixed(2)))
  const line = (
    name: string,
    of: (v: number) => number | null,
    colour: string,
    dash?: Series['dash'],
  ): Series => {
    const y = vs.map((v) => kN(of(v)))
    return {
      name,
      x,
      y,
      colour,
      ...(dash && { dash }),
      says: y.map((f, i) => `${name}: ${f ?? 'nothing'} kN at ${x[i]} ${velocity.symbol}`),
    }
  }
  const byForce = [
    ...gearing.ratios.map((_, gear) =>
      line(
        capital(gearName(gear)),
        (v) => tractiveForce(gearing, curve, gear, v),
        itemAt(COLOURS, gear % COLOURS.length),
      ),
    ),
    line('Grip', (v) => axleGrip(axle, v), '--ink', 'dash'),
    line('Road load', (v) => roadLoad(load, v), '--ink', 'dot'),
  ]
  const shown = (v: number) => Number(fromSi(v, velocity).toFixed(1))
  // Up to each shift and straight down to where the next gear picks up.
  const drops = shifts.flatMap((s) => [
    {
      x: shown(s.roadSpeed),
      y: rpm(s.best),
      says: `Shift out of ${gearName(s.gear)} at ${sayRpm(s.best)} rpm`,
    },
    {
      x: shown(s.roadSpeed),
      y: rpm(s.lands),
      says: `Down by ${sayRpm(s.best - s.lands)} to ${sayRpm(s.lands)} rpm in ${gearName(s.gear + 1)}`,
    },
  ])
  const path = [
    { x: 0, y: 0, says: 'Standing' },
    ...drops,
    {
      x: shown(fastest),
      y: rpm(gearing.limiter),
      says: `${shown(fastest)} ${velocity.symbol} at the limiter`,
    },
  ]
  const run: Series = {
    name: 'Shifted at its best',
    colour: '--ink',
    dash: 'dot',
    x: path.map((p) => p.x),
    y: path.map((p) => p.y),
    says: path.map((p) => p.says),
  }
  const bandEnds = band.map((at, i): Series => ({
    name: 'Over 90 % of power',
    label: i === 0 ? 'Over 90 % of power' : null,
    colour: '--muted',
    dash: 'dash',
    x: [0, shown(fastest)],
    y: [rpm(at), rpm(at)],
    says: Array.from(
      { length: 2 },
      () => `${i === 0 ? 'From' : 'Up to'} ${sayRpm(at)} rpm over 90 % of peak power`,
    ),
  }))
  return { bySpeed: [...bySpeed, run, ...bandEnds], gears: bySpeed, byForce }
}

/** What wheels lighter by a tenth are worth: as mass in every gear, and over 402 m. */
function LighterWheels({ car }: { car: GearedCar }) {
  const { unit } = useBuild()
  const trial = useTrial(car, null)
  const worth = useMemo(() => {
    const time = (share: number) =>
      straightLine(
        { ...trial.car, wheelInertia: trial.car.wheelInertia * share },
        { speeds: [], distances: [QUARTER_MILE] },
      ).toDistance[0]?.time ?? null
    const [now, lighter] = [time(1), time(LIGHTER)]
    return now === null || lighter === null ? null : now - lighter
  }, [trial])
  const { wheelInertia } = car.drive
  if (worth === null || wheelInertia === 0) return null
  const off = wheelInertia * (1 - LIGHTER)
  return (
    <p className="text-[14px]" data-testid="lighter-wheels">
      Wheels lighter by a tenth, {formatNumber(off, 2)} kg·m² less, feel like{' '}
      {formatQuantity(off / car.gearing.rollingRadius ** 2, unit('mass'), 1)} off the car in every gear, on
      top of what they weigh, and save {formatNumber(worth, 3)} s over 402 m.
    </p>
  )
}

/** Speed by gear, force by gear against road load and grip, and where to shift. */
export function GearingView({ car }: { car: GearedCar }) {
  const { view, unit } = useBuild()
  const drivetrain = car.drive
  const velocity = useMemo(() => unit('velocity'), [unit])
  const { gearing, load } = car
  const speed = (v: number) => Number(fromSi(v, velocity).toFixed(1))
  const { top, shifts, band, bySpeed, gears, byForce } = useMemo(() => {
    const shifts = shiftPoints(car.gearing, car.curve, car.load, EARLIER)
    const band = curveFigures(car.curve).band90
    const top = topSpeed(car.gearing, car.curve, car.load)
    return { top, shifts, band, ...chartsOf(car, shifts, band, velocity) }
  }, [car, velocity])
  const fastest = markFigures(useCar(), TOP_SPEED).planned
  const doubt = fastest?.sigma ?? 0
  const why = useWhy()
  const parts = {
    wheels: drivetrain.wheelInertia,
    propshaft: drivetrain.propshaftInertia,
    engine: drivetrain.engineInertia,
  }
  const finalDrive = drivetrain.finalDrive * drivetrain.between
  return (
    <>
      <p className="flex flex-wrap items-baseline gap-x-6 gap-y-1" data-testid="top-speed">
        {top && (
          <span>
            Top speed{' '}
            <span className="figure text-[26px]">{formatNumber(fromSi(top.speed, velocity), 0)}</span>{' '}
            <span className="unit">
              {doubt > 0 && `±${formatNumber(doubt / velocity.factor, 0)} `}
              {velocity.symbol}
            </span>
            , {gearName(top.gear)}, {top.limit === 'gearing' ? 'ended by the limiter' : 'ended by power'}{' '}
            <ShowWorking
              working={{
                title: 'Top speed',
                formula: 'T·i/r = ½ρC_DA·v² + C_rr·m·g, or the limiter',
                inputs: [
                  ['Mass with driver', formatQuantity(load.mass, unit('mass'), 0)],
                  ['Drag area', `${load.dragArea} m²`],
                  ['Rolling radius', `${formatNumber(gearing.rollingRadius * 1000, 0)} mm`],
                  ['Road load there', `${formatNumber(roadLoad(load, top.speed), 0)} N`],
                ],
                result: `${formatNumber(fromSi(top.speed, velocity), 1)} ${velocity.symbol}`,
                source: 'statics; the curve is this build’s own, observed',
                ...(fastest && { why: why(fastest, velocity) }),
              }}
            />
          </span>
        )}
        <span className="text-[13.5px] text-muted">
          Drag area, rolling resistance and grip are what was typed; the curve is from {car.curveOf.dyno}.
        </span>
      </p>
      <Chart
        title="Speed by gear"
        summary={`Engine speed against road speed in ${gearing.ratios.length} gears, up to the limiter at ${sayRpm(gearing.limiter)} rpm.`}
        xTitle={`Road speed (${velocity.symbol})`}
        yTitle="Engine speed (rpm)"
        series={bySpeed}
        table={{
          header: ['rpm', ...gears.map((s) => `${s.name} (${velocity.symbol})`)],
          rows: itemAt(gears, 0).y.map((n, i) => [n, ...gears.map((s) => itemAt(s.x, i))]),
        }}
        filename={`${view.build.name} speed by gear`}
        height={290}
      />
      <h2 className="mt-3 text-[19px]">Where to shift</h2>
      <div className="relative overflow-x-auto" role="region" aria-label="Shifts" tabIndex={0}>
        <table
          className="w-full max-w-[900px] whitespace-nowrap [&_td]:pl-4 [&_thead_th]:pl-4 [&_thead_th:first-child]:pl-0"
          data-testid="shifts"
        >
          <TableHead
            columns={[
              { says: 'Out of' },
              { says: 'Best at (rpm)', figures: true },
              { says: `At (${velocity.symbol})`, figures: true },
              { says: 'Drops by (rpm)', figures: true },
              { says: 'Lands at (rpm)', figures: true },
              { says: '250 rpm early costs', figures: true },
              { says: '500 rpm early costs', figures: true },
            ]}
          />
          <tbody>
            {shifts.map((s) => (
              <tr key={s.gear} className="border-b border-line">
                <th scope="row" className="py-1.5 text-left font-medium">
                  {capital(gearName(s.gear))}
                </th>
                <td className="figure text-right text-[17px]">
                  {sayRpm(s.best)}
                  {s.atLimiter && <span className="unit"> limiter</span>}
                  {s.atCurveEnd && <span className="unit"> or later: the curve ends there</span>}
                </td>
                <td className="figure text-right text-[17px]">{formatNumber(speed(s.roadSpeed), 0)}</td>
                <td className="figure text-right text-[17px]">{sayRpm(s.best - s.lands)}</td>
                <td
                  className={`figure text-right text-[17px] ${s.lands < car.threshold ? 'text-ochre' : ''}`}
                >
                  {sayRpm(s.lands)}
                  <span className="unit">
                    {s.lands < car.threshold
                      ? ' below the boil'
                      : s.lands < band[0]
                        ? ' below the band'
                        : ' in the band'}
                  </span>
                </td>
                {s.early.map((e) => (
                  <td key={e.by} className="figure text-right text-[17px]">
                    {formatNumber(e.costs, 3)} <span className="unit">s</span>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-1 text-[13px] text-muted">
        The band is where the engine makes over 90 % of its power, {sayRpm(band[0])} to {sayRpm(band[1])} rpm.
        Shift lights:{' '}
        {shifts.map((s) => `${sayRpm(s.best)} out of ${gearName(s.gear).replace(' gear', '')}`).join(', ')}.
      </p>
      <Chart
        title="Force by gear"
        summary="Tractive force in each gear against road speed, with the driven axle’s grip and the road load."
        xTitle={`Road speed (${velocity.symbol})`}
        yTitle="Force (kN)"
        series={byForce}
        table={{
          header: [velocity.symbol, ...byForce.map((s) => `${s.name} (kN)`)],
          rows: itemAt(byForce, 0).x.map((v, i) => [v, ...byForce.map((s) => s.y[i] ?? null)]),
        }}
        filename={`${view.build.name} force by gear`}
        height={300}
      />
      <h2 className="mt-3 text-[19px]">What turns, felt as mass</h2>
      <LighterWheels car={car} />
      <div className="relative overflow-x-auto" role="region" aria-label="Equivalent mass" tabIndex={0}>
        <table
          className="w-full max-w-[760px] whitespace-nowrap [&_td]:pl-4 [&_thead_th]:pl-4 [&_thead_th:first-child]:pl-0"
          data-testid="equivalent-mass"
        >
          <TableHead
            columns={[
              { says: 'Gear' },
              { says: `Wheels (${unit('mass').symbol})`, figures: true },
              { says: `Propeller shaft (${unit('mass').symbol})`, figures: true },
              { says: `Engine (${unit('mass').symbol})`, figures: true },
              { says: 'All, of the car', figures: true },
            ]}
          />
          <tbody>
            {gearing.ratios.map((ratio, gear) => {
              const felt = equivalentMass(parts, { ratio, finalDrive }, gearing.rollingRadius)
              const kg = (m: number) => formatNumber(fromSi(m, unit('mass')), 1)
              return (
                <tr key={gear} className="border-b border-line">
                  <th scope="row" className="py-1.5 text-left font-medium">
                    {capital(gearName(gear))}
                    <span className="ml-2 text-[12.5px] font-normal text-muted">
                      {formatNumber(engineSpeedAt(gearing, gear, 100 / 3.6) / RPM, 0)} rpm at 100 km/h
                    </span>
                  </th>
                  {[felt.fromWheels, felt.fromPropshaft, felt.fromEngine].map((m, i) => (
                    <td key={i} className="figure text-right text-[17px]">
                      {kg(m)}
                    </td>
                  ))}
                  <td className="figure text-right text-[17px]">
                    +{formatNumber((felt.total / load.mass) * 100, 1)} %
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
    </>
  )
}
