import { formatNumber, formatQuantity } from '@bold-ballast/core'
import { useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { Choice } from '../../../ui/Choice'
import { TableHead } from '../../../ui/TableHead'

/** Travel that both are judged over, m. */
const STROKE = 0.05

/**
 * A spring apart from its damper and one on it, side by side: what rate each needs for the same wheel, and what its mounts
 * carry.
 */
export function ApartOrTogether() {
  const { unit } = useBuild()
  const { stance } = useLiveCar()
  const [end, setEnd] = useState<'front' | 'rear'>('rear')
  const [apart, setApart] = useState('0.65')
  const axle = stance[end]
  const ratio = Number(apart.replace(',', '.'))
  const isRatio = ratio >= 0.2 && ratio <= 2
  const stiffness = unit('stiffness')
  const force = unit('force')
  const of = (at: number) => ({
    ratio: at,
    rate: axle.wheel.value / at ** 2,
    standing: axle.corner.standing / at,
    full: (axle.corner.standing + axle.wheel.value * STROKE) / at,
    stroke: STROKE * at,
  })
  const columns = isRatio
    ? ([
        ['On the damper', of(axle.damperRatio)],
        ['Apart', of(ratio)],
      ] as const)
    : []
  return (
    <section aria-label="Spring apart or on the damper" className="mt-6 border-t border-line pt-4">
      <h2 className="text-[20px]">Spring apart from the damper, or on it?</h2>
      <div className="mt-2 flex flex-wrap items-end gap-4">
        <Choice
          label="Which end"
          value={end}
          options={[
            ['front', 'Front'],
            ['rear', 'Rear'],
          ]}
          onChange={setEnd}
        />
        <label className="flex flex-col gap-1 text-[13px] text-muted">
          Motion ratio apart
          <input
            className="w-[110px] rounded-[3px] border border-edge bg-panel px-2 py-1 text-[15px] text-ink"
            inputMode="decimal"
            value={apart}
            aria-invalid={!isRatio || undefined}
            onChange={(e) => setApart(e.target.value)}
          />
        </label>
      </div>
      {isRatio ? (
        <table className="mt-3 w-full max-w-[640px]" data-testid="apart">
          <caption className="sr-only">The same wheel rate, both ways</caption>
          <TableHead
            columns={[
              { says: 'For the same wheel rate', unseen: true },
              ...columns.map(([says]) => ({ says, figures: true })),
            ]}
          />
          <tbody>
            {(
              [
                ['Motion ratio', (c) => formatNumber(c.ratio, 3)],
                ['Spring it takes', (c) => formatQuantity(c.rate, stiffness)],
                ['Its mounts carry, standing', (c) => formatQuantity(c.standing, force)],
                ['and 50 mm further up', (c) => formatQuantity(c.full, force)],
                ['It goes then by', (c) => `${formatNumber(c.stroke * 1000, 0)} mm`],
              ] as readonly (readonly [string, (c: ReturnType<typeof of>) => string])[]
            ).map(([label, say]) => (
              <tr key={label} className="border-b border-line">
                <th scope="row" className="py-1.5 text-left font-normal">
                  {label}
                </th>
                {columns.map(([says, c]) => (
                  <td key={says} className="pl-3 text-right tabular-nums">
                    {say(c)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      ) : (
        <p role="alert" className="mt-2 text-[13.5px] text-oxide">
          Spring travel over wheel travel, from 0.2 to 2, such as 0.65.
        </p>
      )}
      <p className="mt-2 text-[13px] text-muted">
        A spring apart has a mount of its own to make and to hold that load, and leaves the damper straight;
        on the damper its top mount carries both.
      </p>
    </section>
  )
}
