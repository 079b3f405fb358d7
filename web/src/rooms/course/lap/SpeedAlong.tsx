import {
  formatFigure,
  formatNumber,
  formatQuantity,
  itemAt,
  STANDARD_GRAVITY,
  type Lap,
  type LapPoint,
  type Unit,
} from '@bold-ballast/core'
import type { NamedCorner } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Chart, type Series } from '../../../ui/Chart'
import { LIMIT_WORDS } from './lapLooks'

/** The speed along a lap as a curve, a slider that goes along it, and what the car does at that place, in words. */
export function SpeedAlong({
  name,
  lap,
  length,
  corners,
  at,
  onAt,
}: {
  name: string
  lap: Lap
  /** m */
  length: number
  corners: readonly NamedCorner[]
  at: number
  onAt: (at: number) => void
}) {
  const velocity = useBuild().unit('velocity')
  const speed = (v: number) => formatFigure(v, velocity, 0)
  const series = useSpeedSeries(lap, velocity)
  const here = lap.points.findLast((p) => p.distance <= at) ?? itemAt(lap.points, 0)
  return (
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
        filename={`lap-${name}`.toLowerCase().replace(/\s+/g, '-')}
        height={260}
        at={at}
        onAt={onAt}
      />
      <label className="no-print flex items-center gap-2 text-[13px] text-muted">
        Place
        <input
          type="range"
          className="flex-1 accent-blued"
          min={0}
          max={Math.floor(length)}
          step={5}
          value={Math.round(at)}
          aria-valuetext={hereSays(here, corners, velocity)}
          onChange={(event) => onAt(Number(event.target.value))}
        />
      </label>
      <p className="mt-1 text-[14px]" data-testid="lap-here">
        {hereSays(here, corners, velocity)}
      </p>
    </div>
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

function hereSays(
  { distance, speed, gear, engineSpeed, forward, sideways, limit }: LapPoint,
  corners: readonly NamedCorner[],
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
