import {
  fuelBlend,
  formatNumber,
  formatQuantity,
  fromSi,
  known,
  preferredUnit,
  flowOfPumps,
  sizeFuel,
  unitOf,
  whatToChange,
  type FuelDemand,
  type FuelSizing,
  itemAt,
} from '@bold-ballast/core'
import { useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { Chart } from '../../../ui/Chart'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { TableHead } from '../../../ui/TableHead'
import { LinkRow } from '../LinkRow'
import { SizedFor } from '../SizedFor'
import { useSizing } from '../useSizing'
import { useWantedPower } from '../useWantedPower'

const FLOW = unitOf('volumeFlow', 'cc/min')
const PUMP = unitOf('volumeFlow', 'l/h')
const MASS_FLOW = unitOf('massFlow', 'g/s')
const FUELS: readonly (readonly [string, number])[] = [
  ['Petrol, E5', 0.05],
  ['E10', 0.1],
  ['E85 as labelled', 0.85],
  ['Ethanol', 1],
]

/** The fuel system against the power that is wanted, on the fuel that was measured and on others. */
export function FuelView({ onOpen }: { onOpen: () => void }) {
  const { view, unit, units } = useBuild()
  const { sizing, carriedFrom } = useSizing()
  const wanted = useWantedPower()
  const [typed, setTyped] = useState<number | null>(null)
  const power = typed ?? (wanted ? wanted.crank[1] : null)
  const { engine, fuel } = sizing
  const pressure = preferredUnit('pressure', units)
  const demand = useMemo<FuelDemand | null>(
    () =>
      engine && power && power > 0
        ? {
            power,
            boost: engine.boost,
            speed: engine.powerSpeed,
            ethanol: engine.ethanol,
            bsfc: engine.fuelUse,
          }
        : null,
    [engine, power],
  )
  const result = useMemo(() => {
    if (!fuel || !demand) return null
    try {
      const fuels = [['As measured', demand.ethanol] as const, ...FUELS].map(([name, ethanol]) => ({
        name,
        ethanol,
        sized: sizeFuel(fuel, { ...demand, ethanol }),
      }))
      return { sized: itemAt(fuels, 0).sized, fuels, changes: whatToChange(fuel, demand) }
    } catch (error) {
      return { problem: (error as Error).message }
    }
  }, [fuel, demand])
  const chart = useMemo(() => {
    if (!fuel || !result || 'problem' in result) return null
    const top = Math.max(...fuel.pumps.map((p) => itemAt(p.curve.points, -1).pressure))
    const bottom = Math.min(...fuel.pumps.map((p) => itemAt(p.curve.points, 0).pressure))
    const x = Array.from({ length: 31 }, (_, i) => bottom + ((top - bottom) * i) / 30)
    const given = x.map((p) => flowOfPumps(fuel, p))
    const { sized } = result
    const at = (p: number) => Number(fromSi(p, pressure).toFixed(2))
    const litres = (f: number) => Number(fromSi(f, PUMP).toFixed(0))
    return {
      table: x.map((p, i) => [at(p), litres(itemAt(given, i))]),
      series: [
        {
          name: 'Pumps give',
          x: x.map(at),
          y: given.map(litres),
          colour: '--blued',
          says: given.map(
            (f, i) => `The pumps give ${litres(f)} l/h against ${at(itemAt(x, i))} ${pressure.symbol}`,
          ),
        },
        {
          name: 'Engine drinks',
          x: [at(sized.pumpPressure)],
          y: [litres(sized.fuelVolume)],
          colour: '--oxide',
          mode: 'markers' as const,
          symbol: 'diamond',
          says: [
            `The engine drinks ${litres(sized.fuelVolume)} l/h at ${at(sized.pumpPressure)} ${pressure.symbol}`,
          ],
        },
      ],
    }
  }, [fuel, result, pressure])

  if (!engine || !fuel)
    return (
      <EmptyRoom
        title="No fuel system yet"
        action={
          <Button look="main" onClick={onOpen}>
            Type engine, fuel and air
          </Button>
        }
      >
        With the injectors’ flow and dead time, the pumps’ sheets, the regulator and the line, you get the
        power that each supports on each fuel, and what has to change to reach the mark.
      </EmptyRoom>
    )
  const show = (si: number) => formatQuantity(si, unit('power'), 0)
  return (
    <>
      <SizedFor wanted={wanted} power={power} onPower={setTyped} carriedFrom={carriedFrom} />
      {!demand && <p className="mt-3 text-ochre">Type a power to size for, or set a mark.</p>}
      {result && 'problem' in result && (
        <p role="alert" className="mt-3 text-oxide">
          {result.problem}.
        </p>
      )}
      {result && !('problem' in result) && demand && (
        <>
          <section aria-label="Links of the fuel system" className="mt-2" data-testid="fuel-links">
            <LinkRow
              name="Injectors"
              now={
                <>
                  open {formatNumber(result.sized.duty * 100, 0)} % of the cycle at{' '}
                  {formatNumber((demand.speed * 30) / Math.PI, 0)} rpm, at most{' '}
                  {formatNumber(fuel.injectors.maxDuty * 100, 0)} %;{' '}
                  {formatQuantity(result.sized.injectorFlowNeeded, FLOW, 0)} each are needed,{' '}
                  {formatQuantity(fuel.injectors.flow, FLOW, 0)} are there
                </>
              }
              supports={known(result.sized.supports.injectors, 'claim')}
              wanted={demand.power}
              working={injectorWorking(result.sized, demand, show(demand.power))}
            />
            <LinkRow
              name="Pumps"
              now={
                <>
                  give {formatQuantity(result.sized.pumpFlow, PUMP, 0)} against{' '}
                  {formatQuantity(result.sized.pumpPressure, pressure)} at {fuel.voltage} V; the engine drinks{' '}
                  {formatQuantity(result.sized.fuelVolume, PUMP, 0)}, {formatNumber(fuel.spare * 100, 0)} % is
                  kept in hand; the line loses {formatQuantity(result.sized.lineLoss, pressure)}
                </>
              }
              supports={known(result.sized.supports.pumps, 'claim')}
              wanted={demand.power}
            />
          </section>
          <section aria-label="What to change" className="mt-3">
            <h2 className="text-[19px]">What to change</h2>
            {result.changes.length === 0 ? (
              <p className="text-zinc">Nothing: the fuel system reaches {show(demand.power)} on this fuel.</p>
            ) : (
              <ul className="list-disc pl-5" data-testid="changes">
                {result.changes.map((change) => (
                  <li key={change.link}>
                    {change.link === 'injectors' &&
                      `Injectors of ${formatQuantity(change.flow, FLOW, 0)} or more each${change.railPressure ? `, or the rail at ${formatQuantity(change.railPressure, pressure)} if they and the pumps stand it` : '; more rail pressure alone is not enough'}.`}
                    {change.link === 'pumps' &&
                      `${formatQuantity(change.flowShort, PUMP, 0)} more from the pumps at ${formatQuantity(change.pumpPressure, pressure)}${change.oneMore ? ': one more of the first pump is enough' : ': one more of the first pump is not enough'}.`}
                    {change.link === 'fuel' &&
                      `Or petrol: the same system supports ${show(change.supports)} on E5. Its knock limit is another matter.`}
                  </li>
                ))}
              </ul>
            )}
          </section>
          <section aria-label="On each fuel" className="mt-4">
            <h2 className="text-[19px]">On each fuel</h2>
            <div className="overflow-x-auto" role="region" aria-label="Fuels" tabIndex={0}>
              <table className="w-full max-w-[760px] whitespace-nowrap [&_td]:pl-4 [&_thead_th]:pl-4 [&_thead_th:first-child]:pl-0">
                <TableHead
                  columns={[
                    { says: 'Fuel' },
                    { says: 'Air for each kg', figures: true },
                    { says: 'Flow', figures: true },
                    { says: 'Injectors support', figures: true },
                    { says: 'Pumps support', figures: true },
                  ]}
                />
                <tbody>
                  {result.fuels.map(({ name, ethanol, sized }) => (
                    <tr key={name} className="border-b border-line">
                      <th scope="row" className="py-1.5 text-left font-medium">
                        {name}{' '}
                        <span className="font-normal text-muted">
                          {formatNumber(ethanol * 100, 0)} % ethanol
                        </span>
                      </th>
                      <td className="figure text-right text-[17px]">
                        {formatNumber(fuelBlend(ethanol).stoichiometric, 2)} kg
                      </td>
                      <td className="figure text-right text-[17px]">
                        {formatQuantity(sized.fuelMass, MASS_FLOW, 1)}
                      </td>
                      {(['injectors', 'pumps'] as const).map((link) => (
                        <td
                          key={link}
                          className={`figure text-right text-[17px] ${sized.supports[link] < demand.power ? 'text-oxide' : ''}`}
                        >
                          {show(sized.supports[link])}
                        </td>
                      ))}
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          </section>
          {chart && (
            <Chart
              title="Pumps against the engine"
              summary={`Flow of all pumps against pressure; the engine drinks ${formatQuantity(result.sized.fuelVolume, PUMP, 0)}.`}
              xTitle={`Pressure (${pressure.symbol})`}
              yTitle="Flow (l/h)"
              series={chart.series}
              table={{ header: [`pressure (${pressure.symbol})`, 'flow (l/h)'], rows: chart.table }}
              filename={`${view.build.name} fuel pumps`}
              height={240}
            />
          )}
          <p className="text-[13px] text-muted">
            Fuel and nitrous: lines and bottles away from heat and from where people sit, a rated fire
            extinguisher, connections looked at before each run. The organiser’s rules decide.
          </p>
        </>
      )}
    </>
  )
}

const injectorWorking = (sized: FuelSizing, demand: FuelDemand, power: string) => ({
  title: 'Injector duty',
  formula: 'duty = P·BSFC / (n·Q·√(Δp/p₀)·ρ) + dead time / cycle',
  inputs: [
    ['Power at the crank', power],
    ['BSFC on this fuel', `${formatNumber((sized.fuelMass / demand.power) * 3.6e9, 0)} g/kWh`],
    ['Fuel', `${formatNumber(sized.fuelMass * 1000, 1)} g/s`],
    ['Pressure across', `${formatNumber(sized.pressureAcrossInjector / 1e5, 2)} bar`],
  ] as const,
  result: `${formatNumber(sized.duty * 100, 1)} %`,
  source: 'conservation of mass; flow with √pressure; BSFC by equal heat of the blend',
})
