import type { Wait } from '@bold-ballast/contract'

/** How a wait of each kind begins and ends, as it is said and as it is pressed. */
export const WAIT_WORDS: Readonly<
  Record<
    Wait['kind'],
    { readonly begin: string; readonly begun: string; readonly end: string; readonly over: string }
  >
> = {
  shop: { begin: 'Given away', begun: 'given', end: 'Back', over: 'back' },
  cure: { begin: 'Begun', begun: 'begun', end: 'Hard', over: 'hard' },
  person: { begin: 'Asked', begun: 'asked', end: 'There', over: 'there' },
  money: { begin: 'Asked', begun: 'asked', end: 'There', over: 'there' },
  other: { begin: 'Begun', begun: 'begun', end: 'Over', over: 'over' },
}
