import { AXLE_WORDS } from '@bold-ballast/contract'
import { formatNumber, formatQuantity, fromSi } from '@bold-ballast/core'
import { AXLE_ENDS, gapsAlong, keepGap, leastGap, stopsFrom, touchesFrom } from '@bold-ballast/model'
import { useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { OntoNextSheet } from '../../../sheets/OntoNextSheet'
import { Chart, type Series } from '../../../ui/Chart'
import { QuantityField } from '../../../ui/QuantityField'
import { NoSprings } from '../NoSprings'

const SPEEDS = 60
const FASTEST = 300 / 3.6
const ON = {
  rubber: 'its bump rubber carries',
  metal: 'it stands on metal',
  droop: 'it hangs at full droop',
  spring: 'it stands on its springs',
} as const
const PITCH = {
  stated: 'Pitch and roll as typed under Aero, Will it hold?',
  springs: 'Braking and cornering as its springs say, anti-dive left out.',
  nobody: 'Nobody said how it pitches and rolls: it stands level here.',
} as const

const packMm = (packer: number) => `${formatNumber(Math.ceil(packer * 10_000) / 10, 1)} mm`

/** How far it sinks, what stops it and from which speed, what is left under it, and what would keep a wanted gap. */
export function TravelView({ onChange }: { onChange: () => void }) {
  const { unit } = useBuild()
  const car = useLiveCar()
  const velocity = unit('velocity')
  const stiffness = unit('stiffness')
  const [wanted, setWanted] = useState<number | null>(0.01)
  const [speed, setSpeed] = useState<number | null>(217 / 3.6)
  const speeds = useMemo(() => Array.from({ length: SPEEDS + 1 }, (_, i) => (i * FASTEST) / SPEEDS), [])
  const gaps = useMemo(() => gapsAlong(car, speeds), [car, speeds])
  const hasLow = gaps.length > 0
  const asked = Number.isFinite(wanted) && Number.isFinite(speed) && wanted !== null && speed !== null
  const kept = useMemo(
    () => (asked && hasLow ? AXLE_ENDS.map((end) => keepGap(car, end, wanted, speed)) : []),
    [asked, hasLow, car, wanted, speed],
  )
  const here = asked && hasLow ? leastGap(car, speed) : null
  if (car.stance.from === 'assumed')
    return (
      <NoSprings onChange={onChange}>
        With springs, rubbers and stops you get how far each end sinks under the air, what stops it and from
        which speed, the gap to the ground along speed, and the packer or spring that keeps a wanted gap.
      </NoSprings>
    )
  if (!hasLow)
    return (
      <p className="max-w-[620px] text-muted">
        Nothing low is on the aero sheet yet: a splitter or floor with how it is built, under Aero, Loads.
        Then its gap along speed stands here.
      </p>
    )
  const shown = (v: number) => Number(fromSi(v, velocity).toFixed(0))
  const touches = gaps.find((g) => g.gap <= 0)
  const x = gaps.map((g) => shown(g.speed))
  const mm = (of: (g: (typeof gaps)[number]) => number) => gaps.map((g) => Number((of(g) * 1000).toFixed(1)))
  const line = (
    name: string,
    of: (g: (typeof gaps)[number]) => number,
    colour: string,
    dash: 'solid' | 'dash' | 'dot',
  ): Series => ({
    name,
    x,
    y: mm(of),
    colour,
    dash,
    says: gaps.map(
      (g) => `${name}: ${formatNumber(of(g) * 1000, 1)} mm at ${shown(g.speed)} ${velocity.symbol}`,
    ),
  })
  const series: Series[] = [
    line('Gap left', (g) => g.gap, '--oxide', 'solid'),
    line('Front goes down', (g) => g.stance.attitude.sinkFront, '--blued', 'dash'),
    line('Rear goes down', (g) => g.stance.attitude.sinkRear, '--zinc', 'dot'),
  ]
  const keeps = `${formatQuantity(wanted ?? 0, unit('length'))} at ${formatQuantity(speed ?? 0, velocity, 0)}`
  const least = gaps.reduce((a, b) => (b.gap < a.gap ? b : a))
  return (
    <section aria-label="Travel">
      <p className="max-w-[820px] text-[16px]" data-testid="travel-says">
        {touches ? (
          <span className="text-oxide">
            {touches.element.name} touches the ground from{' '}
            {shown(touchesFrom(car, touches.element) ?? touches.speed)} {velocity.symbol}.
          </span>
        ) : (
          <>
            The least that is left is <b className="figure">{formatNumber(least.gap * 1000, 0)} mm</b>, under{' '}
            {least.element.name} at {shown(least.speed)} {velocity.symbol}.
          </>
        )}{' '}
        {AXLE_ENDS.map((end) => {
          const stop = stopsFrom(gaps, end)
          return stop
            ? `At the ${end} ${ON[stop.on]} from ${shown(stop.speed)} ${velocity.symbol}. `
            : `The ${end} stays on its springs up to ${shown(FASTEST)} ${velocity.symbol}. `
        })}
        <span className="text-[13.5px] text-muted">{PITCH[least.stance.pitchFrom]}</span>
      </p>
      <Chart
        title="Gap and sink along speed"
        summary={`Gap to the ground and sink of both ends from 0 to ${shown(FASTEST)} ${velocity.symbol}.`}
        xTitle={`Speed (${velocity.symbol})`}
        yTitle="mm"
        series={series}
        table={{
          header: [
            `Speed (${velocity.symbol})`,
            'Gap (mm)',
            'Front down (mm)',
            'Rear down (mm)',
            'Front on',
            'Rear on',
          ],
          rows: gaps.map((g) => [
            shown(g.speed),
            Number((g.gap * 1000).toFixed(1)),
            Number((g.stance.attitude.sinkFront * 1000).toFixed(1)),
            Number((g.stance.attitude.sinkRear * 1000).toFixed(1)),
            g.stance.axles.front.carriedBy,
            g.stance.axles.rear.carriedBy,
          ]),
        }}
        filename="gap-along-speed"
      />
      <h2 className="mt-4 text-[20px]">Keep a gap</h2>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <div className="w-[140px]">
          <QuantityField
            label="Gap to keep"
            quantity="length"
            unit={unit('length')}
            value={wanted}
            onChange={setWanted}
            problem={wanted !== null && wanted < 0 ? 'A gap is not below zero.' : undefined}
          />
        </div>
        <div className="w-[140px]">
          <QuantityField label="At" quantity="velocity" unit={velocity} value={speed} onChange={setSpeed} />
        </div>
        {here && (
          <p className="pb-1 text-[15px]">
            Now {formatNumber(here.gap * 1000, 1)} mm under {here.element.name}.
          </p>
        )}
      </div>
      {here && wanted !== null && here.gap >= wanted ? (
        <p className="mt-2 text-zinc">It is kept already.</p>
      ) : (
        <ul className="mt-2 max-w-[760px]" data-testid="keep-gap">
          {here && kept.every((k) => k.packer === null && k.spring === null) && (
            <li className="pb-1 text-[15px] text-ochre">
              Pitch, roll and kerbs take{' '}
              {formatNumber((here.taken.pitch + here.taken.roll + here.taken.bump) * 1000, 0)} mm of its{' '}
              {formatNumber(here.height * 1000, 0)} mm before the air takes any: raise it, or ask for less.
            </li>
          )}
          {kept.map(({ end, packer, spring, ride }) => (
            <li key={end} className="border-b border-line py-2 text-[15px]">
              <b className="font-medium">{AXLE_WORDS[end]}.</b>{' '}
              {packer === null
                ? car.stance[end].corner.rubber
                  ? 'No packer does it alone: even with the rubber touching from the start it comes too close.'
                  : 'Without a bump rubber there is nothing to pack.'
                : `Pack ${packMm(packer)} more at the damper: in slow corners it rides as it does, ${formatNumber(ride.now, 2)} Hz.`}{' '}
              {spring === null
                ? 'No spring up to eight times the one that is on does it.'
                : `Or springs of ${formatQuantity(spring, stiffness)} instead of ${formatQuantity(car.stance[end].spring.value, stiffness)}: then ${formatNumber(ride.withSpring ?? 0, 2)} Hz in slow corners, too.`}
              <span className="mt-1 flex flex-wrap gap-2">
                {packer !== null && (
                  <OntoNextSheet
                    why={`${AXLE_WORDS[end]} packed to keep ${keeps}`}
                    said={`${packMm(packer)} more packers at the ${end}`}
                    change={({ packers }) => ({
                      packers: {
                        ...packers,
                        [end]: (packers[end] ?? 0) + Math.ceil(packer * 10_000) / 10_000,
                      },
                    })}
                  >
                    {`Put the ${end} packer on the next sheet`}
                  </OntoNextSheet>
                )}
                {spring !== null && (
                  <OntoNextSheet
                    why={`${AXLE_WORDS[end]} springs to keep ${keeps}`}
                    said={`springs of ${formatQuantity(spring, stiffness)} at the ${end}`}
                    change={({ springs }) => ({
                      springs: { ...springs, [end]: { ...springs[end], main: spring } },
                    })}
                  >
                    {`Put the ${end} spring on the next sheet`}
                  </OntoNextSheet>
                )}
              </span>
            </li>
          ))}
        </ul>
      )}
      <p className="mt-3 text-[13px] text-muted">
        A rubber that is reached in the middle of a corner takes grip away at once: bring it in before, or
        keep it out. Measure with marker paint or a logged height. The event’s rules say what gap is allowed.
      </p>
    </section>
  )
}
