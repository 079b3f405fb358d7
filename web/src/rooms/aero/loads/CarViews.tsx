import type { AeroElement } from '@bold-ballast/contract'
import type { ClassEnvelope } from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'
import { across, AHEAD, BEHIND, HALF, HIGH, SCALE, sideways, up } from './drawing'
import { ElementShape, type Moved } from './ElementShape'
import { EnvelopeLines } from './EnvelopeLines'
import { isOutside } from '@bold-ballast/model'

const WHEEL = 0.32
const STILL = () => undefined

/**
 * The car from the side and from above, to scale from its wheelbase, tracks and measured outline, with everything that
 * the air presses on and the lines that its class draws.
 */
export function CarViews({
  elements,
  envelope,
  chosen,
  onChoose,
  onMove,
  onDone,
}: {
  elements: readonly AeroElement[]
  /** The box of the class; null where none is chosen. */
  envelope: ClassEnvelope | null
  chosen: string | null
  onChoose: (id: string) => void
  /** Left out where nothing is to be moved. */
  onMove?: (moved: Moved) => void
  onDone?: (moved: Moved | null) => void
}) {
  const { built } = useBuild()
  const { record: scrutiny } = useCarried('scrutiny')
  const { wheelbase: L, trackFront, trackRear } = built
  const width = (L + AHEAD + BEHIND) * SCALE
  const nose = -(scrutiny?.bumperFront ?? 0.75)
  const tail = L + (scrutiny?.bumperRear ?? 0.75)
  const roof = scrutiny?.roofHeight ?? 1.38
  const half = (scrutiny?.overallWidth ?? 1.74) / 2
  // The body itself is the drawing; what hangs on it can be moved.
  const loose = elements.filter((e) => e.kind !== 'body')
  const shapes = (which: 'side' | 'plan') =>
    loose.map((element) => (
      <ElementShape
        key={element.id}
        {...{ element, view: which, wheelbase: L, chosen: element.id === chosen }}
        isOutside={envelope !== null && isOutside(element, envelope)}
        onChoose={() => onChoose(element.id)}
        onMove={onMove ?? STILL}
        onDone={onDone ?? STILL}
      />
    ))
  const side = `M${across(nose)} ${up(0.28)} L${across(nose + 0.03)} ${up(0.62)} Q${across(nose + 0.25)} ${up(0.74)} ${across(0.25)} ${up(0.86)} L${across(0.42 * L)} ${up(roof - 0.06)} Q${across(0.6 * L)} ${up(roof + 0.06)} ${across(0.78 * L)} ${up(roof - 0.08)} L${across(L + 0.25)} ${up(0.98)} L${across(tail - 0.03)} ${up(0.92)} L${across(tail)} ${up(0.3)} Z`
  const plan = `M${across(nose)} ${sideways(-0.6)} Q${across(nose - 0.1)} ${sideways(0)} ${across(nose)} ${sideways(0.6)} L${across(-0.2)} ${sideways(half)} L${across(L + 0.45)} ${sideways(half)} L${across(tail)} ${sideways(0.68)} L${across(tail)} ${sideways(-0.68)} L${across(L + 0.45)} ${sideways(-half)} L${across(-0.2)} ${sideways(-half)} Z`
  const tyre = (x: number, y: number) => (
    <rect
      key={`${x} ${y}`}
      x={across(x - WHEEL)}
      y={sideways(y - 0.11)}
      width={2 * WHEEL * SCALE}
      height={0.22 * SCALE}
      rx="6"
      fill="var(--muted)"
      opacity={0.5}
    />
  )
  return (
    <div className="grid gap-x-6 @3xl:grid-cols-2" data-testid="car-views">
      <svg
        viewBox={`0 0 ${width} ${(HIGH + 0.08) * SCALE}`}
        className="block w-full"
        aria-label="From the side"
        role="group"
      >
        <path d={side} fill="var(--bench)" stroke="var(--edge)" />
        {[0, L].map((x) => (
          <circle
            key={x}
            cx={across(x)}
            cy={up(WHEEL)}
            r={WHEEL * SCALE}
            fill="var(--panel)"
            stroke="var(--edge)"
            strokeWidth="3"
          />
        ))}
        <line x1="0" x2={width} y1={up(0)} y2={up(0)} stroke="var(--edge)" />
        {envelope && <EnvelopeLines envelope={envelope} view="side" wheelbase={L} />}
        {shapes('side')}
      </svg>
      <svg
        viewBox={`0 0 ${width} ${2 * HALF * SCALE}`}
        className="block w-full"
        aria-label="From above"
        role="group"
      >
        {[-1, 1].flatMap((s) => [tyre(0, (s * trackFront) / 2), tyre(L, (s * trackRear) / 2)])}
        <path d={plan} fill="var(--bench)" fillOpacity={0.8} stroke="var(--edge)" />
        {envelope && <EnvelopeLines envelope={envelope} view="plan" wheelbase={L} />}
        {shapes('plan')}
      </svg>
    </div>
  )
}
