import { airThroughMap } from '@bold-ballast/model'
import {
  chargeAt,
  formatNumber,
  formatQuantity,
  fromSi,
  known,
  operatingPoint,
  preferredUnit,
  projectBoost,
  sizeAir,
  type AirSystem,
  type OperatingPoint,
} from '@bold-ballast/core'
import { useMemo, useState } from 'react'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { Chart, type Series } from '../../../ui/Chart'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { QuantityField } from '../../../ui/QuantityField'
import { ShowWorking } from '../../../ui/ShowWorking'
import { LinkRow } from '../LinkRow'
import { SizedFor } from '../SizedFor'
import { useSizing } from '../useSizing'
import { useWantedPower } from '../useWantedPower'

const WHERE: Record<OperatingPoint['where'], string> = {
  inside: 'inside the map',
  surge: 'left of the map: it may surge',
  choke: 'right of the map: it chokes',
  aboveMap: 'above the map: overspeed',
  noMap: 'no map typed: 68 % taken',
}

/** The air that the wanted power needs: boost, charge temperature, where the compressor works, and what more boost may bring. */
export function AirView({ onOpen }: { onOpen: () => void }) {
  const { view, stage, unit, units } = useBuild()
  const { summary } = useLiveBuild()
  const { sizing, carriedFrom } = useSizing()
  const wanted = useWantedPower()
  const [typed, setTyped] = useState<number | null>(null)
  const [asked, setAsked] = useState<number | null>(null)
  const power = typed ?? (wanted ? wanted.crank[1] : null)
  const { engine, air } = sizing
  const pressure = preferredUnit('pressure', units)
  const flow = preferredUnit('massFlow', units)
  const system = useMemo<AirSystem | null>(
    () =>
      engine && air
        ? {
            ...air,
            displacement: engine.displacement,
            volumetricEfficiency: engine.volumetricEfficiency,
            lambda: engine.lambda,
          }
        : null,
    [engine, air],
  )
  const demandAt = useMemo(
    () =>
      engine &&
      ((watts: number, speed: number) => ({
        power: watts,
        speed,
        ethanol: engine.ethanol,
        bsfc: engine.fuelUse,
      })),
    [engine],
  )
  const result = useMemo(() => {
    if (!system || !air || !engine || !demandAt || !power || !(power > 0)) return null
    try {
      const sized = sizeAir(system, demandAt(power, engine.powerSpeed), air.outside)
      // The shape of the stage's own curve, brought to the wanted peak, gives the line through the map.
      const pull = view.pulls.find(
        (p) => p.dynoDayId === summary.measuredPower?.dynoDayId && p.points && p.standsForStage,
      )
      const line = airThroughMap(pull ?? null, power, system, demandAt, air.outside)
      return { sized, line }
    } catch (error) {
      return { problem: (error as Error).message }
    }
  }, [system, air, engine, demandAt, power, view.pulls, summary.measuredPower])

  const boost =
    asked ??
    (result && !('problem' in result) && result.sized.boost !== null
      ? Math.round(result.sized.boost / 10_000) * 10_000
      : 100_000)
  const now = summary.measuredPower?.power.value ?? null
  const projection = useMemo(() => {
    if (!system || !air || !engine || now === null || !(boost > -90_000)) return null
    const from = chargeAt(system, engine.boost, 0.7, air.outside)
    const to = chargeAt(system, boost, 0.7, air.outside)
    const massFlow = result && !('problem' in result) ? result.sized.massFlow : null
    const island = system.compressor?.island ?? []
    const where =
      massFlow === null
        ? 'noMap'
        : operatingPoint(island, massFlow / (system.compressor?.count ?? 1), to.ratio).where
    return { ...projectBoost(now, from, to, where), where }
  }, [system, air, engine, now, boost, result])

  const chart = useMemo(() => {
    if (!system?.compressor || !result || 'problem' in result) return null
    const point = (
      name: string,
      xs: number[],
      ys: number[],
      colour: string,
      more: Partial<Series>,
      says: string[],
    ): Series => ({
      name,
      x: xs,
      y: ys,
      colour,
      says,
      ...more,
    })
    const island = system.compressor.island
    const round = (v: number) => Number(v.toFixed(3))
    const { operating } = result.sized
    const series = [
      point(
        'Map, efficiency',
        island.map((p) => p.flow),
        island.map((p) => p.ratio),
        '--muted',
        { mode: 'markers', hollow: true },
        island.map((p) => `${(p.efficiency * 100).toFixed(0)} % at ${p.flow} kg/s and ${p.ratio}`),
      ),
      ...(result.line.length > 1
        ? [
            point(
              'This curve',
              result.line.map((l) => round(l.flow)),
              result.line.map((l) => round(l.ratio)),
              '--blued',
              { mode: 'lines+markers' as const },
              result.line.map(
                (l) =>
                  `${Math.round((l.speed * 30) / Math.PI).toLocaleString('en-GB')} rpm: ${round(l.flow)} kg/s at ${round(l.ratio)}, ${(l.efficiency * 100).toFixed(0)} %`,
              ),
            ),
          ]
        : []),
      ...(operating
        ? [
            point(
              'Peak power',
              [round(operating.flow)],
              [round(operating.ratio)],
              '--oxide',
              { mode: 'markers' as const, symbol: 'diamond' },
              [`Peak power: ${round(operating.flow)} kg/s at ${round(operating.ratio)}`],
            ),
          ]
        : []),
    ]
    return {
      series,
      rows: [
        ...island.map((p) => ['map', p.flow, p.ratio, p.efficiency]),
        ...result.line.map((l) => [
          `${Math.round((l.speed * 30) / Math.PI)} rpm`,
          round(l.flow),
          round(l.ratio),
          round(l.efficiency),
        ]),
      ],
    }
  }, [system, result])

  if (!engine || !air || !system)
    return (
      <EmptyRoom
        title="No air yet"
        action={
          <Button look="main" onClick={onOpen}>
            Type engine, fuel and air
          </Button>
        }
      >
        With displacement, mixture, intercooler and points off the compressor’s map you get the boost that the
        wanted power takes, how hot the charge gets, where on its map the compressor works, and what more
        boost might bring, as an honest range.
      </EmptyRoom>
    )
  const power_ = unit('power')
  const celsius = unit('temperature')
  return (
    <>
      <SizedFor wanted={wanted} power={power} onPower={setTyped} carriedFrom={carriedFrom} />
      {!result && <p className="mt-3 text-ochre">Type a power to size for, or set a mark.</p>}
      {result && 'problem' in result && (
        <p role="alert" className="mt-3 text-oxide">
          {result.problem}.
        </p>
      )}
      {result && !('problem' in result) && power && (
        <>
          <dl className="my-3 grid grid-cols-2 gap-x-6 gap-y-1 @2xl:grid-cols-4" data-testid="air">
            {(
              [
                ['Air', formatQuantity(result.sized.massFlow, flow)],
                ...(result.sized.boost === null
                  ? [['Boost needed', 'not known: no compressor'] as const]
                  : [
                      [
                        result.sized.boost > 0 ? 'Boost needed' : 'Manifold vacuum',
                        formatQuantity(result.sized.boost, pressure),
                      ] as const,
                      ['Pressure ratio', formatNumber(result.sized.pressureRatio, 2)] as const,
                      [
                        'Out of the compressor',
                        formatQuantity(result.sized.compressorOut, celsius, 0),
                      ] as const,
                      [
                        'Into the engine',
                        formatQuantity(result.sized.manifoldTemperature, celsius, 0),
                      ] as const,
                    ]),
                [
                  'Compressor',
                  result.sized.operating ? `${formatNumber(result.sized.efficiency * 100, 0)} %` : '–',
                ],
                ['Intercooler takes out', `${formatNumber(result.sized.intercoolerHeat / 1000, 1)} kW`],
                [
                  'On its map',
                  result.sized.operating ? WHERE[result.sized.operating.where] : 'no compressor',
                ],
              ] as const
            ).map(([name, figure]) => (
              <div key={name} className="border-b border-line py-1">
                <dt className="text-[13px] text-muted">{name}</dt>
                <dd className={/^[\d−]/.test(figure) ? 'figure text-[22px]' : 'text-[15px]'}>{figure}</dd>
              </div>
            ))}
          </dl>
          {result.sized.boost === null ? (
            <p className="max-w-[720px]" data-testid="needs-boost">
              The engine doesn’t breathe that much by itself: it takes boost, and how much hangs on how hot a
              compressor makes the air. Type points off a compressor’s map, and it is worked out.
            </p>
          ) : (
            <p>
              <ShowWorking
                working={{
                  title: 'Boost needed',
                  formula: 'p = ṁ·R·T / (V·VE·n/2),  T by compression and intercooler, round until it stands',
                  inputs: [
                    ['Power', formatQuantity(power, power_, 0)],
                    ['Air = P · BSFC · λ · ratio', formatQuantity(result.sized.massFlow, flow)],
                    [
                      'Displacement, VE',
                      `${formatNumber(engine.displacement * 1000, 2)} l, ${formatNumber(engine.volumetricEfficiency * 100, 0)} %`,
                    ],
                    ['Charge', formatQuantity(result.sized.manifoldTemperature, celsius, 0)],
                  ],
                  result: formatQuantity(result.sized.boost, pressure),
                  source:
                    'ideal gas; isentropic compression with the map’s efficiency; Heywood, Internal Combustion Engine Fundamentals, 6.8',
                }}
              />{' '}
              <span className="text-[13px] text-muted">
                A model’s figure: coefficients are guesses until a pull shows the boost.
              </span>
            </p>
          )}
          <section aria-label="Ratings" className="mt-2">
            {air.compressor?.rating && (
              <LinkRow
                name="Turbo"
                now={`rated by its maker${air.compressor.count > 1 ? `, ${air.compressor.count} of them` : ''}`}
                supports={known(air.compressor.rating * air.compressor.count, 'claim')}
                wanted={power}
              />
            )}
            {air.intercooler?.rating && (
              <LinkRow
                name="Intercooler"
                now={`rated by its maker; effectiveness ${formatNumber(air.intercooler.effectiveness * 100, 0)} %`}
                supports={known(air.intercooler.rating, 'claim')}
                wanted={power}
              />
            )}
          </section>
          {chart && (
            <Chart
              title="Compressor map"
              summary="Points of the compressor’s map, and where the engine works on it."
              xTitle="Corrected flow of one (kg/s)"
              yTitle="Pressure ratio"
              series={chart.series}
              table={{ header: ['point', 'flow (kg/s)', 'pressure ratio', 'efficiency'], rows: chart.rows }}
              filename={`${view.build.name} compressor`}
              height={260}
            />
          )}
        </>
      )}
      <section aria-label="More boost" className="mt-4 border-t border-line pt-3">
        <h2 className="text-[19px]">What would more boost bring?</h2>
        {now === null ? (
          <p className="text-muted">A pull that stands for {stage.name} is needed to project from.</p>
        ) : (
          <div className="mt-2 flex flex-wrap items-end gap-6">
            <div className="w-[150px]">
              <QuantityField
                label="Boost asked about"
                quantity="pressure"
                unit={pressure}
                value={boost}
                onChange={setAsked}
              />
            </div>
            {projection && (
              <p data-testid="projection">
                <span className="figure text-[26px]">
                  {formatNumber(fromSi(projection.low, power_), 0)} to{' '}
                  {formatNumber(fromSi(projection.high, power_), 0)}
                </span>{' '}
                <span className="unit">{power_.symbol} at the wheels</span>
                <span className="block text-[13px] text-muted">
                  from {formatQuantity(now, power_, 0)} at {formatQuantity(engine.boost, pressure)}; likely
                  about {formatQuantity(projection.likely, power_, 0)}. A guess: density gives the high end,
                  heat, knock and back pressure take half of the gain at the low end
                  {projection.where === 'inside' ? '' : `; ${WHERE[projection.where]}`}.
                </span>
              </p>
            )}
          </div>
        )}
      </section>
    </>
  )
}
