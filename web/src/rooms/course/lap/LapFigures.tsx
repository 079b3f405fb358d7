import { formatFigure, formatNumber, REACH_95, type Lap } from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { sayLap } from '../sayLap'

/** The lap in figures, with what it may be off by. */
export function LapFigures({ lap, doubt }: { lap: Lap; /** s, one standard uncertainty. */ doubt: number }) {
  const velocity = useBuild().unit('velocity')
  const speed = (v: number) => formatFigure(v, velocity, 0)
  return (
    <>
      <div className="mt-3 flex flex-wrap gap-x-8 gap-y-2">
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
      <p className="mb-3 text-[13.5px] text-muted" data-testid="lap-doubt">
        Lap ±{formatNumber(REACH_95 * doubt, 1)} s (95 %) by what mass, grip, power, air and axles of this car
        are known to; compared with another lap of the same car most of that falls away.
      </p>
    </>
  )
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
