import { formatNumber } from '@bold-ballast/core'

/**
 * An amount of money, in whole units where it is whole.
 *
 * @example formatMoney(1250, 'EUR') // '1,250 EUR'
 * @example formatMoney(12.5, '') // '12.50'
 */
export const formatMoney = (
  amount: number,
  currency: string,
  decimals = Number.isInteger(amount) ? 0 : 2,
): string => [formatNumber(amount, decimals), currency].filter(Boolean).join(' ')
