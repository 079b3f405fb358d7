import { withoutVersion, type DynoDay, type Pull, PULL_SOURCE, putEdit } from '@bold-ballast/contract'
import {
  airAt,
  CORRECTION_NAMES,
  correctionFactor,
  dryPressure,
  formatFigure,
  formatNumber,
  formatQuantity,
  type Correction,
} from '@bold-ballast/core'
import { csvOf } from '@bold-ballast/words'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { download } from '../../../ui/download'
import { Figure } from '../../../ui/Figure'
import { WhyFigure } from '../../../ui/WhyFigure'
import { GradeMark } from '../../../ui/grades'
import { FOLDED, TableHead } from '../../../ui/TableHead'
import { ShowWorking } from '../../../ui/ShowWorking'
import { airOf, figuresUnder, type PullFigures } from '@bold-ballast/model'
import { RowButtons } from '../../../ui/RowButtons'

const RPM = { symbol: 'rpm', factor: Math.PI / 30, decimals: 0, aliases: [] }

/** The peaks of each pull: what the dyno observed and what a correction makes of it, never mixed. */
export function PullTable({
  pulls,
  day,
  correction,
  onOpen,
}: {
  pulls: readonly Pull[]
  day: DynoDay
  correction: Correction
  onOpen: (pull: Pull) => void
}) {
  const { view, unit, save, removeSaying } = useBuild()
  const { summary } = useLiveBuild()
  // The factor is shown for the air of the day's middle; each pull is corrected by the air at its own time.
  const air = airAt(day.air, null)
  const factor = air ? correctionFactor(correction, air) : null
  const factors = pulls.flatMap((pull) => {
    const own = airOf(pull, day)
    return own ? [correctionFactor(correction, own)] : []
  })
  const outside = factors.find((f) => !f.inRange)
  const stands = (pull: Pull, on: boolean) =>
    save(`${on ? 'Let' : 'Don’t let'} ${pull.name} stand for the stage`, [
      putEdit(view, 'pull', { ...withoutVersion(pull), standsForStage: on }),
    ])
  const remove = (pull: Pull) => {
    removeSaying('pull', pull.id, pull.name)
  }
  const rows = pulls.map((pull) => ({
    pull,
    observed: figuresUnder(pull, day, 'observed'),
    corrected: figuresUnder(pull, day, correction),
  }))
  const saveCsv = () => {
    const header = [
      'pull',
      'configuration',
      'time',
      'grade',
      'observed power (W)',
      'at (rpm)',
      'observed torque (N·m)',
      `${CORRECTION_NAMES[correction]} power (W)`,
      `${CORRECTION_NAMES[correction]} torque (N·m)`,
    ]
    const body = rows.map(({ pull, observed, corrected }) => [
      pull.name,
      pull.configuration,
      pull.time,
      pull.grade,
      observed?.power,
      observed?.powerSpeed && (observed.powerSpeed * 30) / Math.PI,
      observed?.torque,
      corrected?.power,
      corrected?.torque,
    ])
    download(`${view.build.name} ${day.date} pulls.csv`, csvOf(header, body), 'text/csv')
  }
  const cell = (figures: PullFigures | null, why: string) =>
    figures ? (
      <>
        <span className="figure text-[17px]">
          {figures.power === null ? '–' : formatFigure(figures.power, unit('power'))}
        </span>
        <span className="text-muted">
          {figures.powerSpeed !== null && ` at ${formatFigure(figures.powerSpeed, RPM)}`}
        </span>
        <span className="block text-[12.5px] text-muted">
          {figures.torque === null ? '' : formatQuantity(figures.torque, unit('torque'), 0)}
          {figures.torqueSpeed !== null && ` at ${formatFigure(figures.torqueSpeed, RPM)}`}
        </span>
      </>
    ) : (
      <span className="text-[12.5px] text-ochre">{why}</span>
    )
  const power = unit('power').symbol
  const standing = summary.measuredPower
  return (
    <>
      <div className="overflow-x-auto" role="region" aria-label="Pulls">
        <table className="w-full max-w-[980px]" data-testid="pulls">
          <TableHead
            folds
            columns={[
              { says: 'Pull' },
              { says: `Observed (${power})`, figures: true },
              {
                says: `${CORRECTION_NAMES[correction]} (${power})`,
                figures: true,
                beside: air && factor && (
                  <ShowWorking
                    working={{
                      title: `${CORRECTION_NAMES[correction]} factor`,
                      formula: FORMULAS[correction],
                      inputs: [
                        ['Air', formatQuantity(air.temperature, unit('temperature'))],
                        ['Barometer', `${formatNumber(air.pressure / 1000, 2)} kPa`],
                        ['Dry pressure', `${formatNumber(dryPressure(air) / 1000, 2)} kPa`],
                      ],
                      result: `× ${formatNumber(factor.factor, 4)}`,
                      source: `${CORRECTION_NAMES[correction]}; vapour pressure by ASHRAE Fundamentals`,
                    }}
                  />
                ),
              },
              { says: 'Known by', className: 'pl-4' },
              { says: 'Stands for the stage' },
              {
                says: 'Change',
                unseen: true,
                figures: true,
                beside: (
                  <button className="font-medium text-blued" onClick={saveCsv}>
                    CSV
                  </button>
                ),
              },
            ]}
          />
          <tbody>
            {rows.map(({ pull, observed, corrected }) => (
              <tr
                key={pull.id}
                className="border-b border-line @max-2xl:grid @max-2xl:grid-cols-2 @max-2xl:items-center @max-2xl:gap-y-1 @max-2xl:py-2"
              >
                <th scope="row" className="py-1.5 text-left font-medium @max-2xl:col-span-2 @max-2xl:py-0">
                  {pull.name}
                  <span className="block text-[12.5px] font-normal text-muted">
                    {[
                      pull.configuration !== pull.name && pull.configuration,
                      PULL_SOURCE[pull.source],
                      pull.points && `${pull.points.length} points`,
                      pull.time,
                    ]
                      .filter(Boolean)
                      .join(', ')}
                  </span>
                </th>
                <td className="text-right @max-2xl:text-left">
                  <span className={FOLDED}>Observed ({power})</span>
                  {cell(observed, 'air unknown')}
                </td>
                <td className="text-right @max-2xl:text-left">
                  <span className={FOLDED}>
                    {CORRECTION_NAMES[correction]} ({power})
                  </span>
                  {cell(corrected, 'air unknown')}
                </td>
                <td className="pl-4 @max-2xl:pl-0">
                  <GradeMark grade={pull.grade} word />
                </td>
                <td className="@max-2xl:flex @max-2xl:items-center @max-2xl:gap-2">
                  <input
                    type="checkbox"
                    aria-label={`${pull.name} stands for the stage`}
                    className="size-4 accent-blued"
                    checked={pull.standsForStage}
                    onChange={(e) => stands(pull, e.target.checked)}
                  />
                  <span className={FOLDED} aria-hidden>
                    stands for the stage
                  </span>
                </td>
                <td className="text-right whitespace-nowrap @max-2xl:col-span-2">
                  <RowButtons
                    name={pull.name}
                    recordId={pull.id}
                    onChange={() => onOpen(pull)}
                    onRemove={() => remove(pull)}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {outside && (
        <p className="mt-2 text-ochre">
          The factor {formatNumber(outside.factor, 3)} lies outside 0.93 to 1.07, where this rule was meant to
          be used: the corrected figure {outside.factor > 1 ? 'overstates' : 'understates'}. Trust the
          observed one.
        </p>
      )}
      {day.boostControl !== 'none' && factor && (
        <p className="mt-2 text-[13px] text-ochre">
          {day.boostControl === 'controlled'
            ? 'The control holds manifold pressure whatever the weather, so the correction overstates on a thin day and understates on a dense one: the observed figure counts.'
            : 'With boost, corrections written for engines without it are too large or too small: compare the observed figures of one day.'}
        </p>
      )}
      {day.kind === 'engine' && (
        <p className="mt-2 text-ochre">
          An engine dyno gives power at the crank. It is no wheel power and does not stand for the stage.
        </p>
      )}
      {standing && (
        <p className="mt-2">
          Wheel power of this stage,{' '}
          {view.build.powerBasis === 'observed' ? 'observed' : CORRECTION_NAMES[view.build.powerBasis]}:{' '}
          <Figure known={standing.power} unit={unit('power')} className="text-[19px]" />{' '}
          <WhyFigure
            title="Wheel power of this stage"
            says="the mean of the pulls of one day"
            known={standing.power}
            unit={unit('power')}
          />{' '}
          <GradeMark grade={standing.power.grade} word /> from {standing.pulls}{' '}
          {standing.pulls === 1 ? 'pull' : 'pulls'} of one day.
        </p>
      )}
    </>
  )
}

const FORMULAS: Record<Correction, string> = {
  observed: '1',
  j1349: '1.180 · (99 / p_dry) · √((T + 273) / 298) − 0.18',
  iso1585: '(99 / p_dry)^1.2 · (T / 298)^0.6',
  din70020: '(1013 / p) · √(T / 293)',
  j607: '(29.92 / p_dry) · √((T_F + 460) / 520)',
}
