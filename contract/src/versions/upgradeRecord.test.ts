import { describe, expect, it } from 'vitest'
import { upgradeBatch } from './upgradeBatch'
import { drivetrainIdOf } from './recordSteps'
import { FORMAT_VERSION } from './formatVersion'
import { upgradeEdit, upgradeRecord } from './upgradeRecord'

const BUILD = '00000000-0000-4000-8000-000000000001'

describe('upgradeRecord', () => {
  it('adds what each version lacked, and keeps what is there', () => {
    const corners = { frontLeft: 1, frontRight: 2, rearLeft: 3, rearRight: 4 }
    expect(upgradeRecord('weighIn', { id: 'a', corners, condition: { fuel: 5 } }, 1, BUILD)).toEqual({
      id: 'a',
      scale: '',
      checklist: null,
      readings: { method: 'fourPads', corners },
      condition: { fuel: 5, amounts: {} },
    })
    expect(upgradeRecord('line', { id: 'a', said: { mass: 3 }, source: 'book' }, 4, BUILD)).toEqual({
      id: 'a',
      source: 'book',
      said: { mass: 3, source: '' },
      changedOn: null,
      liesAt: '',
      soldFor: null,
    })
  })
  it('does nothing to a record that says it is older than it is', () => {
    const days = [
      { id: 'a', air: [{ time: null, pressure: 1e5 }], boostControl: 'hand', gear: 4, limits: null },
      {
        id: 'b',
        readings: { method: 'twoPads' },
        condition: { amounts: { x: 1 } },
        checklist: {},
        scale: 'S',
      },
    ]
    const day = { sheetColumns: null, ...days[0] }
    expect(upgradeRecord('dynoDay', day, 1, BUILD)).toEqual(day)
    expect(upgradeRecord('weighIn', days[1]!, 1, BUILD)).toEqual(days[1])
  })
  it('gives gears that had their build’s id one of their own, the same in a record and in an edit', () => {
    const own = drivetrainIdOf(BUILD)
    expect(own).not.toBe(BUILD)
    expect(upgradeRecord('drivetrain', { id: BUILD, drive: {} }, 7, BUILD)['id']).toBe(own)
    const edit = { op: 'remove', kind: 'drivetrain', id: BUILD, version: 1 }
    expect(upgradeEdit(edit, 7, BUILD)).toEqual({ ...edit, id: own })
    expect(upgradeEdit({ ...edit, kind: 'line' }, 7, BUILD).id).toBe(BUILD)
  })
  it('brings over what a branch holds', () => {
    const edits = [{ op: 'put', kind: 'line', record: { id: 'a' } }]
    const branch = upgradeRecord('branch', { id: 'b', edits }, 6, BUILD)
    expect(branch['edits']).toEqual([
      { op: 'put', kind: 'line', record: { id: 'a', changedOn: null, liesAt: '', soldFor: null } },
    ])
  })
})

describe('a course of version 9', () => {
  const old = {
    name: 'Loop',
    sections: [
      { length: 100, radius: null },
      { length: 60, radius: 40 },
    ],
    closed: true,
  }
  const now = upgradeRecord('course', old, 9, BUILD)
  it('goes to the right, and is whole', () => {
    expect(now).toMatchObject({ line: null, corners: [], sectors: [], stretches: [], width: null })
    expect(now['sections']).toEqual([old.sections[0], { length: 60, radius: -40 }])
  })
  it('is not turned round again where it is newer than it says', () =>
    expect(upgradeRecord('course', now, 9, BUILD)).toEqual(now))
})

describe('a job of version 11', () => {
  const old = { id: 'a', name: 'Weigh the doors', kind: 'measurement', workTime: 1800 }
  it('is done or to do, by one pair of hands, and waits for nothing', () => {
    expect(upgradeRecord('job', { ...old, done: true }, 11, BUILD)).toMatchObject({
      ...old,
      state: 'done',
      hands: 1,
      after: [],
    })
    const open = upgradeRecord('job', { ...old, done: false }, 11, BUILD)
    expect(open).toMatchObject({ state: 'toDo', doneOn: null, spells: [], canWait: false })
    expect(open).not.toHaveProperty('done')
    expect(upgradeRecord('job', open, 11, BUILD)).toEqual(open)
  })
})

describe('upgradeBatch', () => {
  it('brings the edits of an older tab over, and leaves those of today and nonsense alone', () => {
    const edits = [{ op: 'put', kind: 'line', record: { id: 'a' } }]
    expect(upgradeBatch({ formatVersion: 6, edits }, BUILD)).toMatchObject({
      formatVersion: FORMAT_VERSION,
      edits: [{ record: { id: 'a', changedOn: null } }],
    })
    for (const nonsense of [
      null,
      [],
      { edits },
      { formatVersion: FORMAT_VERSION, edits },
      { formatVersion: 0, edits },
      { formatVersion: 6, edits: 'none' },
    ])
      expect(upgradeBatch(nonsense, BUILD)).toBe(nonsense)
  })
})
