import * as z from 'zod'
import { GUESSED, GUESSED_OF } from './choices'
import { defineKind } from './defineKind'
import { choice, field, type FieldQuantity } from './field'
import * as f from './fields'

const QUANTITY: Readonly<Record<string, FieldQuantity>> = {
  hours: 'time',
  money: 'money',
  power: 'power',
  mass: 'mass',
}

/** What somebody guessed of the whole before it was begun; it is kept, and set beside what came out. */
export const firstGuess = defineKind({
  name: 'firstGuess',
  collection: 'firstGuesses',
  within: 'stage',
  isFrozen: false,
  isLogged: true,
  words: { one: 'first guess', many: 'first guesses' },
  sortedBy: 'date',
  most: 500,
  fields: {
    of: choice(GUESSED, GUESSED_OF, 'Guess of', 'Choose what is guessed.'),
    who: f.words('Who', 80, 'Give a name of up to 80 characters.'),
    value: field(
      z.number('Type the guess.').gt(0, 'A guess is above zero.').max(1e9, 'That is beyond counting.'),
      { quantity: ({ of }) => QUANTITY[String(of)] ?? 'number', label: 'The guess' },
    ),
    date: field(f.date, { label: 'Said on' }),
    note: f.note,
  },
})
