import { CORNER_WORDS, type TyreReading } from '@bold-ballast/contract'
import {
  CORNERS,
  formatNumber,
  formatQuantity,
  hotPressure,
  ICE_POINT,
  perCorner,
  STANDARD_PRESSURE,
  treadHints,
  tyreAirTemperature,
  type Corner,
} from '@bold-ballast/core'
import { soFar } from '@bold-ballast/model'
import { useState } from 'react'
import { CAMBER_HINT, PRESSURE_HINT } from '../../../sheets/treadHintWords'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { Button } from '../../../ui/Button'
import { OntoNextSheet } from '../../../sheets/OntoNextSheet'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { QuantityField } from '../../../ui/QuantityField'
import { RowButtons } from '../../../ui/RowButtons'
import { ListCsv } from '../ListCsv'
import { ShowWorking } from '../../../ui/ShowWorking'

/** Of a corner: how hot the air in the tyre was, by its pressures. K; null where one of both is missing. */
function airIn({ cold, hot, air, barometer }: TyreReading, c: Corner): number | null {
  const [before, after] = [cold[c], hot[c]]
  if (before === null || after === null) return null
  return tyreAirTemperature(before, air - ICE_POINT, after, barometer ?? STANDARD_PRESSURE) + ICE_POINT
}

/** Readings of tyres, what they hint at, and cold pressures for the air of today. */
export function TyresView({ onReading }: { onReading: (id: string | null) => void }) {
  const { view, ledger, stage } = useBuild()
  const readings = soFar(view.tyreReadings, ledger.stages, stage.id).sort(
    (a, b) => b.date.localeCompare(a.date) || (b.time ?? '').localeCompare(a.time ?? ''),
  )
  return (
    <>
      <ColdForToday readings={readings} />
      {readings.length === 0 ? (
        <EmptyRoom
          title="No tyre has been read yet"
          action={
            <Button look="main" onClick={() => onReading(null)}>
              Read the tyres
            </Button>
          }
        >
          Pressures before and straight after, and three temperatures across each tread. You get what they
          hint at about camber and pressure, how hot the air in the tyre was, and the cold pressure for
          another day’s air.
        </EmptyRoom>
      ) : (
        <>
          {readings.map((reading) => (
            <Reading key={reading.id} reading={reading} onChange={() => onReading(reading.id)} />
          ))}
          <ListCsv kind="tyreReading" records={readings} />
        </>
      )}
    </>
  )
}

/** The hot pressures that are wanted, as cold ones in the air of today. */
function ColdForToday({ readings }: { readings: readonly TyreReading[] }) {
  const { unit } = useBuild()
  const { setup } = useLiveCar()
  const [air, setAir] = useState<number | null>(12 + ICE_POINT)
  const [around, setAround] = useState<number | null>(null)
  const temperature = unit('temperature')
  const pressure = unit('pressure')
  const wanted = setup?.value.hot
  if (!wanted || CORNERS.every((c) => wanted[c] === null)) return null
  const hotOf = (c: Corner) => readings.map((r) => airIn(r, c)).find((t) => t !== null) ?? null
  const coldOf = (c: Corner) => {
    const [goal, hot] = [wanted[c], hotOf(c)]
    if (goal === null || hot === null || air === null || !Number.isFinite(air)) return null
    const outside = around && Number.isFinite(around) ? around : STANDARD_PRESSURE
    return hotPressure(goal, hot - ICE_POINT, air - ICE_POINT, outside)
  }
  return (
    <section
      aria-label="Cold for today"
      className="mb-5 max-w-[640px] rounded-[3px] border border-edge bg-panel p-4"
    >
      <h2 className="text-[20px]">Cold, for the air of today</h2>
      <div className="mt-1 flex flex-wrap gap-3">
        <div className="w-[130px]">
          <QuantityField
            label="Tyres are at"
            quantity="temperature"
            unit={temperature}
            value={air}
            onChange={setAir}
          />
        </div>
        <div className="w-[150px]">
          <QuantityField
            label="Barometer"
            quantity="pressure"
            unit={{ symbol: 'kPa', factor: 1000, decimals: 1, aliases: [] }}
            value={around}
            onChange={setAround}
            hint="Empty: sea level"
          />
        </div>
      </div>
      <div className="mt-2 grid grid-cols-2 gap-x-6 gap-y-2" data-testid="cold-today">
        {CORNERS.map((c) => {
          const goal = wanted[c]
          const [hot, cold] = [hotOf(c), coldOf(c)]
          return (
            <p key={c}>
              <span className="block text-[12.5px] text-muted">{CORNER_WORDS[c]}</span>
              {goal === null ? (
                <span className="text-muted">nothing wanted</span>
              ) : hot === null || cold === null ? (
                <span className="text-muted">read it hot once first</span>
              ) : (
                <>
                  <span className="figure text-[24px]">{formatQuantity(cold, pressure)}</span>
                  <span className="block text-[12.5px] text-muted">
                    for {formatQuantity(goal, pressure)} at {formatQuantity(hot, temperature, 0)}
                  </span>
                </>
              )}
            </p>
          )
        })}
      </div>
      {air !== null && CORNERS.some((c) => coldOf(c) !== null) && (
        <p className="mt-2">
          <OntoNextSheet
            why={`Cold pressures for tyres at ${formatQuantity(air, temperature, 0)}`}
            said="these cold pressures"
            change={({ cold }) => ({ cold: perCorner((c) => coldOf(c) ?? cold[c]) })}
          >
            Put them on the next sheet
          </OntoNextSheet>
        </p>
      )}
      <p className="mt-1 text-[12.5px] text-muted">
        Air that is shut in: (p + p₀)/T stays. Taken hot as the last time it was read.{' '}
        <ShowWorking
          working={{
            title: 'Cold for today',
            formula: 'p_cold = (p_hot + p₀)·T_cold/T_hot − p₀',
            inputs: CORNERS.flatMap((c) => {
              const hot = hotOf(c)
              return hot === null
                ? []
                : [[CORNER_WORDS[c], `was at ${formatQuantity(hot, temperature, 0)}`] as const]
            }),
            result: 'one for each tyre',
            source: 'gas law at one volume; how far a tyre grows is left out',
          }}
        />
      </p>
    </section>
  )
}

