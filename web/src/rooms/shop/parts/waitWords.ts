import type { Wait } from '@bold-ballast/contract'

/** How a wait of each kind begins and ends, as it is said and as it is pressed. */
export const WAIT_WORDS: Readonly<
  Record<
    Wait['kind'],
    {
      readonly does: string
      readonly begin: string
      readonly begun: string
      readonly end: string
      readonly over: string
    }
  >
> = {
  shop: { does: 'Give away', begin: 'Given away', begun: 'given', end: 'Back', over: 'back' },
  cure: { does: 'Begin', begin: 'Begun', begun: 'begun', end: 'Hard', over: 'hard' },
  person: { does: 'Ask', begin: 'Asked', begun: 'asked', end: 'There', over: 'there' },
  money: { does: 'Ask for', begin: 'Asked', begun: 'asked', end: 'There', over: 'there' },
  other: { does: 'Begin', begin: 'Begun', begun: 'begun', end: 'Over', over: 'over' },
}
