/** What treads hint at, in words. */
export const CAMBER_HINT = {
  more: 'more camber',
  less: 'less camber',
  right: 'camber as it is',
} as const
export const PRESSURE_HINT = {
  more: 'more pressure',
  less: 'less pressure',
  right: 'pressure as it is',
} as const