function Reading({ reading, onChange }: { reading: TyreReading; onChange: () => void }) {
  const { view, unit, removeSaying } = useBuild()
  const pressure = unit('pressure')
  const temperature = unit('temperature')
  const sheet = view.setups.find((s) => s.id === reading.setupId)
  const shown = (pa: number | null) => (pa === null ? '–' : formatQuantity(pa, pressure))
  const kelvins = (k: number) => `${k > 0 ? '+' : '−'}${formatNumber(Math.abs(k), 0)} K`
  return (
    <section aria-label={reading.name} className="mb-6 max-w-[860px]" data-testid="tyre-reading">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-[19px]">
          {reading.name}{' '}
          <span className="text-[13.5px] font-normal text-muted">
            {reading.date}
            {reading.time && ` ${reading.time}`}, tyres cold at {formatQuantity(reading.air, temperature, 0)}
            {sheet && `, on sheet ${sheet.order}`}
          </span>
        </h2>
        <span className="flex gap-1">
          <RowButtons
            name={reading.name}
            recordId={reading.id}
            onChange={onChange}
            onRemove={() =>
              removeSaying('tyreReading', reading.id, `the readings of ${reading.name}`, 'Readings removed.')
            }
          />
        </span>
      </div>
      <div className="grid grid-cols-2 gap-x-6">
        {CORNERS.map((c) => {
          const tread = reading.treads[c]
          const hints = tread && treadHints(tread)
          const air = airIn(reading, c)
          const goal = sheet?.hot[c] ?? null
          const off = goal !== null && reading.hot[c] !== null ? reading.hot[c] - goal : null
          return (
            <div key={c} className="border-b border-line py-2">
              <p className="text-[12.5px] text-muted">{CORNER_WORDS[c]}</p>
              <p>
                {shown(reading.cold[c])} → <span className="figure text-[20px]">{shown(reading.hot[c])}</span>
                {off !== null && (
                  <span className={`ml-2 text-[13.5px] ${Math.abs(off) < 5000 ? 'text-zinc' : 'text-ochre'}`}>
                    {Math.abs(off) < 5000
                      ? 'as wanted'
                      : `${formatQuantity(Math.abs(off), pressure)} ${off > 0 ? 'over' : 'under'}`}
                  </span>
                )}
                {air !== null && (
                  <span className="block text-[12.5px] text-muted">
                    air in it {formatQuantity(air, temperature, 0)}
                  </span>
                )}
              </p>
              {tread && hints && (
                <p className="text-[14px]">
                  {[tread.inside, tread.middle, tread.outside]
                    .map((t) => formatQuantity(t, temperature, 0))
                    .join(' · ')}{' '}
                  <span className="block text-[13.5px] text-muted">
                    inside {kelvins(hints.across)}, middle {kelvins(hints.middle)}:{' '}
                    {CAMBER_HINT[hints.camber]}, {PRESSURE_HINT[hints.pressure]}
                  </span>
                </p>
              )}
            </div>
          )
        })}
      </div>
      <p className="mt-1 text-[12.5px] text-muted">
        Hints, no more: inside 5 to 10 K over the outside, the middle between both: common practice.{' '}
        {reading.note}
      </p>
    </section>
  )
}
