import {
  itemAt,
  formatFigure,
  formatNumber,
  formatQuantity,
  lapParts,
  STANDARD_GRAVITY,
  type Lap,
  type LapPoint,
  type Unit,
} from '@bold-ballast/core'
import { assumedWorth, lapAssumes, type LapAssumes } from '@bold-ballast/model'
import { csvOf } from '@bold-ballast/words'
import { useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { Button } from '../../../ui/Button'
import { Chart, type Series } from '../../../ui/Chart'
import { Choice } from '../../../ui/Choice'
import { download } from '../../../ui/download'
import { ChooseCourse } from '../ChooseCourse'
import { CourseMap } from '../CourseMap'
import { sayCorners } from '../sayCorners'
import { lapOfCar, type FoundLap } from '../lapOfCar'
import { MapKey } from '../MapKey'
import { NoLap, type LapWays } from '../NoLap'
import { sayLap } from '../sayLap'
import { useChosenCourse } from '../useChosenCourse'
import { CornerTable } from './CornerTable'
import { AsSlide } from './AsSlide'
import { Driven } from './Driven'
import { COLOURINGS, lapStretches, LIMIT_WORDS, type Colouring } from './lapLooks'
import { SectorTable } from './SectorTable'
import { WhereItWent } from './WhereItWent'

type Start = 'flying' | 'standing'
const STARTS = [
  ['flying', 'Flying'],
  ['standing', 'From standing'],
] as const
const COLOURING: Readonly<Record<Colouring, string>> = { limit: 'What limits', speed: 'Speed', gear: 'Gear' }
const ASSUMES: Readonly<Record<LapAssumes, string>> = {
  sensitivity: 'tyres lose 10 % of their grip where their load doubles ',
  differential: 'each driven wheel gets what it holds, as a locked axle gives it',
  driver: 'the driver uses all of the braking there is',
  springs: 'both ends ride at 2 Hz, without bars: the balance in corners is a guess',
  brakes: 'brakes are shared so that both axles would lock at once',
}

/** The lap of the car on a course: how long, where fast, what holds it where, and what it was taken for granted with. */
export function LapView(ways: LapWays) {
  const car = useLiveCar()
  const { course } = useChosenCourse()
  const [start, setStart] = useState<Start>('flying')
  const isStanding = start === 'standing'
  const found = useMemo(() => lapOfCar(car, course, isStanding), [car, course, isStanding])
  if (!found) return <NoLap {...ways} />
  return (
    <section aria-label="Lap">
      <div className="flex flex-wrap items-end gap-3">
        <ChooseCourse />
        {course?.closed && <Choice label="It begins" value={start} options={STARTS} onChange={setStart} />}
      </div>
      {'problem' in found ? (
        <p role="alert" className="mt-3 text-oxide">
          No lap: {found.problem}.
        </p>
      ) : (
        <WholeLap
          key={course?.id}
          found={found}
          isStanding={isStanding && !!course?.closed}
          onBasis={ways.onBasis}
        />
      )}
    </section>
  )
}

function WholeLap({
  found: { lap, drawn },
  isStanding,
  onBasis,
}: {
  found: FoundLap
  isStanding: boolean
  onBasis: () => void
}) {
  const { unit } = useBuild()
  const car = useLiveCar()
  const { course } = useChosenCourse()
  const [by, setBy] = useState<Colouring>('limit')
  const [at, setAt] = useState(0)
  const velocity = unit('velocity')
  const speed = (v: number) => formatFigure(v, velocity, 0)
  const { stretches, key } = useStretches(lap, by, velocity)
  const here = lap.points.findLast((p) => p.distance <= at) ?? itemAt(lap.points, 0)
  const series = useSpeedSeries(lap, velocity)
  const assumes = useMemo(() => lapAssumes(car), [car])
  const worth = useMemo(
    () => (car.geared && course ? assumedWorth(car.geared.run, course, assumes) : null),
    [car, course, assumes],
  )
  const parts = useMemo(
    () =>
      lapParts(
        lap,
        drawn.corners.map((c) => [c.from, c.to] as const),
      ),
    [lap, drawn],
  )
  const pushes = parts.filter((p) => p.limit === 'front').length
  const slides = parts.filter((p) => p.limit === 'rear').length
  const pulls = parts.filter((p) => p.limit === 'driven').length
  return (
    <>
      <p className="mt-3 max-w-[820px] text-[16px]" data-testid="lap-says">
        {drawn.corners.length > 0 && balanceSays(pushes, slides, pulls, drawn.corners.length)}{' '}
        <span className="text-[13.5px] text-muted">
          A car that is always at the limit of its tyres, its engine or its brakes: it compares cars.
        </span>
      </p>
      <div className="my-3 flex flex-wrap gap-x-8 gap-y-2">
        <LapFigure
          label="Lap"
          figure={sayLap(lap.time).replace(/ .*/, '')}
          unit={lap.time < 60 ? 's' : 'min'}
        />
        <LapFigure label="Slowest" figure={speed(lap.slowest)} unit={velocity.symbol} />
        <LapFigure label="Fastest" figure={speed(lap.fastest)} unit={velocity.symbol} />
        <LapFigure
          label="All the engine gives"
          figure={formatNumber((lap.fullThrottle / lap.time) * 100, 0)}
          unit="%"
        />
        <LapFigure label="Shifts" figure={String(lap.shifts)} unit="up" />
      </div>
      {!isStanding && <Driven lap={lap} onBasis={onBasis} />}
      {drawn.gap !== null && drawn.gap > 0.01 * drawn.length && (
        <p role="status" className="mb-2 text-[14px] text-ochre">
          As typed its end lies {formatNumber(drawn.gap, 0)} m from its start
          {drawn.turnsOff !== null &&
            Math.abs(drawn.turnsOff) > 0.05 &&
            `, and it turns ${formatNumber(Math.abs((drawn.turnsOff * 180) / Math.PI), 0)}° too ${drawn.turnsOff > 0 ? 'much to the left' : 'much to the right'}`}
          : a corner to the other side, or a length, is off. The lap is driven along it as it is.
        </p>
      )}
      {drawn.crossings.length > 0 && (
        <p role="status" className="mb-2 text-[14px] text-ochre">
          Its line crosses itself at {formatNumber(itemAt(drawn.crossings, 0)[0], 0)} and{' '}
          {formatNumber(itemAt(drawn.crossings, 0)[1], 0)} m
          {drawn.crossings.length > 1 && `, and ${drawn.crossings.length - 1} times more`}: over a bridge, or
          a corner goes to the other side.
        </p>
      )}
      <div className="grid items-start gap-x-5 @4xl:grid-cols-[minmax(0,11fr)_minmax(0,9fr)]">
        <div>
          <div className="mb-2 flex flex-wrap items-center gap-3">
            <Choice
              label="The map is coloured by"
              value={by}
              options={COLOURINGS.map((c) => [c, COLOURING[c]] as const)}
              onChange={setBy}
            />
          </div>
          <CourseMap
            label={`Map of ${course?.name ?? 'the course'}, ${formatNumber(drawn.length, 0)} m, ${sayCorners(drawn.corners.length)}`}
            points={drawn.points}
            closed={drawn.closed}
            length={drawn.length}
            stretches={stretches}
            corners={drawn.corners}
            marks={drawn.sectors.slice(0, -1).map(([, to]) => to)}
            at={at}
            onAt={setAt}
          />
          <div className="mt-1.5">
            <MapKey looks={key} />
          </div>
        </div>
        <div>
          <Chart
            title="Speed along the lap"
            summary={`Speed over distance, from ${speed(lap.slowest)} to ${speed(lap.fastest)} ${velocity.symbol}.`}
            xTitle="Along the line (m)"
            yTitle={`Speed (${velocity.symbol})`}
            series={series}
            table={{
              header: ['Along the line (m)', `Speed (${velocity.symbol})`, 'Time (s)', 'Gear', 'Held by'],
              rows: lap.points
                .filter((_, i) => i % 5 === 0)
                .map((p) => [
                  Number(p.distance.toFixed(0)),
                  speed(p.speed),
                  Number(p.time.toFixed(2)),
                  p.engineSpeed === null ? null : p.gear + 1,
                  LIMIT_WORDS[p.limit],
                ]),
            }}
            filename={`lap-${course?.name ?? 'course'}`.toLowerCase().replace(/\s+/g, '-')}
            height={260}
            at={at}
            onAt={setAt}
          />
          <label className="no-print flex items-center gap-2 text-[13px] text-muted">
            Place
            <input
              type="range"
              className="flex-1 accent-blued"
              min={0}
              max={Math.floor(drawn.length)}
              step={5}
              value={Math.round(at)}
              aria-valuetext={hereSays(here, drawn.corners, velocity)}
              onChange={(event) => setAt(Number(event.target.value))}
            />
          </label>
          <p className="mt-1 text-[14px]" data-testid="lap-here">
            {hereSays(here, drawn.corners, velocity)}
          </p>
        </div>
      </div>
      <CornerTable parts={parts} corners={drawn.corners} />
      <SectorTable lap={lap} sectors={drawn.sectors} />
      <WhereItWent lap={lap} />
      <AsSlide length={drawn.length} />
      <p className="no-print mt-2">
        <Button
          look="quiet"
          onClick={() =>
            download(`lap-${course?.name ?? ''}.csv`, csvOf(LAP_HEAD, lap.points.map(lapRow)), 'text/csv')
          }
        >
          CSV of the lap, SI
        </Button>
      </p>
      {assumes.length > 0 && (
        <section aria-label="What it takes for granted" className="mt-4 max-w-[820px]">
          <h2 className="text-[19px]">What it takes for granted</h2>
          <ul className="list-disc pl-5 text-[14.5px]" data-testid="lap-assumes">
            {assumes.map((a) => (
              <li key={a}>
                {ASSUMES[a].replace(/^./, (c) => c.toUpperCase())}
                {worth?.has(a) && (
                  <> (were it otherwise: {formatNumber(worth.get(a) ?? 0, 2)} s of the lap)</>
                )}
                .
              </li>
            ))}
          </ul>
          <Button look="quiet" className="!px-0" onClick={onBasis}>
            Say how it is
          </Button>
        </section>
      )}
    </>
  )
}

/** What gives up first in most corners, and what of the car would help there. */
function balanceSays(pushes: number, slides: number, pulls: number, all: number): string {
  const of = (count: number) => `in ${count} of ${sayCorners(all)}`
  const most = Math.max(pushes, slides, pulls)
  if (most === 0) return 'No corner is slow enough for the tyres to be what holds it.'
  if (pulls === most)
    return `The driven tyres give up first ${of(pulls)}: more lock, or less load going to their outside, makes it quicker there.`
  if (pushes === slides) return 'Front and rear axle give up first in as many corners.'
  return pushes > slides
    ? `The front axle gives up first ${of(pushes)}: grip or load in front is what makes it quicker there.`
    : `The rear axle gives up first ${of(slides)}: what presses or holds it behind makes it quicker there.`
}

/** The lap in stretches of one look each, and what the looks mean. */
function useStretches(lap: Lap, by: Colouring, velocity: Unit) {
  return useMemo(
    () =>
      lapStretches(
        lap,
        by,
        (from, to) => `${formatFigure(from, velocity, 0)} to ${formatQuantity(to, velocity, 0)}`,
      ),
    [lap, by, velocity],
  )
}

function useSpeedSeries(lap: Lap, velocity: Unit): Series[] {
  return useMemo((): Series[] => {
    const points = lap.points
    return [
      {
        name: 'Speed',
        x: points.map((p) => Number(p.distance.toFixed(1))),
        y: points.map((p) => Number(formatFigure(p.speed, velocity, 1).replace(/,/g, ''))),
        colour: '--blued',
        says: points.map(
          (p) =>
            `${formatNumber(p.distance, 0)} m: ${formatQuantity(p.speed, velocity, 0)}, ${LIMIT_WORDS[p.limit]}`,
        ),
      },
    ]
  }, [lap, velocity])
}

function LapFigure({ label, figure, unit }: { label: string; figure: string; unit: string }) {
  return (
    <div>
      <p className="text-[13px] text-muted">{label}</p>
      <p className="figure text-[28px] leading-tight">
        {figure} <span className="font-sans text-[14px] font-normal text-muted">{unit}</span>
      </p>
    </div>
  )
}

function hereSays(
  { distance, speed, gear, engineSpeed, forward, sideways, limit }: LapPoint,
  corners: FoundLap['drawn']['corners'],
  velocity: Unit,
): string {
  const corner = corners.find((c) => distance >= c.from && distance <= c.to)
  const g = (a: number) => `${formatNumber(Math.abs(a) / STANDARD_GRAVITY, 2)} g`
  return [
    `${formatNumber(distance, 0)} m${corner ? `, ${corner.name}` : ''}: ${formatQuantity(speed, velocity, 0)}`,
    engineSpeed !== null && `gear ${gear + 1} at ${formatNumber((engineSpeed * 30) / Math.PI, 0)} rpm`,
    Math.abs(sideways) > 0.5 && `${g(sideways)} to the ${sideways > 0 ? 'left' : 'right'}`,
    Math.abs(forward) > 0.3 && `${g(forward)} ${forward > 0 ? 'forward' : 'of slowing'}`,
    LIMIT_WORDS[limit],
  ]
    .filter(Boolean)
    .join(', ')
}

const LAP_HEAD = [
  'distance (m)',
  'time (s)',
  'speed (m/s)',
  'forward (m/s2)',
  'sideways (m/s2)',
  'gear',
  'engine (rad/s)',
  'limit',
]
const lapRow = (p: LapPoint) => [
  Number(p.distance.toFixed(2)),
  Number(p.time.toFixed(3)),
  Number(p.speed.toFixed(3)),
  Number(p.forward.toFixed(3)),
  Number(p.sideways.toFixed(3)),
  p.engineSpeed === null ? null : p.gear + 1,
  p.engineSpeed === null ? null : Number(p.engineSpeed.toFixed(1)),
  p.limit,
]
