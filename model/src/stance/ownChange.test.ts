import { applyEdits, type Edit } from '@bold-ballast/contract'
import { documentFrom, sampleSuspension } from '@bold-ballast/contract/sampleBuild'
import { balanceEffects } from '@bold-ballast/core'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { carAt } from '../car/carAt'
import { wholeCar } from '../testing/wholeCar'
import { balanceChanges } from './balanceChanges'
import { OWN_FIGURES, ownChange, type OwnFigure } from './ownChange'

const { file, stageId } = wholeCar()
const suspension = sampleSuspension(stageId, crypto.randomUUID())
const put = { op: 'put', kind: 'suspension', record: { ...suspension, version: 1 } } as Edit
const { stance } = carAt(applyEdits(documentFrom(file), [put]), stageId)

describe('a change of one’s own', () => {
  it('does what the same change does that is asked about anyway', () => {
    const asked = balanceChanges(stance, { ...suspension, version: 1 })
    for (const { change, what } of asked) {
      const own = what.kind === 'barOff' && ownChange(stance, { figure: 'bar', end: what.end, to: 0 })
      const spring =
        what.kind === 'spring' && ownChange(stance, { figure: 'spring', end: what.end, to: what.rate })
      for (const same of [own, spring])
        if (same) expect(same.change).toEqual({ ...change, to: expect.closeTo(change.to, 6) as number })
    }
    expect(asked.some(({ what }) => what.kind === 'barOff')).toBe(true)
  })
  it('is nothing where it is what there is already', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(OWN_FIGURES) as OwnFigure[])),
        fc.constantFrom('front' as const, 'rear' as const),
        (figure, end) => {
          const to = OWN_FIGURES[figure].now(stance, end)
          const own = ownChange(stance, { figure, end, to })
          const [effect] = balanceEffects(stance.rollCar, stance.rollSigma, [own!.change]).effects
          expect(effect!.adds.share).toBeCloseTo(0, 9)
        },
      ),
    ))
  it('is none for a figure that no car has', () => {
    expect(ownChange(stance, { figure: 'track', end: 'rear', to: 15.2 })).toBeNull()
    expect(ownChange(stance, { figure: 'spring', end: 'rear', to: NaN })).toBeNull()
    expect(ownChange(stance, { figure: 'bar', end: null, to: 20_000 })).toBeNull()
    expect(ownChange(stance, { figure: 'back', end: null, to: stance.rollCar.wheelbase })).toBeNull()
  })
})
