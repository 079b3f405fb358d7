import { ALIGNED_BY, CORNER_WORDS, type Alignment, type RecordOf } from '@bold-ballast/contract'
import {
  casterOf,
  CORNERS,
  formatNumber,
  formatQuantity,
  mean,
  meanReading,
  perCorner,
  thrustAngle,
  toeAngle,
  toeDifference,
  type Known,
} from '@bold-ballast/core'
import { newestFirst } from '@bold-ballast/model'
import type { MoreColumns } from '@bold-ballast/words'
import { useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { OntoNextSheet } from '../../../sheets/OntoNextSheet'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { QuantityField } from '../../../ui/QuantityField'
import { RowButtons } from '../../../ui/RowButtons'
import { ListCsv } from '../ListCsv'
import { ShowWorking } from '../../../ui/ShowWorking'
import { TableHead } from '../../../ui/TableHead'

const DEGREE = Math.PI / 180
const degrees = (rad: number, decimals = 2) => `${formatNumber(rad / DEGREE, decimals)}°`

/** What a session comes to. */
function resultsOf({ toe, camber, sweeps, step }: RecordOf<'alignment'>) {
  const of = (readings: readonly { readonly angle: number }[]): Known | null =>
    readings.length > 0
      ? meanReading(
          readings.map((r) => r.angle),
          step,
        )
      : null
  const toes = perCorner((c) => of(toe[c]))
  const cambers = perCorner((c) => of(camber[c]))
  const { frontLeft, frontRight, rearLeft, rearRight } = toes
  const line =
    frontLeft && frontRight && rearLeft && rearRight
      ? thrustAngle({
          frontLeft: frontLeft.value,
          frontRight: frontRight.value,
          rearLeft: rearLeft.value,
          rearRight: rearRight.value,
        })
      : null
  const casters = {
    left: sweeps.left.length > 0 ? mean(sweeps.left.map(casterOf)) : null,
    right: sweeps.right.length > 0 ? mean(sweeps.right.map(casterOf)) : null,
  }
  return { toes, cambers, line, casters }
}

const plain = (rad: number | null | undefined) =>
  rad === null || rad === undefined ? '' : Number((rad / DEGREE).toFixed(3))
/** What sessions come to, beside what was typed. */
const RESULTS: MoreColumns<RecordOf<'alignment'>> = {
  titles: [
    ...(['toe', 'camber'] as const).flatMap((what) =>
      CORNERS.map((c) => `${what}, ${CORNER_WORDS[c].toLowerCase()} (°)`),
    ),
    'caster, left (°)',
    'caster, right (°)',
    'thrust (°)',
  ],
  cells: (session) => {
    const { toes, cambers, line, casters } = resultsOf(session)
    return [
      ...CORNERS.map((c) => plain(toes[c]?.value)),
      ...CORNERS.map((c) => plain(cambers[c]?.value)),
      plain(casters.left),
      plain(casters.right),
      plain(line?.thrust),
    ]
  },
}

/** Alignment sessions of this stage and those before, newest first, each with what it comes to. */
export function AlignmentView({ onSession }: { onSession: (id: string | null) => void }) {
  const { view, ledger, stage } = useBuild()
  const sessions = newestFirst(view.alignments, ledger.stages, stage.id)
  if (sessions.length === 0)
    return (
      <>
        <EmptyRoom
          title="Alignment has not been measured"
          action={
            <Button look="main" onClick={() => onSession(null)}>
              Measure alignment
            </Button>
          }
        >
          String or plates, a camber gauge, turning plates: read each as often as you like. You get toe as mm
          and as an angle, camber, caster, each with its doubt, where the rear axle pushes the car, and how
          far the front has to be turned so that it goes straight.
        </EmptyRoom>
        <Converter />
      </>
    )
  return (
    <>
      {sessions.map((session) => (
        <Session key={session.id} session={session} onChange={() => onSession(session.id)} />
      ))}
      <p className="mb-4 -ml-2">
        <ListCsv kind="alignment" records={sessions} more={RESULTS} />
      </p>
      <Converter />
    </>
  )
}

function Session({ session, onChange }: { session: Alignment; onChange: () => void }) {
  const { view, unit, removeSaying } = useBuild()
  const { toes, cambers, line, casters } = resultsOf(session)
  const width = session.toeWidth
  const toeMm = (k: Known) =>
    `${k.value >= 0 ? 'in' : 'out'} ${formatNumber(Math.abs(toeDifference(k.value, width)) * 1000, 1)} ±${formatNumber(toeDifference(k.sigma, width) * 1000, 1)} mm`
  const sheet = view.setups.find((s) => s.id === session.setupId)
  return (
    <section aria-label={`Alignment of ${session.date}`} className="mb-6" data-testid="alignment">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-[19px]">
          {session.date}{' '}
          <span className="text-[13.5px] font-normal text-muted">
            by {ALIGNED_BY[session.by]}, toe over {formatNumber(width * 1000, 0)} mm,{' '}
            {session.driver > 0
              ? `${formatQuantity(session.driver, unit('mass'))} in the seat`
              : 'nobody in the seat'}
            {sheet && `, on sheet ${sheet.order}`}
          </span>
        </h2>
        <span className="flex gap-1">
          <RowButtons
            name={`the alignment of ${session.date}`}
            recordId={session.id}
            onChange={onChange}
            onRemove={() =>
              removeSaying('alignment', session.id, `the alignment of ${session.date}`, 'Alignment removed.')
            }
          />
        </span>
      </div>
      <div className="max-w-[720px] overflow-x-auto">
        <table className="w-full">
          <caption className="sr-only">Toe and camber by wheel</caption>
          <TableHead
            columns={[
              { says: 'Wheel' },
              { says: 'Toe', figures: true },
              { says: 'as an angle', figures: true },
              { says: 'Camber', figures: true },
            ]}
          />
          <tbody>
            {CORNERS.map((c) => (
              <tr key={c} className="border-b border-line">
                <th scope="row" className="py-1.5 text-left font-medium">
                  {CORNER_WORDS[c]}
                </th>
                <td className="text-right whitespace-nowrap">{toes[c] ? toeMm(toes[c]) : '–'}</td>
                <td className="text-right whitespace-nowrap">
                  {toes[c] ? `${degrees(toes[c].value)} ±${degrees(toes[c].sigma)}` : '–'}
                </td>
                <td className="text-right whitespace-nowrap">
                  {cambers[c] ? `${degrees(cambers[c].value)} ±${degrees(cambers[c].sigma)}` : '–'}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-2 text-[15px]" data-testid="alignment-says">
        {line ? (
          <>
            The rear axle pushes {degrees(Math.abs(line.thrust))} to the {line.thrust >= 0 ? 'left' : 'right'}
            ; the front has to be turned {degrees(Math.abs(line.steerAhead))} to the{' '}
            {line.steerAhead >= 0 ? 'left' : 'right'} so that it goes straight.{' '}
            <ShowWorking
              working={{
                title: 'Thrust line',
                formula: 'thrust = (toe RR − toe RL)/2; steer ahead = thrust − (toe FR − toe FL)/2',
                inputs: CORNERS.map((c) => [CORNER_WORDS[c], degrees(toes[c]?.value ?? 0)] as const),
                result: degrees(line.thrust),
                source: 'geometry',
              }}
            />{' '}
          </>
        ) : (
          'Toe of all four wheels says where the rear axle pushes the car. '
        )}
        {(casters.left !== null || casters.right !== null) &&
          `Caster ${casters.left === null ? '–' : degrees(casters.left, 1)} left, ${casters.right === null ? '–' : degrees(casters.right, 1)} right. `}
        {session.note}
      </p>
      <p className="mt-1">
        <OntoNextSheet
          why={`Alignment as measured ${session.date}`}
          said="what was measured"
          change={(next) => ({
            toeWidth: width,
            toe: perCorner((c) => toes[c]?.value ?? next.toe[c]),
            camber: perCorner((c) => cambers[c]?.value ?? next.camber[c]),
            caster: {
              left: casters.left ?? next.caster.left,
              right: casters.right ?? next.caster.right,
            },
            heights: perCorner((c) => session.heights[c] ?? next.heights[c]),
          })}
        >
          Write the next set-up sheet from it
        </OntoNextSheet>
      </p>
    </section>
  )
}

/** Toe between a length over a width and an angle. */
function Converter() {
  const { unit } = useBuild()
  const [width, setWidth] = useState<number | null>(0.6)
  const [over, setOver] = useState<number | null>(0.001)
  const isRight = Boolean(
    width && over !== null && Number.isFinite(width) && Number.isFinite(over) && width > Math.abs(over),
  )
  const angle = isRight ? toeAngle(over ?? 0, width ?? 1) : null
  return (
    <section aria-label="Convert toe" className="border-t border-line pt-3">
      <h2 className="text-[17px]">Millimetres to degrees</h2>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <div className="w-[130px]">
          <QuantityField
            label="Toe"
            quantity="length"
            unit={unit('length')}
            value={over}
            onChange={setOver}
          />
        </div>
        <div className="w-[130px]">
          <QuantityField
            label="Over a width of"
            quantity="length"
            unit={unit('length')}
            value={width}
            onChange={setWidth}
          />
        </div>
        <p className="pb-1 text-[15px]" aria-live="polite">
          {angle === null
            ? 'Toe is smaller than the width it is measured over.'
            : `= ${degrees(angle, 3)}, ${formatNumber((angle / DEGREE) * 60, 1)}′`}
        </p>
      </div>
    </section>
  )
}
