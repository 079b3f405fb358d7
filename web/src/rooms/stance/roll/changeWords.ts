import { AXLE_WORDS } from '@bold-ballast/contract'
import { formatNumber, formatQuantity, REACH_95, type Quantity, type Unit } from '@bold-ballast/core'
import type { AskedChange } from '@bold-ballast/model'

const signed = (mm: number) => `${mm > 0 ? '+' : '−'}${formatNumber(Math.abs(mm), 0)} mm`

/** A change as a builder would say it. */
export function changeWords({ what }: AskedChange, unit: (quantity: Quantity) => Unit): string {
  switch (what.kind) {
    case 'barOff':
      return `Take the ${what.end} bar off`
    case 'barOn':
      return `Put the ${what.end} bar on`
    case 'hole':
      return `${AXLE_WORDS[what.end]} bar in ${what.setting}`
    case 'bar':
      return `${AXLE_WORDS[what.end]} bar of ${formatQuantity(what.stiffness, unit('rollStiffness'))}`
    case 'spring':
      return `${AXLE_WORDS[what.end]} springs of ${formatQuantity(what.rate, unit('stiffness'))}`
    case 'track':
      return `${AXLE_WORDS[what.end]} track ${signed(what.by * 1000)}`
    case 'rollCentre':
      return `${AXLE_WORDS[what.end]} roll centre ${signed(what.by * 1000)}`
    case 'tyre':
      return `${AXLE_WORDS[what.end]} tyres ${what.by < 0 ? 'softer' : 'stiffer'} by ${formatNumber(Math.abs(what.by) * 100, 0)} %`
    case 'height':
      return `Centre of mass ${signed(what.by * 1000)} in height`
    case 'back':
      return `Centre of mass ${formatNumber(Math.abs(what.by) * 1000, 0)} mm further ${what.by < 0 ? 'forward' : 'back'}`
  }
}

/** What a change of the front share of the transfer means at the wheel: more of it in front pushes. */
export const feels = (share: number, doubt: number): string =>
  Math.abs(share) < REACH_95 * doubt || Math.abs(share) < 0.001
    ? 'hardly felt'
    : share > 0
      ? 'pushes more, turns in less'
      : 'rotates more, pushes less'
