import { formatMoney } from '@bold-ballast/words'
import { useCallback } from 'react'
import { useMay } from './me'

/** How an amount is written in a build's currency; to whoever sees no money, that it isn't shown. */
export function useMoney(currency: string): (amount: number) => string {
  const isShown = useMay('money')
  return useCallback(
    (amount: number) => (isShown ? formatMoney(amount, currency, 0) : 'not shown'),
    [isShown, currency],
  )
}
