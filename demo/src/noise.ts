export { noise } from '@bold-ballast/devices'

export const round = (value: number, decimals: number) => Number(value.toFixed(decimals))
