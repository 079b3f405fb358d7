import {
  formatNumber,
  formatQuantity,
  frontShareAfter,
  preferredUnit,
  sizeCooling,
  unitOf,
  type CoolingSizing,
  airDensity,
  STANDARD_PRESSURE,
} from '@bold-ballast/core'
import { useMemo, useState } from 'react'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { ShowWorking } from '../../../ui/ShowWorking'
import { SizedFor } from '../SizedFor'
import { useSizing } from '../useSizing'
import { useWantedPower } from '../useWantedPower'

const AREA = unitOf('area', 'm²')
const VERDICT: Record<CoolingSizing['verdict'], readonly [colour: string, words: string]> = {
  enough: ['text-zinc', 'Enough: it stays below 105 °C and gets warm.'],
  tooHot: ['text-oxide', 'Too hot: the coolant settles above 105 °C.'],
  neverWarm: [
    'text-ochre',
    'Too much cooling: with everything open it never reaches running temperature at this load.',
  ],
}

/** Heat into coolant and oil against what radiator, ducts and speed carry off; and where the radiator's mass sits. */
export function CoolingView({ onOpen }: { onOpen: () => void }) {
  const { stage, unit, units, built } = useBuild()
  const { summary } = useLiveBuild()
  const { sizing, carriedFrom } = useSizing()
  const wanted = useWantedPower()
  const [typed, setTyped] = useState<number | null>(null)
  const power = typed ?? (wanted ? wanted.crank[1] : null)
  const { cooling } = sizing
  const result = useMemo(() => {
    if (!cooling || !power || !(power > 0)) return null
    const temperature = cooling.airTemperature
    const dry = { temperature, pressure: STANDARD_PRESSURE, humidity: 0 }
    const air = { temperature, density: airDensity(dry) }
    try {
      return sizeCooling(cooling, power, cooling.roadSpeed, air)
    } catch (error) {
      return { problem: (error as Error).message }
    }
  }, [cooling, power])
  const moved = useMemo(() => {
    if (!cooling || !(summary.mass.value > 0)) return null
    const { wheelbase } = built
    const coolantInCore = 0.4 * cooling.coolantVolume * cooling.coolantDensity
    const frontShare = 1 - summary.asFitted.centre.x.value / wheelbase
    const part = { mass: cooling.radiatorMass + coolantInCore, from: cooling.radiatorX, to: cooling.move.to }
    return {
      part,
      before: frontShare,
      ...frontShareAfter({ mass: summary.mass.value, frontShare, wheelbase }, part, cooling.move.hoses),
    }
  }, [cooling, summary, built])
  if (!cooling)
    return (
      <EmptyRoom
        title="No cooling yet"
        action={
          <Button look="main" onClick={onOpen}>
            Type the cooling
          </Button>
        }
      >
        With the core’s size, its ducts and the speed of a lap you get where coolant and oil settle, the air
        and core area that are needed, whether it ever gets warm, and what a radiator at the rear does to the
        front share.
      </EmptyRoom>
    )
  const celsius = unit('temperature')
  const length = unit('length')
  const velocity = preferredUnit('velocity', units)
  const figures: [string, string][] =
    result && !('problem' in result)
      ? [
          ['Heat into the coolant', `${formatNumber(result.coolantHeat / 1000, 1)} kW`],
          ['Heat into the oil', `${formatNumber(result.oilHeat / 1000, 1)} kW`],
          ['Coolant settles at', formatQuantity(result.coolantTemperature, celsius, 0)],
          [
            'Oil settles at',
            cooling.oilCoolerArea > 0 ? formatQuantity(result.oilTemperature, celsius, 0) : 'no cooler',
          ],
          ['Core needed for 105 °C', formatQuantity(result.areaNeeded, AREA)],
          ['Air through the core', `${formatNumber(result.airflow, 2)} m³/s`],
          [
            'Air needed for 105 °C',
            result.airflowNeeded === null
              ? 'more than any duct gives'
              : `${formatNumber(result.airflowNeeded, 2)} m³/s`,
          ],
          [
            `On an easy lap, ${formatNumber(result.lightLoad * 100, 0)} % of the power, all open`,
            formatQuantity(result.lightLoadTemperature, celsius, 0),
          ],
          ...(result.airAtRadiator > cooling.airTemperature + 0.05
            ? ([['Air at the radiator', formatQuantity(result.airAtRadiator, celsius, 0)]] as [
                string,
                string,
              ][])
            : []),
          ...(result.airAtOilCooler > cooling.airTemperature + 0.05
            ? ([['Air at the oil cooler', formatQuantity(result.airAtOilCooler, celsius, 0)]] as [
                string,
                string,
              ][])
            : []),
        ]
      : []
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
          <p className={`mt-3 text-[19px] ${VERDICT[result.verdict][0]}`} data-testid="cooling-verdict">
            {VERDICT[result.verdict][1]}
            {result.verdict === 'neverWarm' &&
              ` Blank ${formatNumber(result.blankingAdvised * 100, 0)} % of the core, ${cooling.thermostat ? 'or the thermostat has to keep most of the flow shut' : 'or fit a smaller one'}: oil that stays cold wears the engine and costs power.`}
            {result.verdict === 'tooHot' &&
              ` The core has ${formatQuantity(cooling.coreArea, AREA)}, ${formatQuantity(result.areaNeeded, AREA)} are needed with these ducts.`}
          </p>
          <dl className="my-3 grid grid-cols-2 gap-x-6 gap-y-1 @2xl:grid-cols-4">
            {figures.map(([name, figure]) => (
              <div key={name} className="border-b border-line py-1">
                <dt className="text-[13px] text-muted">{name}</dt>
                <dd className={/\d/.test(figure) ? 'figure text-[22px]' : ''}>{figure}</dd>
              </div>
            ))}
          </dl>
          <p className="text-[13px] text-muted">
            At {formatQuantity(cooling.roadSpeed, velocity, 0)} on average,{' '}
            {formatQuantity(cooling.airTemperature, celsius, 0)} outside,{' '}
            {formatNumber(cooling.dutyCycle * 100, 0)} % of the power over a lap. Shares of heat and the
            core’s transfer are guesses: log the coolant on a test day.{' '}
            <ShowWorking
              working={{
                title: 'Where the coolant settles',
                formula: 'T = T_air + Q / (ṁ·c·(1 − e^(−NTU))),  NTU = U·A·(v/v₀)^0.6 / (ṁ·c)',
                inputs: [
                  ['Heat', `${formatNumber(result.coolantHeat / 1000, 1)} kW`],
                  ['Core', formatQuantity(cooling.coreArea, AREA)],
                  ['Air through it', `${formatNumber(result.airflow, 2)} m³/s`],
                  [
                    'Thermostat',
                    cooling.thermostat ? formatQuantity(cooling.thermostat, celsius, 0) : 'none',
                  ],
                ],
                result: formatQuantity(result.coolantTemperature, celsius, 0),
                source:
                  'Incropera & DeWitt, Fundamentals of Heat and Mass Transfer, chapter 11; heat shares common practice',
              }}
            />
          </p>
        </>
      )}
      {moved && result && !('problem' in result) && (
        <section aria-label="Where its mass sits" className="mt-4 border-t border-line pt-3">
          <h2 className="text-[19px]">It is ballast, too</h2>
          <p className="mt-1 max-w-[760px]" data-testid="radiator-move">
            Coolant {formatQuantity(result.coolantMass, unit('mass'))}, radiator{' '}
            {formatQuantity(cooling.radiatorMass, unit('mass'))}. With the radiator and what is in it (
            {formatQuantity(moved.part.mass, unit('mass'))}) moved from{' '}
            {formatQuantity(moved.part.from, length)} to {formatQuantity(moved.part.to, length)} behind the
            front axle, and {formatQuantity(cooling.move.hoses, unit('mass'))} of hoses between, the front
            share of {stage.name} goes from{' '}
            <span className="figure text-[19px]">{formatNumber(moved.before * 100, 1)} %</span> to{' '}
            <span className="figure text-[19px]">{formatNumber(moved.frontShare * 100, 1)} %</span> and the
            car weighs {formatQuantity(moved.mass, unit('mass'))}.
          </p>
        </section>
      )}
      <p className="mt-3 text-[13px] text-muted">
        Never open a hot system; catch coolant, it is poison and slippery on a track. Pipes through the cabin
        need a cover where the rules ask for one.
      </p>
    </>
  )
}
