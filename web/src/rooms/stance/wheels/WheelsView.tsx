import type { Fitment } from '@bold-ballast/contract'
import {
  fitWheel,
  formatNumber,
  fromSi,
  unitOf,
  wheelGoesOn,
  wheelReach,
  type AxleEnd,
  type Clearance,
  type FittedWheel,
  itemAt,
} from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'
import { Button } from '../../../ui/Button'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { SWAP_FAULT } from '@bold-ballast/words'

const INCH = unitOf('length', 'in')
const MM = unitOf('length', 'mm')
const inches = (m: number) => formatNumber(fromSi(m, INCH), Number.isInteger(fromSi(m, INCH) * 2) ? 1 : 2)
const mm = (m: number) => formatNumber(fromSi(m, MM), 0)
const signed = (m: number, by = 1) =>
  `${m * by >= 0 ? '+' : '−'}${formatNumber(Math.abs(fromSi(m * by, MM)), 0)}`
const ENDS: readonly AxleEnd[] = ['front', 'rear']
const EDGE = { inside: -1, outside: 1 } as const

/** Rims are spoken of in inches, their offsets in millimetres, everywhere. */
const sayWheel = (w: FittedWheel) =>
  `${inches(w.rimWidth)} × ${inches(w.rimDiameter)} in, offset ${mm(w.offset)} mm${w.spacer > 0 ? `, spacer ${mm(w.spacer)} mm` : ''}, tyre ${mm(w.tyreWidth)} wide and ${mm(w.tyreDiameter)} mm tall`

/** Seen from above, to scale: the wheel on its hub face, a candidate under it, and what stands beside them. */
function Reach({ wheels, clearances }: { wheels: readonly FittedWheel[]; clearances: readonly Clearance[] }) {
  const own = wheelReach(itemAt(wheels, 0))
  const beside = clearances.flatMap(({ obstacle: { name, side, gap } }) =>
    side === 'above'
      ? []
      : [{ name, at: EDGE[side] * ((side === 'inside' ? own.inward : own.outward) + gap), side }],
  )
  const far = 0.26
  const x = (m: number) => `${(((m + far) / (2 * far)) * 100).toFixed(2)}%`
  return (
    <svg
      role="img"
      aria-label={`Wheel from ${mm(own.inward)} mm inboard to ${mm(own.outward)} mm outboard of the hub's face${beside.map((b) => `, ${b.name} at ${mm(Math.abs(b.at))} mm`).join('')}`}
      className="my-2 block w-full max-w-[560px] overflow-visible"
      height={28 + wheels.length * 24}
    >
      {wheels.map((wheel, i) => {
        const { inward, outward } = wheelReach(wheel)
        return (
          <rect
            key={i}
            x={x(-inward)}
            width={`${(((inward + outward) / (2 * far)) * 100).toFixed(2)}%`}
            y={6 + i * 24}
            height={18}
            fill={i === 0 ? 'var(--muted)' : 'var(--blued)'}
            opacity={i === 0 ? 0.55 : 1}
          />
        )
      })}
      <line x1={x(0)} x2={x(0)} y1={0} y2={10 + wheels.length * 24} stroke="var(--ink)" strokeWidth={2} />
      {beside.map((b) => (
        <line
          key={b.name}
          x1={x(b.at)}
          x2={x(b.at)}
          y1={0}
          y2={10 + wheels.length * 24}
          stroke="var(--oxide)"
          strokeWidth={2}
          strokeDasharray="4 3"
        />
      ))}
      <text x="0" y={24 + wheels.length * 24} fontSize="12" fill="var(--muted)">
        inboard
      </text>
      <text x="100%" y={24 + wheels.length * 24} fontSize="12" fill="var(--muted)" textAnchor="end">
        outboard
      </text>
    </svg>
  )
}

