const ORDINALS = [
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
]

/** A gear counted from 0, in words. */
export const gearName = (index: number): string => `${ORDINALS[index]} gear`
