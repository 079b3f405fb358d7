import { formatNumber, fromSi, type Known } from '@bold-ballast/core'
import type { ReactNode } from 'react'
import { useBuild } from '../../store/useBuild'
import { domainOf, PlumbBar } from '../../ui/PlumbBar'
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
  const isEnough = supports.value >= wanted
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
        verdict={isEnough ? 'met' : 'missed'}
        domain={domainOf([supports.value, wanted])}
        label={`${name} supports ${says}; ${formatNumber(fromSi(wanted, power), 0)} ${power.symbol} is wanted`}
      />
      <p className={`text-right ${isEnough ? 'text-zinc' : 'text-oxide'}`}>
        <span className="figure text-[19px]">{says}</span>{' '}
        <span className="block text-[12.5px]">
          {isEnough
            ? `${formatNumber((supports.value / wanted - 1) * 100, 0)} % in hand`
            : `${formatNumber((1 - supports.value / wanted) * 100, 0)} % short`}
        </span>
      </p>
    </div>
  )
}
