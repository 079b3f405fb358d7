import { type Branch } from '@bold-ballast/contract'
import { ledgerIndex, readBranch, startBranch, stageInputs } from '@bold-ballast/model'
import { documentFrom, sampleBuild, sampleDrive, sampleDynoDay, sampleElement, samplePull } from '@bold-ballast/contract/sampleBuild' // prettier-ignore
import { stageSummaries } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { turners } from './turners'
import { withTweak, type Tried } from './useTried'

const newId = () => crypto.randomUUID()

/** A branch of a car with a pull, gears and a wing, or of one with nothing. */
function tried(isWhole: boolean) {
  const file = sampleBuild(newId)
  file.build.baseMass = 1200
  const stageId = file.stages[0]!.id
  if (isWhole) {
    const day = sampleDynoDay(stageId, newId())
    const points = Array.from({ length: 12 }, (_, i) => ({ speed: 200 + i * 50, torque: 260 - (i - 6) ** 2 }))
    file.dynoDays.push(day)
    file.pulls.push({ ...samplePull(day.id, newId()), source: 'file', points, standsForStage: true })
    file.drivetrains.push({ id: newId(), stageId, drive: sampleDrive(), note: '' })
    file.aeroElements.push({
      ...sampleElement(stageId, newId()),
      name: 'Rear wing',
      kind: 'wing',
      x: 3,
      z: 1.2,
      panel: null,
      wing: {
        foils: 1,
        angle: 0.1,
        endPlate: 0.2,
        gurney: 0,
        polar: [],
        holes: { from: 0, to: 0.3, step: 0.035 },
      },
    })
  }
  const own = documentFrom(file)
  const ledger = ledgerIndex(own)
  const summary = stageSummaries(stageInputs(own, ledger))[0]!
  const from = { stageId, name: 'Try', reached: summary }
  const branch = { ...startBranch(own, ledger.stages, from, newId), version: 1 } as Branch
  const of = (b: Branch): Tried => ({ branch: b, read: readBranch(own, b)!, figure: () => ({ value: null, change: null }) }) // prettier-ignore
  return { own, branch, of }
}

describe('turners', () => {
  it('turn nothing that isn’t there: kilos alone where there is no power, no gears and no wing', () => {
    const { branch, of } = tried(false)
    expect(turners(of(branch)).map((t) => t.key)).toEqual(['kilos'])
  })
  it('stand within their ends, and say what they are', () => {
    const { branch, of } = tried(true)
    const found = turners(of(branch))
    expect(found.map((t) => t.key)).toEqual([
      'kilos',
      'power',
      'finalDrive',
      'rollingRadius',
      'grip',
      'boostThreshold',
      'wing Rear wing',
    ])
    for (const t of found) {
      expect(t.value, t.key).toBeGreaterThanOrEqual(t.low)
      expect(t.value, t.key).toBeLessThanOrEqual(t.high)
      expect(t.step, t.key).toBeGreaterThan(0)
      expect(t.says, t.key).not.toBe('')
    }
  })
  it.each(['kilos', 'power', 'finalDrive', 'rollingRadius', 'grip', 'boostThreshold'])(
    'turn %s to what was asked, in the branch and nowhere else',
    (key) => {
      const { own, branch, of } = tried(true)
      const before = JSON.stringify(own)
      const turner = turners(of(branch)).find((t) => t.key === key)!
      const wanted = turner.low + (turner.high - turner.low) * 0.3
      const turned = withTweak(own, branch, turner.tweak(wanted))
      const after = turners(of(turned))
      expect(after.find((t) => t.key === key)!.value).toBeCloseTo(wanted, 6)
      for (const t of turners(of(branch)))
        if (t.key !== key) expect(after.find((a) => a.key === t.key)!.value, t.key).toBeCloseTo(t.value, 9)
      expect(JSON.stringify(own)).toBe(before)
    },
  )
  it('turned back, leave the branch as it was', () => {
    const { own, branch, of } = tried(true)
    const kilos = (b: Branch) => turners(of(b)).find((t) => t.key === 'kilos')!
    const turned = withTweak(own, branch, kilos(branch).tweak(-12))
    expect(turned.edits.length).toBeGreaterThan(branch.edits.length)
    const back = withTweak(own, turned, kilos(turned).tweak(0))
    expect(back.edits).toHaveLength(branch.edits.length)
  })
})
