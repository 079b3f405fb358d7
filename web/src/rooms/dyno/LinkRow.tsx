import { formatNumber, fromSi, judge, type Known } from '@bold-ballast/core'
import type { ReactNode } from 'react'
import { useBuild } from '../../store/useBuild'
import { domainOf, PlumbBar, VERDICT_TEXT } from '../../ui/PlumbBar'
import { ShowWorking, type Working } from '../../ui/ShowWorking'

/** One link of a chain: what it does now, the power it supports, and the power that is wanted as a notch. */
export function LinkRow({
  name,
  now,
  supports,
  wanted,
  working,
}: {
  name: string
  now: ReactNode
  supports: Known
  wanted: number
  working?: Working
}) {
  const { unit } = useBuild()
  const power = unit('power')
  const away = supports.value / wanted - 1
  const verdict = judge(supports, { comparator: 'atLeast', value: wanted, tolerance: 0 }).verdict
  const says = `${formatNumber(fromSi(supports.value, power), 0)} ${power.symbol}`
  return (
    <div className="grid items-center gap-x-4 border-b border-line py-2 @2xl:grid-cols-[150px_1fr_220px_150px]">
      <p className="font-medium">
        {name} {working && <ShowWorking working={working} />}
      </p>
      <p className="text-[13.5px]">{now}</p>
      <PlumbBar
        value={supports}
        mark={wanted}
        verdict={verdict}
        domain={domainOf([supports.value, wanted])}
        label={`${name} supports ${says}; ${formatNumber(fromSi(wanted, power), 0)} ${power.symbol} is wanted`}
      />
      <p className={`text-right ${VERDICT_TEXT[verdict]}`}>
        <span className="figure text-[19px]">{says}</span>{' '}
        <span className="block text-[12.5px]">
          {formatNumber(Math.abs(away) * 100, 0)} % {away >= 0 ? 'in hand' : 'short'}
          {verdict === 'cantTell' && ', as far as a rating tells'}
        </span>
      </p>
    </div>
  )
}
