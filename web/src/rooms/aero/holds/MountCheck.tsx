import {
  checkFooting,
  checkSpar,
  checkWingMount,
  elementAreas,
  formatNumber,
  fromSi,
  pitchingMoment,
  PLATE_ALUMINIUM,
  STANDARD_GRAVITY,
  unitOf,
} from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { SPAR } from '@bold-ballast/contract'
import type { Mounted } from '@bold-ballast/model'
import { mm, times, tone } from './safetyTone'

const DEGREE = unitOf('angle', '°')

/** A wing under the air of a speed: its tube, uprights, fixings and what they stand on, and the angle its load takes off. */
export function MountCheck({ element, q, onChange }: { element: Mounted; q: number; onChange: () => void }) {
  const { view, unit } = useBuild()
  const mass = unit('mass')
  const { mount, span, wing } = element
  const { gust, kerb, wanted } = view.build.airLoads
  const shakes = gust * kerb
  const { downforceArea, dragArea } = elementAreas(element)
  const load = {
    downforce: downforceArea * q * shakes,
    drag: dragArea * q * shakes,
    pitching: pitchingMoment(element, q * shakes, mount.spar?.behind),
  }
  const check = checkWingMount({ ...mount, ...PLATE_ALUMINIUM }, load)
  const spar = mount.spar && mount.spar.apart <= span ? checkSpar(mount.spar, span, load.downforce) : null
  const footing = mount.footing && checkFooting(mount.footing, mount, load)
  const rows: [string, number | null][] = [
    [mount.spar ? `Inside it, ${SPAR[mount.spar.metal]}, bent` : 'Inside it', spar && spar.bending],
    ['Bolts at the wing', check.topBolts],
    ['Uprights, bent by drag and the wing’s own moment', check.bending],
    ['Uprights, pressed sideways', check.buckling],
    ['Bolts at the foot', check.bolts],
    [
      mount.footing
        ? `${mount.on === 'lid' ? 'Lid' : 'Body'} under the foot, ${mm(mount.footing.thickness)} mm`
        : `${mount.on === 'lid' ? 'Lid' : 'Body'} under the foot`,
      footing && footing.safety,
    ],
  ]
  // Gusts pass; what the steady load takes off stays off.
  const lost = (check.tipsBack + (spar?.twist ?? 0)) / shakes
  const left = wing && elementAreas({ ...element, wing: { ...wing, angle: wing.angle - lost } })
  const costs = left ? ((downforceArea - left.downforceArea) * q) / STANDARD_GRAVITY : 0
  const weakest = rows.reduce<number>((least, [, s]) => (s === null ? least : Math.min(least, s)), Infinity)
  return (
    <section aria-label={element.name} className="mt-5" data-testid="mount">
      <div className="flex items-baseline justify-between gap-2">
        <h2 className="text-[19px]">{element.name}</h2>
        <Button look="quiet" onClick={onChange}>
          Change<span className="sr-only"> {element.name}</span>
        </Button>
      </div>
      <p className="text-[17px]" data-testid="mount-says">
        {formatNumber(load.downforce, 0)} N down, {formatNumber(load.drag, 0)} N back and{' '}
        {formatNumber(Math.abs(load.pitching), 0)} N·m tipping it {load.pitching >= 0 ? 'back' : 'forward'},
        with gusts and kerbs: <span className={tone(weakest, wanted)}>{times(weakest)} times in hand</span> at
        its weakest.
      </p>
      <p className="text-[15px]" data-testid="mount-angle">
        The steady load takes {formatNumber(fromSi(lost, DEGREE), 2)}° off its angle
        {costs * STANDARD_GRAVITY > 1 &&
          ` and ${formatNumber(fromSi(costs, mass), 1)} ${mass.symbol} with it`}
        {spar &&
          `; its ends give way by ${mm(Math.abs(spar.ends))} mm, its middle by ${mm(Math.abs(spar.middle))}`}
        .{' '}
        {mount.on === 'lid' && (
          <span className="text-oxide">
            It stands on the lid: a lid’s hinges, latch and skin were not made for this.{' '}
          </span>
        )}
        {!mount.retention && (
          <span className="text-oxide">
            Nothing but the mount keeps it on the car: fit cables that don’t hang from the skin.
          </span>
        )}
      </p>
      <ul className="max-w-[560px]">
        {rows.map(([says, safety]) => (
          <li key={says} className="flex justify-between gap-4 border-b border-line py-1.5">
            <span>{says}</span>
            {safety === null ? (
              <span className="text-ochre">nobody said what it is</span>
            ) : (
              <span className={`figure text-[17px] ${tone(safety, wanted)}`}>{times(safety)} in hand</span>
            )}
          </li>
        ))}
      </ul>
      <p className="mt-1 max-w-[640px] text-[12.5px] text-muted">
        Rests on: uprights as cantilevers from their feet; the wing’s moment from its camber (thin aerofoils)
        and from lift ahead of where{' '}
        {mount.spar ? 'its tube holds it' : 'the middle of its chord holds it, as no tube is noted'}; usual
        figures of plate and bolts. The upright’s top bolts share the moment over its width.
      </p>
    </section>
  )
}
