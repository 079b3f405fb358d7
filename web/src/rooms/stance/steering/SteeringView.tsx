import {
  ackermann,
  checkSteering,
  formatNumber,
  fromSi,
  slideHeld,
  unitOf,
  type SteeringCheck,
} from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'
import { Button } from '../../../ui/Button'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { ShowWorking } from '../../../ui/ShowWorking'
import { STEERING_CHECK } from '@bold-ballast/words'

const DEGREE = unitOf('angle', '°')
const ANGLES: readonly SteeringCheck['check'][] = ['lock', 'tieRod', 'overCentre', 'rearToe', 'halfshaft']
const degrees = (rad: number, decimals = 1) => `${formatNumber(fromSi(rad, DEGREE), decimals)}°`

/** Lock, rack, joints and gaps as measured, each with pass or not; and the slide that the lock holds. */
export function SteeringView({ onChange }: { onChange: () => void }) {
  const { view, unit, built } = useBuild()
  const { summary } = useLiveBuild()
  const { record, carriedFrom } = useCarried('steering')
  const length = unit('length')
  const checks = useMemo(() => (record ? checkSteering(record) : []), [record])
  if (!record)
    return (
      <EmptyRoom
        title="No steering measured"
        action={
          <Button look="main" onClick={onChange}>
            Type what was measured
          </Button>
        }
      >
        Lock of both wheels, rack travel, the joints’ angles against where they bind, and the gaps at full
        lock and over the rear travel. You get pass or not for each, the Ackermann share, and the largest
        slide the lock holds.
      </EmptyRoom>
    )
  const { lockInside, lockOutside, slideRadius } = record
  const { trackFront: track, wheelbase } = built
  const share =
    lockInside !== null && lockOutside !== null
      ? ackermann(lockInside, lockOutside, { track, wheelbase })
      : null
  const mean = lockInside !== null && lockOutside !== null ? (lockInside + lockOutside) / 2 : lockInside
  const toFront = summary.asFitted.centre.x.value
  const slide = mean !== null && slideRadius > toFront ? slideHeld(mean, slideRadius, toFront) : null
  const say = (check: SteeringCheck['check'], si: number) =>
    ANGLES.includes(check)
      ? degrees(si, check === 'rearToe' ? 2 : 1)
      : `${formatNumber(fromSi(si, length), length.symbol === 'mm' ? 1 : length.decimals)} ${length.symbol}`
  const failed = checks.filter((c) => !c.passes)
  return (
    <section aria-label="Steering">
      <p className="text-[17px]" data-testid="steering-says">
        {checks.length === 0
          ? 'Nothing can be judged yet: each check wants a measurement and its limit.'
          : failed.length === 0
            ? `All ${checks.length} checks pass.`
            : `${failed.length} of ${checks.length} checks ${failed.length === 1 ? 'fails' : 'fail'}: ${failed.map((c) => STEERING_CHECK[c.check].toLowerCase()).join(', ')}.`}{' '}
        <span className="text-[13.5px] text-muted">
          Measured {record.date}
          {carriedFrom && `, in ${carriedFrom.name}`}.
        </span>
      </p>
      <dl className="my-3 flex flex-wrap gap-x-8 gap-y-2">
        {slide !== null && (
          <div>
            <dt className="text-[12.5px] text-muted">
              Holds a slide on {formatNumber(slideRadius, 0)} m of{' '}
              <ShowWorking
                working={{
                  title: 'Slide that the lock holds',
                  formula: 'tan(lock) = tan β − a / (R·cos β)',
                  inputs: [
                    ['Lock, mean of both wheels', mean === null ? '–' : degrees(mean)],
                    ['Radius of the path', `${formatNumber(slideRadius, 0)} m`],
                    ['Mass to front axle', `${formatNumber(toFront, 3)} m`],
                  ],
                  result: degrees(slide),
                  source: 'rigid-body kinematics; the front tyres’ own slip angle left out',
                }}
              />
            </dt>
            <dd className="figure text-[26px]">{degrees(slide, 0)}</dd>
          </div>
        )}
        {share !== null && (
          <div>
            <dt className="text-[12.5px] text-muted">
              Ackermann{' '}
              <ShowWorking
                working={{
                  title: 'Ackermann',
                  formula: '(cot δ_outside − cot δ_inside) · wheelbase / track',
                  inputs: [
                    ['Inside', lockInside === null ? '–' : degrees(lockInside)],
                    ['Outside', lockOutside === null ? '–' : degrees(lockOutside)],
                    ['Track, front', `${formatNumber(track, 3)} m`],
                    ['Wheelbase', `${formatNumber(wheelbase, 3)} m`],
                  ],
                  result: `${formatNumber(share * 100, 0)} %`,
                  source: 'geometry: 100 % where both axes meet on the line of the rear axle',
                }}
              />
            </dt>
            <dd className="figure text-[26px]">{formatNumber(share * 100, 0)} %</dd>
          </div>
        )}
        <div>
          <dt className="text-[12.5px] text-muted">Lock, inside and outside</dt>
          <dd className="figure text-[26px]">
            {lockInside === null ? '–' : degrees(lockInside)} /{' '}
            {lockOutside === null ? '–' : degrees(lockOutside)}
          </dd>
        </div>
      </dl>
      <ul data-testid="steering-checks" className="max-w-[820px]">
        {checks.map(({ check, value, limit, side, passes }) => (
          <li
            key={check}
            className="grid items-baseline gap-x-4 border-b border-line py-2 @2xl:grid-cols-[1fr_130px_200px_80px]"
          >
            <span className="font-medium">{STEERING_CHECK[check]}</span>
            <span className="figure text-[19px]">{say(check, value)}</span>
            <span className="text-[13.5px] text-muted">
              {side === 'atLeast' ? 'at least' : 'at most'} {say(check, limit)}
            </span>
            <span className={passes ? 'text-zinc' : 'text-oxide'}>{passes ? '✓ passes' : '✗ fails'}</span>
          </li>
        ))}
      </ul>
      {record.note && <p className="mt-2 text-[14px]">{record.note}</p>}
      <p className="mt-3 text-[13px] text-muted">
        A joint keeps 2° from where it binds, a tie rod 15° from lying along its arm: common practice. Check
        at full droop and bump as well as at ride height, with the car on stands and nobody under it alone.
        Nothing here says that {view.build.name} is safe.
      </p>
    </section>
  )
}
