import { expect, it } from 'vitest'
import { agoSaid, timeSaid } from './agoSaid'
import { sentSaid } from './sayWhatWasSent'

it.each([
  [1, 0, 0, 'Connected again: one change is saved.'],
  [3, 0, 0, 'Connected again: 3 changes are saved.'],
  [0, 1, 0, 'Connected again: one photograph is saved.'],
  [2, 2, 0, 'Connected again: 2 changes and 2 photographs are saved.'],
  [2, 0, 1, 'Connected again: 2 changes are saved. One was not taken: look at why.'],
  [0, 0, 2, 'Connected again: 2 were not taken: look at why.'],
])('of %i changes, %i photographs and %i refused: %s', (changes, photos, refused, says) => {
  expect(sentSaid(changes, { photo: photos, picture: 0, log: 0 }, refused)).toBe(says)
})

it('says logs beside the others', () => {
  expect(sentSaid(2, { photo: 1, picture: 2, log: 3 }, 0)).toBe(
    'Connected again: 2 changes, one photograph, 2 pictures and 3 logs are saved.',
  )
  expect(sentSaid(0, { photo: 0, picture: 0, log: 1 }, 0)).toBe('Connected again: one log is saved.')
})

it.each([
  [0, 'just now'],
  [59_999, 'just now'],
  [60_000, '1 min ago'],
  [59 * 60_000, '59 min ago'],
  [60 * 60_000, '1 h ago'],
  [24 * 3_600_000, 'a day ago'],
  [72 * 3_600_000, '3 days ago'],
])('%i ms are %s', (ms, says) => expect(agoSaid(ms)).toBe(says))

it('says the day where it is another', () => {
  const at = new Date(2026, 10, 28, 14, 32).getTime()
  expect(timeSaid(at, new Date(2026, 10, 28, 18, 0).getTime())).toBe('14:32')
  expect(timeSaid(at, new Date(2026, 10, 29, 8, 0).getTime())).toBe('28 Nov, 14:32')
})
