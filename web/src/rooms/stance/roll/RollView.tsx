import { formatNumber, STANDARD_GRAVITY } from '@bold-ballast/core'
import { ownChange, type OwnChange } from '@bold-ballast/model'
import { useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { Button } from '../../../ui/Button'
import { ShowWorking } from '../../../ui/ShowWorking'
import { NoSprings } from '../NoSprings'
import { OwnChangeFields } from './OwnChangeFields'
import { changeWords, feels } from './changeWords'
import { useBalanceEffects } from './useBalanceEffects'

const PERCENT = { symbol: '%', factor: 0.01, decimals: 1, aliases: [] } as const
const percent = (share: number, decimals = 1) => formatNumber(share * 100, decimals)
const perG = (perAcceleration: number) => (perAcceleration * STANDARD_GRAVITY * 180) / Math.PI
const signed = (value: number, decimals: number) =>
  `${value > 0 ? '+' : value < 0 ? '−' : '±'}${formatNumber(Math.abs(value), decimals)}`

/** A doubt, left out where it is too small to be written. */
const within = (doubt: number) => (doubt < 0.005 ? '' : `±${formatNumber(doubt, 2)}`)

type By = 'share' | 'roll' | 'liftsAt'
const SORTS: readonly (readonly [By, string])[] = [
  ['share', 'Front share'],
  ['roll', 'Roll'],
  ['liftsAt', 'Lifts at'],
]

/** How far it rolls, which end takes the load over, and what each thing that can be turned does to that. */
export function RollView({ onChange }: { onChange: () => void }) {
  const { unit, built } = useBuild()
  const car = useLiveCar()
  const { stance } = car
  const [own, setOwn] = useState<OwnChange | null>(null)
  const asked = useMemo(() => own && ownChange(stance, own), [stance, own])
  const balance = useBalanceEffects(asked)
  const [by, setBy] = useState<By>('share')
  if (stance.from === 'assumed')
    return (
      <NoSprings onChange={onChange}>
        With springs, bars, roll centres and what is unsprung you get roll angle, what goes from the inside to
        the outside wheels at each end, and a table of what each change does to the balance, with its doubt.
      </NoSprings>
    )
  if (!balance) return <p className="min-h-[300px] text-muted">Drawing what isn’t known…</p>
  if ('problem' in balance.answer)
    return (
      <p role="alert" className="text-oxide">
        {balance.answer.problem.replace(/^./, (c) => c.toUpperCase())}: check roll centres, springs and the
        height of the centre of mass.
      </p>
    )
  const { now, doubt, share90, effects } = balance.answer
  const massShare = 1 - stance.rollCar.centre.x / stance.rollCar.wheelbase
  const over = now.share - massShare
  const driven = built.layout
  const rows = balance.asked
    .flatMap((asked, i) => {
      const effect = effects[i]
      return effect ? [{ asked, effect }] : []
    })
    .sort(
      (a, b) =>
        // One’s own is looked for first.
        Number(b.asked.key === 'own') - Number(a.asked.key === 'own') ||
        Math.abs(b.effect.adds[by]) - Math.abs(a.effect.adds[by]),
    )
  const barOff = rows.find(({ asked }) => asked.what.kind === 'barOff' && asked.what.end === 'rear')
  return (
    <section aria-label="Roll">
      {stance.from === 'springs' && (
        <p className="mb-3 text-[14px] text-ochre">
          Bars, roll centres and unsprung masses are guesses until somebody types them.{' '}
          <Button look="quiet" className="!px-0" onClick={onChange}>
            Type the suspension
          </Button>
        </p>
      )}
      <dl className="mb-3 flex flex-wrap gap-x-8 gap-y-2" data-testid="roll-figures">
        <div>
          <dt className="text-[12.5px] text-muted">
            Front share of the transfer{' '}
            <ShowWorking
              working={{
                title: 'Front share of the transfer',
                formula: 'ΔF = (K·φ + share·m_s·a·z_roll + m_u·a·z_u) / t; φ = m_s·a·H / (ΣK − m_s·g·H)',
                inputs: [
                  ['Mass, driver in it', `${formatNumber(stance.rollCar.mass, 0)} kg`],
                  [
                    'Centre, up',
                    `${formatNumber(stance.rollCar.centre.z * 1000, 0)} mm, ${car.heightFrom === 'tilt' ? 'by tilting' : 'by the ledger'}`,
                  ],
                  [
                    'Roll centres',
                    `${formatNumber(stance.front.rollCentre.value * 1000, 0)} and ${formatNumber(stance.rear.rollCentre.value * 1000, 0)} mm`,
                  ],
                  [
                    'Wheel rates',
                    `${formatNumber(stance.front.wheel.value / 1000, 1)} and ${formatNumber(stance.rear.wheel.value / 1000, 1)} N/mm`,
                  ],
                  [
                    'Bars at the axles',
                    `${formatNumber(stance.front.bar.value, 0)} and ${formatNumber(stance.rear.bar.value, 0)} N·m/rad`,
                  ],
                  ['90 % of the draws', `${percent(share90[0])} to ${percent(share90[1])} %`],
                ],
                result: `${percent(now.share)} %`,
                source:
                  'Milliken & Milliken, Race Car Vehicle Dynamics, chapter on wheel loads (from memory); 2,000 draws',
              }}
            />
          </dt>
          <dd>
            <span className="figure text-[26px]">{percent(now.share)}</span>{' '}
            <span className="text-[13px] text-muted">
              ±{percent(doubt.share)} {PERCENT.symbol}
            </span>
          </dd>
        </div>
        <div>
          <dt className="text-[12.5px] text-muted">Front share of the mass</dt>
          <dd>
            <span className="figure text-[26px]">{percent(massShare)}</span>{' '}
            <span className="text-[13px] text-muted">%</span>
          </dd>
        </div>
        <div>
          <dt className="text-[12.5px] text-muted">Rolls, for each g</dt>
          <dd>
            <span className="figure text-[26px]">{formatNumber(perG(now.roll), 2)}</span>{' '}
            <span className="text-[13px] text-muted">±{formatNumber(perG(doubt.roll), 2)}°</span>
          </dd>
        </div>
        <div>
          <dt className="text-[12.5px] text-muted">First inside wheel is off at</dt>
          <dd>
            <span className="figure text-[26px]">{formatNumber(now.liftsAt / STANDARD_GRAVITY, 2)}</span>{' '}
            <span className="text-[13px] text-muted">
              ±{formatNumber(doubt.liftsAt / STANDARD_GRAVITY, 2)} g
            </span>
          </dd>
        </div>
      </dl>
      <p className="max-w-[820px] text-[16px]" data-testid="roll-says">
        The front takes {percent(Math.abs(over))} % {over >= 0 ? 'more' : 'less'} of the transfer than it has
        of the mass.{' '}
        {driven === 'front'
          ? 'A front-drive car is usually given more at the rear: common practice.'
          : 'About 5 % more is a safe start for a car that is driven at the rear: common practice.'}{' '}
        {barOff && (
          <>
            Too much rotation, take the rear bar off? It moves the share from {percent(now.share)} to{' '}
            <b className="figure">{percent(barOff.effect.after.share)}</b> %, by{' '}
            {signed(barOff.effect.adds.share * 100, 1)} ±{percent(barOff.effect.doubt.share)}: it{' '}
            {feels(barOff.effect.adds.share, barOff.effect.doubt.share)}, and rolls{' '}
            {formatNumber(perG(barOff.effect.adds.roll), 2)}° more for each g.
          </>
        )}
      </p>
      <OwnChangeFields stance={stance} own={own} onChange={setOwn} />
      <table className="mt-3 w-full" data-testid="roll-changes">
        <caption className="sr-only">What each change does to the balance</caption>
        <thead className="@max-2xl:sr-only">
          <tr className="border-b border-line text-[12.5px] text-muted">
            <th scope="col" className="py-1 text-left font-normal">
              Change
            </th>
            {SORTS.map(([key, says]) => (
              <th
                key={key}
                scope="col"
                aria-sort={by === key ? 'descending' : 'none'}
                className="py-1 text-right font-normal"
              >
                <button
                  type="button"
                  className={by === key ? 'font-medium text-ink' : 'hover:text-ink'}
                  onClick={() => setBy(key)}
                >
                  {says}
                  {by === key ? ' ↓' : ''}
                </button>
              </th>
            ))}
            <th scope="col" className="py-1 pl-4 text-left font-normal">
              At the wheel
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ asked, effect: { adds, doubt: off } }) => (
            <tr
              key={asked.key}
              className={`border-b border-line @max-2xl:grid @max-2xl:grid-cols-3 @max-2xl:py-1.5 ${asked.key === 'own' ? 'bg-panel' : ''}`}
            >
              <th scope="row" className="py-1.5 text-left font-medium @max-2xl:col-span-3">
                {changeWords(asked, unit)}
                {asked.key === 'own' && <span className="font-normal text-muted"> yours</span>}
              </th>
              <td className="text-right whitespace-nowrap @max-2xl:text-left">
                <span className="figure">{signed(adds.share * 100, 2)}</span>{' '}
                <span className="text-[13px] text-muted">{within(off.share * 100)} %</span>
              </td>
              <td className="text-right whitespace-nowrap @max-2xl:text-left">
                <span className="figure">{signed(perG(adds.roll), 2)}</span>{' '}
                <span className="text-[13px] text-muted">{within(perG(off.roll))}°/g</span>
              </td>
              <td className="text-right whitespace-nowrap @max-2xl:text-left">
                <span className="figure">{signed(adds.liftsAt / STANDARD_GRAVITY, 2)}</span>{' '}
                <span className="text-[13px] text-muted">{within(off.liftsAt / STANDARD_GRAVITY)} g</span>
              </td>
              <td className="py-1.5 pl-4 text-[14px] @max-2xl:col-span-3 @max-2xl:pl-0">
                {feels(adds.share, off.share)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-[13px] text-muted">
        Each change by itself, on the set-up sheet of now. More roll stiffness at the driven end costs pull
        out of corners: common practice. Springs count as straight lines here, rubbers not reached; Travel
        says whether they are.
      </p>
    </section>
  )
}
