import { AXLE_END, AXLE_WORDS, type BrakeReading, type Brakes } from '@bold-ballast/contract'
import {
  brakedBy,
  CORNERS,
  formatNumber,
  formatFigure,
  formatQuantity,
  ICE_POINT,
  liningWear,
  shareFromPressures,
  STANDARD_GRAVITY,
  type LiningReading,
} from '@bold-ballast/core'
import {
  AXLE_ENDS,
  brakeFigures,
  newestFirst,
  padsOff,
  shareCurve,
  withAlternative,
  type BrakeFigures,
} from '@bold-ballast/model'
import { useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { useMoney } from '../../../store/useMoney'
import { Button } from '../../../ui/Button'
import { Chart, type Series } from '../../../ui/Chart'
import { OntoNextSheet } from '../../../sheets/OntoNextSheet'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { MayOnly } from '../../../ui/MayOnly'
import { QuantityField } from '../../../ui/QuantityField'
import { RowButtons } from '../../../ui/RowButtons'
import { ListCsv } from '../ListCsv'
import { ShowWorking } from '../../../ui/ShowWorking'
import { TableHead, type TableColumn } from '../../../ui/TableHead'

const percent = (share: number, decimals = 1) => formatNumber(share * 100, decimals)
const g = (acceleration: number, decimals = 2) => formatNumber(acceleration / STANDARD_GRAVITY, decimals)
const celsius = (kelvin: number) => `${formatNumber(kelvin - ICE_POINT, 0)} °C`

/** Which axle locks first, and how sure that is; the rear one first is said first. */
function firstWords({ first, rearFirst, margin }: BrakeFigures): { text: string; tone: string } {
  if (first === null) return { text: 'No leg locks either axle.', tone: 'text-ochre' }
  const sure = first === 'rear' ? rearFirst : 1 - rearFirst
  const odds = `in ${formatNumber(sure * 100, 0)} of 100 draws of pads and centre of mass`
  if (first === 'rear')
    return {
      text: `The rear axle locks first, ${g(-margin)} g before the front, ${odds}: that spins the car.`,
      tone: 'text-oxide',
    }
  return {
    text: `The front axle locks first, ${g(margin)} g before the rear, ${odds}.`,
    tone: rearFirst > 0.1 ? 'text-ochre' : '',
  }
}

const figureColumns = (...says: readonly string[]): TableColumn[] =>
  says.map((one) => ({ says: one, figures: true, className: 'px-1' }))
const STOP_HEAD = [
  { says: 'Stop' },
  ...figureColumns('Front, first lap', 'Front, later', 'Rear, first lap', 'Rear, later'),
]
const OTHER_HEAD = [
  { says: 'Brakes', className: 'px-1' },
  { says: 'Locks first', className: 'px-1' },
  ...figureColumns('Stops at most', 'Push for 1 g', 'Hottest disc', 'Off the window', 'Mass', 'Price'),
]

const WINDOW = {
  within: 'stays where the pad works',
  below: 'is too cold for the pad as stops begin',
  above: 'gets too hot for the pad',
  both: 'is too cold as stops begin, and too hot as they end',
} as const

/** Balance, heat, wear and alternatives of the brakes. */
export function BrakesView({
  onChange,
  onReading,
}: {
  onChange: () => void
  onReading: (id: string | null) => void
}) {
  const { unit } = useBuild()
  const car = useLiveCar()
  const { brakes } = car
  const [speed, setSpeed] = useState<number | null>(0)
  const at = speed !== null && Number.isFinite(speed) && speed >= 0 ? speed : 0
  const figures = useMemo(() => brakes && brakeFigures(car, brakes.value, at), [car, brakes, at])
  if (!brakes)
    return (
      <EmptyRoom
        title="The brakes are not known yet"
        action={
          <Button look="main" onClick={onChange}>
            Type the brakes
          </Button>
        }
      >
        Pedal, cylinders, balance bar, pistons, discs and pads. You get pressures and torque by axle, which
        axle locks first and at what g, the bar setting that puts it right, the push for 1 g, disc
        temperatures over a lap against the pads’ window, and what other calipers, discs or pads would change.
      </EmptyRoom>
    )
  if (!figures)
    return (
      <p className="text-ochre">
        Nobody said what grip the tyres have: type it with the brakes, or under Driveline, Gears and grip.{' '}
        <Button look="quiet" className="!px-0" onClick={onChange}>
          Change the brakes
        </Button>
      </p>
    )
  const { locks, efficiency, idealBar, reaches, effort, bar, grip, share, idealShare } = figures
  const said = firstWords(figures)
  const force = unit('force')
  const least = Math.min(locks.front?.deceleration ?? Infinity, locks.rear?.deceleration ?? Infinity)
  return (
    <section aria-label="Brakes">
      <div className="flex flex-wrap items-start gap-x-6 gap-y-2">
        <p className={`min-w-[280px] flex-1 text-[19px] ${said.tone}`} data-testid="brakes-say">
          {said.text}
        </p>
        <div className="w-[150px]">
          <QuantityField
            label="With the air of"
            quantity="velocity"
            unit={unit('velocity')}
            value={speed}
            onChange={setSpeed}
            hint="0 for a slow stop"
          />
        </div>
      </div>
      <dl className="my-3 flex flex-wrap gap-x-8 gap-y-2">
        <div>
          <dt className="text-[12.5px] text-muted">Stops at most at</dt>
          <dd>
            <span className="figure text-[26px]">{Number.isFinite(least) ? g(least) : '–'}</span>{' '}
            <span className="text-[13px] text-muted">g, of {formatNumber(grip, 2)} of grip</span>
          </dd>
        </div>
        <div>
          <dt className="text-[12.5px] text-muted">Of the grip, used</dt>
          <dd>
            <span className="figure text-[26px]">{percent(efficiency)}</span>{' '}
            <span className="text-[13px] text-muted">%</span>
          </dd>
        </div>
        <div>
          <dt className="text-[12.5px] text-muted">
            Front share of the braking{' '}
            <ShowWorking
              working={{
                title: 'Front share of the braking',
                formula: 'T = 2·2·μ·p·A·r; ideal = front share + z·h/L, downforce with it',
                inputs: [
                  ['Bar, front', `${percent(bar)} %`],
                  ['Pads taken at', `${celsius(figures.padAt.front)} and ${celsius(figures.padAt.rear)}`],
                  [
                    'Friction there',
                    `${formatNumber(figures.system.front.friction, 3)} and ${formatNumber(figures.system.rear.friction, 3)}`,
                  ],
                  ['Mass, driver in it', `${formatNumber(figures.car.mass, 0)} kg`],
                  ['Centre, up', `${formatNumber(figures.car.height * 1000, 0)} mm`],
                  ['Ideal at the limit', `${percent(idealShare)} %`],
                ],
                result: `${percent(share)} %`,
                source:
                  'Limpert, Brake Design and Safety, chapters on hydraulic brakes and on brake force distribution (from memory)',
              }}
            />
          </dt>
          <dd>
            <span className="figure text-[26px]">{percent(share)}</span>{' '}
            <span className="text-[13px] text-muted">%, {percent(idealShare)} would be ideal</span>
          </dd>
        </div>
        <div>
          <dt className="text-[12.5px] text-muted">Push for 1 g</dt>
          <dd>
            <span className="figure text-[26px]">
              {effort === null ? '–' : formatQuantity(effort, force)}
            </span>
          </dd>
        </div>
      </dl>
      <p className="max-w-[820px] text-[15px]" data-testid="bar-says">
        {Math.abs(idealBar - bar) < 0.002
          ? `The bar is where both axles lock at once: ${percent(bar)} % front.`
          : reaches
            ? `With the bar at ${percent(idealBar)} % front instead of ${percent(bar)} both axles would lock at once; a little more in front keeps the rear rolling.`
            : `Both would lock at once with the bar at ${percent(idealBar)} % front: further than it reaches (${percent(brakes.value.barLeast)} to ${percent(brakes.value.barMost)} %). Other cylinders or calipers it takes.`}
      </p>
      {reaches && Math.abs(idealBar - bar) >= 0.002 && (
        <p className="mt-1">
          <OntoNextSheet
            why={`Brake bar from ${percent(bar)} to ${percent(idealBar)} % front`}
            meant="Both axles lock at once"
            said={`the bar at ${percent(idealBar)} % front`}
            change={() => ({ brakeBar: idealBar })}
          >
            Put that bar on the next sheet
          </OntoNextSheet>
        </p>
      )}
      <Pushes figures={figures} />
      <ShareChart figures={figures} />
      <Heat figures={figures} brakes={brakes.value} />
      <Alternatives brakes={brakes.value} own={figures} speed={at} />
      <Readings figures={figures} brakes={brakes.value} onReading={onReading} />
      <p className="mt-4 text-[13px] text-muted">
        Brakes are bled, bedded in and tried slowly, by someone who knows how, before anybody needs them. The
        event’s scrutineers decide what may run. Nothing here says that brakes are safe.
      </p>
    </section>
  )
}

/** On the pedal, N. */
const PUSHES = [150, 300, 450, 600] as const

/** What a foot makes of it: pressures, torque by axle, and deceleration while nothing locks. */
function Pushes({ figures }: { figures: BrakeFigures }) {
  const { unit } = useBuild()
  const [force, pressure, torque] = [unit('force'), unit('pressure'), unit('torque')]
  const head = [
    { says: `Push, ${force.symbol}`, className: 'px-1' },
    ...figureColumns(
      `Front line, ${pressure.symbol}`,
      `Rear line, ${pressure.symbol}`,
      `Front torque, ${torque.symbol}`,
      `Rear torque, ${torque.symbol}`,
      'Slows by, g',
    ),
  ]
  const least = Math.min(figures.locks.front?.effort ?? Infinity, figures.locks.rear?.effort ?? Infinity)
  return (
    <div className="my-3 max-w-[760px] overflow-x-auto">
      <table className="w-full" data-testid="pushes">
        <caption className="sr-only">From the push to pressures, torque and deceleration</caption>
        <TableHead columns={head} />
        <tbody>
          {PUSHES.map((push) => {
            const braked = brakedBy(figures.system, push)
            return (
              <tr key={push} className="border-b border-line">
                <th scope="row" className="px-1 py-1 text-left font-medium whitespace-nowrap">
                  {formatFigure(push, force)}
                </th>
                {[braked.pressure.front, braked.pressure.rear].map((p, i) => (
                  <td key={i} className="px-1 text-right whitespace-nowrap tabular-nums">
                    {formatFigure(p, pressure, 1)}
                  </td>
                ))}
                {[braked.torque.front, braked.torque.rear].map((t, i) => (
                  <td key={i} className="px-1 text-right whitespace-nowrap tabular-nums">
                    {formatFigure(t, torque, 0)}
                  </td>
                ))}
                <td className="px-1 text-right tabular-nums">
                  {push > least
                    ? 'a wheel locks'
                    : g((braked.force.front + braked.force.rear) / figures.car.mass)}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
}

function ShareChart({ figures }: { figures: BrakeFigures }) {
  const points = useMemo(() => shareCurve(figures), [figures])
  const x = points.map((p) => Number((p.deceleration / STANDARD_GRAVITY).toFixed(2)))
  const line = (
    name: string,
    of: (p: (typeof points)[number]) => number,
    colour: string,
    dash: 'solid' | 'dash',
  ): Series => ({
    name,
    x,
    y: points.map((p) => Number((of(p) * 100).toFixed(2))),
    colour,
    dash,
    says: points.map((p, i) => `${name}: ${percent(of(p))} % front at ${x[i]} g`),
  })
  return (
    <Chart
      title="Front share over deceleration"
      summary="What the load on the wheels asks for, and what the brakes give, up to the limit of the tyres."
      xTitle="Deceleration (g)"
      yTitle="Front share (%)"
      series={[
        line('Load asks for', (p) => p.ideal, '--zinc', 'dash'),
        line('Brakes give', (p) => p.actual, '--blued', 'solid'),
      ]}
      table={{
        header: ['Deceleration (g)', 'Load asks for (%)', 'Brakes give (%)'],
        rows: points.map((p, i) => [
          x[i] ?? null,
          Number((p.ideal * 100).toFixed(2)),
          Number((p.actual * 100).toFixed(2)),
        ]),
      }}
      filename="front-share"
      height={260}
    />
  )
}

/** Discs over the stops of a lap, against where the pads work. */
function Heat({ figures, brakes }: { figures: BrakeFigures; brakes: Brakes }) {
  const { unit } = useBuild()
  const velocity = unit('velocity')
  if (brakes.stops.length === 0)
    return (
      <p className="mt-4 text-[15px] text-muted">
        Type the stops of a lap with the brakes: then disc temperatures stand here, against the pads’ window.
      </p>
    )
  return (
    <section aria-label="Heat" className="mt-4">
      <h2 className="text-[20px]">Heat over a lap</h2>
      {AXLE_ENDS.map((end) => {
        const discs = figures.discs[end]
        if (!discs) return null
        const { padFrom, padTo, pad } = brakes[end]
        return (
          <p key={end} className="text-[15px]" data-testid={`heat-${end}`}>
            <b className="font-medium">{AXLE_WORDS[end]}:</b> {celsius(discs.coldest)} to{' '}
            <span className="figure text-[20px]">{celsius(discs.hottest)}</span> once laps are alike. The disc{' '}
            <span className={discs.window === 'within' ? 'text-zinc' : 'text-oxide'}>
              {WINDOW[discs.window]}
            </span>{' '}
            ({pad || 'the pad'} works from {celsius(padFrom)} to {celsius(padTo)}
            {discs.off > 0 && `, off by ${formatNumber(discs.off, 0)} K`}).
          </p>
        )
      })}
      <div className="mt-2 max-w-[720px] overflow-x-auto">
        <table className="w-full" data-testid="stops">
          <caption className="sr-only">Disc temperatures stop by stop</caption>
          <TableHead columns={STOP_HEAD} />
          <tbody>
            {brakes.stops.map((stop, i) => (
              <tr key={i} className="border-b border-line">
                <th scope="row" className="py-1 text-left font-normal whitespace-nowrap">
                  {formatQuantity(stop.from, velocity, 0)} → {formatQuantity(stop.to, velocity, 0)}
                </th>
                {AXLE_ENDS.flatMap((end) =>
                  (['first', 'settled'] as const).map((lap) => {
                    const heat = figures.discs[end]?.[lap][i]
                    return (
                      <td key={end + lap} className="pl-2 text-right whitespace-nowrap tabular-nums">
                        {heat ? celsius(brakes.air + heat.after) : '–'}
                      </td>
                    )
                  }),
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-1 text-[12.5px] text-muted">
        All of what is braked away goes into the discs: the air and the engine take some of it, so these are
        the hottest they get. Cast iron, 460 J/kg·K.
      </p>
    </section>
  )
}

/** Other calipers, discs or pads, side by side with what is fitted. */
function Alternatives({ brakes, own, speed }: { brakes: Brakes; own: BrakeFigures; speed: number }) {
  const car = useLiveCar()
  const { unit, view } = useBuild()
  const money = useMoney(view.build.currency)
  if (brakes.alternatives.length === 0) return null
  const mass = unit('mass')
  const rows = [
    { id: 'own', name: 'As fitted', axle: null, massChange: 0, price: 0, figures: own },
    ...brakes.alternatives.flatMap((other) => {
      const figures = brakeFigures(car, withAlternative(brakes, other), speed)
      return figures ? [{ ...other, figures }] : []
    }),
  ]
  return (
    <section aria-label="Alternatives" className="mt-5">
      <h2 className="text-[20px]">Other brakes</h2>
      <div className="overflow-x-auto">
        <table className="w-full" data-testid="brake-alternatives">
          <caption className="sr-only">Other brakes beside those that are fitted</caption>
          <TableHead columns={OTHER_HEAD} />
          <tbody>
            {rows.map(({ id, name, axle, massChange, price, figures }) => {
              const hottest = Math.max(...AXLE_ENDS.map((end) => figures.discs[end]?.hottest ?? -Infinity))
              const off = padsOff(figures)
              return (
                <tr key={id} className="border-b border-line">
                  <th scope="row" className="px-1 py-1.5 text-left font-medium">
                    {name}
                    {axle && <span className="text-muted">, {AXLE_END[axle]}</span>}
                  </th>
                  <td className={`px-1 ${figures.first === 'rear' ? 'text-oxide' : ''}`}>
                    {figures.first ?? 'neither'}, {g(Math.abs(figures.margin))} g before
                  </td>
                  <td className="px-1 text-right tabular-nums">
                    {g(
                      Math.min(
                        figures.locks.front?.deceleration ?? Infinity,
                        figures.locks.rear?.deceleration ?? Infinity,
                      ),
                    )}{' '}
                    g
                  </td>
                  <td className="px-1 text-right tabular-nums">
                    {figures.effort === null ? '–' : formatQuantity(figures.effort, unit('force'))}
                  </td>
                  <td className="px-1 text-right tabular-nums">
                    {Number.isFinite(hottest) ? celsius(hottest) : '–'}
                  </td>
                  <td className={`px-1 text-right tabular-nums ${off ? 'text-oxide' : ''}`}>
                    {off === null ? '–' : off === 0 ? 'within' : `${formatNumber(off, 0)} K`}
                  </td>
                  <td className="px-1 text-right tabular-nums">
                    {id === 'own' ? '–' : `${massChange > 0 ? '+' : ''}${formatQuantity(massChange, mass)}`}
                  </td>
                  <td className="px-1 text-right tabular-nums">{id === 'own' ? '–' : money(price)}</td>
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
    </section>
  )
}

/** Linings, discs and pressures as measured, and what follows. */
function Readings({
  figures,
  brakes,
  onReading,
}: {
  figures: BrakeFigures
  brakes: Brakes
  onReading: (id: string | null) => void
}) {
  const { view, ledger, stage, unit, removeSaying } = useBuild()
  const readings = newestFirst(view.brakeReadings, ledger.stages, stage.id)
  const thinnest = (r: BrakeReading, end: 'front' | 'rear'): number | null => {
    const both =
      end === 'front'
        ? [r.linings.frontLeft, r.linings.frontRight]
        : [r.linings.rearLeft, r.linings.rearRight]
    const found = both.filter((l) => l !== null)
    return found.length > 0 ? Math.min(...found) : null
  }
  const wear = (end: 'front' | 'rear') => {
    const worn = readings.flatMap((r): LiningReading[] => {
      const thickness = thinnest(r, end)
      return r.laps !== null && thickness !== null ? [{ laps: r.laps, thickness }] : []
    })
    return liningWear(brakes[end].padNew, brakes[end].padLeast, worn)
  }
  const energyALap = (end: 'front' | 'rear') => {
    const share = end === 'front' ? figures.share : 1 - figures.share
    return brakes.stops.reduce(
      (sum, s) => sum + 0.5 * figures.car.mass * (s.from ** 2 - s.to ** 2) * share,
      0,
    )
  }
  return (
    <section aria-label="Measured" className="mt-5">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-[20px]">Measured</h2>
        <span className="flex gap-1">
          <ListCsv kind="brakeReading" records={readings} />
          <MayOnly right="log">
            <Button onClick={() => onReading(null)}>Measure linings, discs, pressures</Button>
          </MayOnly>
        </span>
      </div>
      {AXLE_ENDS.map((end) => {
        const found = wear(end)
        if (!found) return null
        const perLap = energyALap(end)
        return (
          <p key={end} className="text-[15px]" data-testid={`wear-${end}`}>
            <b className="font-medium">{AXLE_WORDS[end]} pads:</b> about{' '}
            <span className="figure text-[20px]">{formatNumber(found.lapsLeft, 0)}</span> laps left, between{' '}
            {formatNumber(found.range[0], 0)} and{' '}
            {Number.isFinite(found.range[1]) ? formatNumber(found.range[1], 0) : 'far more'} (90 %);{' '}
            {formatNumber(found.perLap * 1e6, 0)} ±{formatNumber(found.sigma * 1e6, 0)} µm a lap
            {perLap > 0 &&
              `, ${formatNumber((found.perLap * 1e6) / (perLap / 1e6), 1)} µm for each MJ they take`}
            .
          </p>
        )
      })}
      <ul>
        {readings.map((reading) => {
          const bias = reading.pressures && shareFromPressures(figures.system, reading.pressures)
          return (
            <li
              key={reading.id}
              className="flex flex-wrap items-baseline justify-between gap-2 border-b border-line py-1.5"
            >
              <span>
                <b className="font-medium">{reading.name}</b>{' '}
                <span className="text-[13.5px] text-muted">{reading.date}</span>{' '}
                {AXLE_ENDS.map((end) => {
                  const lining = thinnest(reading, end)
                  return lining === null ? null : (
                    <span key={end} className="mr-2">
                      {end} {formatNumber(lining * 1000, 1)} mm
                    </span>
                  )
                })}
                {CORNERS.some((c) => reading.discs[c] !== null) &&
                  `discs ${CORNERS.map((c) => {
                    const disc = reading.discs[c]
                    return disc === null ? '–' : celsius(disc)
                  }).join(', ')}; `}
                {reading.pressures && bias !== null && (
                  <>
                    {formatQuantity(reading.pressures.front, unit('pressure'))} and{' '}
                    {formatQuantity(reading.pressures.rear, unit('pressure'))}: {percent(bias)} % front
                  </>
                )}
                {reading.note && <span className="text-[13.5px] text-muted"> {reading.note}</span>}
              </span>
              <span>
                <RowButtons
                  name={reading.name}
                  recordId={reading.id}
                  onChange={() => onReading(reading.id)}
                  onRemove={() =>
                    removeSaying(
                      'brakeReading',
                      reading.id,
                      `the readings of ${reading.name}`,
                      'Readings removed.',
                    )
                  }
                />
              </span>
            </li>
          )
        })}
      </ul>
      {readings.length === 0 && (
        <p className="text-[14px] text-muted">
          Linings measured after so many laps say how many are left; pressures in both lines say the bias that
          was driven; discs read straight after say whether the heat here is right.
        </p>
      )}
    </section>
  )
}
