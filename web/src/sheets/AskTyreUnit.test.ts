import { unitOf, unitsOf } from '@bold-ballast/core'
import { expect, it } from 'vitest'
import { meantUnit } from './AskTyreUnit'

const all = unitsOf('pressure')
const meant = (typed: number, symbol: string) => {
  const unit = unitOf('pressure', symbol)
  return meantUnit(typed * unit.factor, unit, all)?.symbol
}

it.each([
  [27, 'bar', 'psi'],
  [190, 'bar', 'kPa'],
  [1.9, 'psi', 'bar'],
  [1.9, 'kPa', 'bar'],
])('%f %s is no pressure of a tyre, and is asked about as %s', (typed, unit, other) =>
  expect(meant(typed, unit)).toBe(other),
)
it.each([
  [1.9, 'bar'],
  [27, 'psi'],
  [190, 'kPa'],
  [0.9, 'bar'],
  [900_000, 'bar'],
])('%f %s is taken, or makes no sense in any', (typed, unit) => expect(meant(typed, unit)).toBeUndefined())
