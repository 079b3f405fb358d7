import { describe, expect, it } from 'vitest'
import { readJobLine } from './readJobLine'

const jobs = [
  { id: 'e', name: 'Exhaust off', state: 'toDo' as const },
  { id: 'e2', name: 'Exhaust hangers welded', state: 'toDo' as const },
  { id: 'd', name: 'Dropped thing', state: 'dropped' as const },
]
const parts = [{ id: 'g', name: 'Rebuilt gearbox' }]
const people = ['Ines', 'Tomasz', 'Bea']
const read = (text: string) => readJobLine(text, { jobs, parts, people })

describe('a job in one line', () => {
  it('is taken apart into what, how long, who, and after what', () => {
    expect(read('drop rear subframe 3h Tomasz after exhaust')).toMatchObject({
      name: 'Drop rear subframe',
      kind: 'stripping',
      workTime: 3 * 3600,
      who: ['Tomasz'],
      hands: 1,
      after: [{ id: 'e' }],
      unknown: [],
    })
  })
  it.each([
    ['hood off 1h', { name: 'Hood off', kind: 'stripping' }],
    [
      'weld seat mounts 2-3-7h Ines',
      { kind: 'cutting', shortTime: 7200, workTime: 10_800, longTime: 25_200, who: ['Ines'] },
    ],
    [
      'lift the shell 90 min Ines and Tomasz',
      { name: 'Lift the shell', workTime: 5400, who: ['Ines', 'Tomasz'], hands: 2 },
    ],
    ['loom laid 1,5 h on the bench', { kind: 'wiring', workTime: 5400, place: 'bench', name: 'Loom laid' }],
    [
      'gearbox in 4 hours 2 hands needs gearbox',
      { kind: 'engine', hands: 2, parts: [{ id: 'g' }], name: 'Gearbox in' },
    ],
    [
      'paint sills 2 days after exhaust off and hangers welded',
      { workTime: 172_800, after: [{ id: 'e' }, { id: 'e2' }] },
    ],
    ['bleed brakes', { kind: 'plumbing', workTime: null, who: [], after: [] }],
  ])('“%s”', (text, expected) => expect(read(text)).toMatchObject(expected))
  it('says what it doesn’t know, and never follows what was dropped', () => {
    expect(read('fit seat after the moon')).toMatchObject({
      name: 'Fit seat',
      after: [],
      unknown: ['the moon'],
    })
    expect(read('fit seat after dropped thing').unknown).toEqual(['dropped thing'])
  })
  it('keeps what is no time and nobody’s name', () => {
    expect(read('fit 3 h brackets')).toMatchObject({ name: 'Fit brackets', workTime: 10_800 })
    expect(read('align M10x1.5 studs')).toMatchObject({ name: 'Align M10x1.5 studs', workTime: null })
    expect(read('   ')).toMatchObject({ name: '' })
  })
})
