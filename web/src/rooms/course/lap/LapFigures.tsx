import { formatFigure, formatNumber, type Known, type Lap } from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { useWhy } from '../../../store/useWhy'
import { ShowWorking } from '../../../ui/ShowWorking'
import { sayLap } from '../sayLap'

const SECONDS = { symbol: 's', factor: 1, decimals: 2, aliases: [] }

/** The lap in figures, with what it may be off by. */
/** @param known its time, with what that is in doubt by */
export function LapFigures({ lap, known }: { lap: Lap; known: Known }) {
  const why = useWhy()
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
        Lap ±{formatNumber(known.sigma, 2)} s by what mass, grip, power, air and axles of this car are known
        to; compared with another lap of the same car most of that falls away.{' '}
        <ShowWorking
          working={{
            title: 'A lap’s ±',
            formula: 'the lap again, with each figure of the car off by its own ±',
            inputs: [['Lap', `${formatNumber(lap.time, 2)} s`]],
            result: `${formatNumber(lap.time, 2)} ±${formatNumber(known.sigma, 2)} s`,
            source: 'JCGM 100:2008, 5.1.3; how near laps of this kind come to driven ones is not in it',
            why: why(known, SECONDS),
          }}
        />
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
