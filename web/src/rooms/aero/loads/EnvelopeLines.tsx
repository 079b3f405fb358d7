import type { ClassEnvelope } from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { formatQuantity } from '@bold-ballast/core'
import { across, BEHIND, HIGH, sideways, up } from './drawing'

/** The lines of a class over a view of the car, each with its distance beside it. */
export function EnvelopeLines({
  envelope,
  view,
  wheelbase,
}: {
  envelope: ClassEnvelope
  view: 'side' | 'plan'
  wheelbase: number
}) {
  const { unit } = useBuild()
  const length = unit('length')
  const { top, bottom, front, rear, width } = envelope
  const right = across(wheelbase + BEHIND)
  const says = (m: number) => formatQuantity(m, length)
  const line = (key: string, x1: number, y1: number, x2: number, y2: number) => (
    <line
      key={key}
      {...{ x1, y1, x2, y2 }}
      stroke="var(--zinc)"
      strokeWidth="1.5"
      strokeDasharray="7 4"
      pointerEvents="none"
    />
  )
  const label = (key: string, x: number, y: number, text: string, anchor: 'start' | 'end' | 'middle') => (
    <text key={key} x={x} y={y} textAnchor={anchor} fontSize="13" fill="var(--zinc)" pointerEvents="none">
      {text}
    </text>
  )
  const uprights = [
    front !== null &&
      line(
        'front',
        across(front),
        view === 'side' ? up(HIGH) : 0,
        across(front),
        view === 'side' ? up(0) : sideways(1.05),
      ),
    rear !== null &&
      line(
        'rear',
        across(rear),
        view === 'side' ? up(HIGH) : 0,
        across(rear),
        view === 'side' ? up(0) : sideways(1.05),
      ),
  ]
  if (view === 'plan')
    return (
      <g aria-hidden>
        {uprights}
        {width !== null && [
          line('left', 0, sideways(-width / 2), right, sideways(-width / 2)),
          line('right', 0, sideways(width / 2), right, sideways(width / 2)),
          label('width', across(wheelbase / 2), sideways(-width / 2) + 13, `${says(width)} wide`, 'middle'),
        ]}
      </g>
    )
  return (
    <g aria-hidden>
      {uprights}
      {top !== null && [
        line('top', 0, up(top), right, up(top)),
        label('top says', across(wheelbase / 2), up(top) - 4, `${says(top)} up`, 'middle'),
      ]}
      {bottom !== null && line('bottom', 0, up(bottom), right, up(bottom))}
      {front !== null && label('front says', across(front) + 4, up(HIGH - 0.14), says(-front), 'start')}
      {rear !== null && label('rear says', across(rear) - 4, up(HIGH - 0.14), says(rear - wheelbase), 'end')}
    </g>
  )
}