function Gaps({ clearances }: { clearances: readonly Clearance[] }) {
  return (
    <ul className="text-[14px]">
      {clearances.map(({ obstacle, gap, passes }) => (
        <li key={`${obstacle.name} ${obstacle.side}`} className="flex flex-wrap gap-x-3">
          <span className="min-w-[190px]">{obstacle.name}</span>
          <span className="figure text-[16px]">{mm(gap)} mm</span>
          <span className={passes ? 'text-zinc' : 'text-oxide'}>
            {passes
              ? '✓ passes'
              : gap < 0
                ? `✗ touches by ${mm(-gap)} mm`
                : `✗ ${mm(obstacle.wanted)} mm wanted`}
          </span>
        </li>
      ))}
    </ul>
  )
}

/** Wheels on their hubs with the gaps around them, candidates with the gaps they would leave, and what goes where. */
export function WheelsView({ onChange }: { onChange: () => void }) {
  const { built } = useBuild()
  const { record, carriedFrom } = useCarried('fitment')
  if (!record)
    return (
      <EmptyRoom
        title="No wheels measured"
        action={
          <Button look="main" onClick={onChange}>
            Type wheels and gaps
          </Button>
        }
      >
        With the rim, offset and tyre of each axle and the gaps to arm, strut and guard, you get the gaps that
        any other wheel would leave, what the track changes by, and whether front and rear can be swapped.
      </EmptyRoom>
    )
  const swaps = [
    { says: 'The front wheels on the rear', faults: wheelGoesOn(record.front, record.rear) },
    { says: 'The rear wheels on the front', faults: wheelGoesOn(record.rear, record.front) },
  ]
  const track = { front: built.trackFront, rear: built.trackRear }
  const candidatesOf = (end: AxleEnd): Fitment['candidates'] =>
    record.candidates.filter((c) => c.axle === end)
  return (
    <section aria-label="Wheels">
      <p className="text-[17px]" data-testid="wheels-say">
        {swaps.every((s) => s.faults.length === 0)
          ? 'Front and rear wheels can be interchanged.'
          : swaps
              .map(({ says, faults }) =>
                faults.length === 0
                  ? `${says}: they go.`
                  : `${says}: no, ${faults.map((f) => SWAP_FAULT[f]).join(', ')}.`,
              )
              .join(' ')}{' '}
        {carriedFrom && <span className="text-[13.5px] text-muted">Measured in {carriedFrom.name}.</span>}
      </p>
      {ENDS.map((end) => {
        const { wheel, obstacles } = record[end]
        const now = fitWheel(wheel, wheel, obstacles)
        return (
          <section key={end} aria-label={`${end} axle`} className="mt-4" data-testid={`wheels-${end}`}>
            <h2 className="text-[19px] first-letter:uppercase">{end} axle</h2>
            <p className="text-[14px]">
              <span className="font-medium">Fitted:</span> {sayWheel(wheel)}
            </p>
            <Reach wheels={[wheel]} clearances={now.clearances} />
            <Gaps clearances={now.clearances} />
            {candidatesOf(end).map((candidate) => {
              const { clearances, trackChange } = fitWheel(wheel, candidate.wheel, obstacles)
              const fits = clearances.every((c) => c.passes)
              return (
                <div
                  key={candidate.name}
                  className="mt-3 border-l-4 border-edge pl-3"
                  data-testid="candidate"
                >
                  <p className="text-[14px]">
                    <span className="font-medium">{candidate.name}:</span> {sayWheel(candidate.wheel)}.{' '}
                    <span className={fits ? 'text-zinc' : 'text-oxide'}>
                      {fits ? '✓ Fits.' : '✗ Doesn’t fit.'}
                    </span>{' '}
                    Track {signed(trackChange)} mm, to {mm(track[end] + trackChange)} mm; car{' '}
                    {signed(candidate.wheel.tyreDiameter - wheel.tyreDiameter, 0.5)} mm at this end.
                  </p>
                  <Reach wheels={[wheel, candidate.wheel]} clearances={now.clearances} />
                  <Gaps clearances={clearances} />
                </div>
              )
            })}
          </section>
        )
      })}
      <p className="mt-4 text-[13px] text-muted">
        Grey is what is fitted, blue the candidate, seen from above and to scale; the black line is the hub’s
        face, the dashed ones what stands beside. A rim is about an inch wider outside than its stamped width
        (common practice). Camber moves the top of a wider wheel in: measure again once it is on.
      </p>
    </section>
  )
}
