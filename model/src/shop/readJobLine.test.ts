import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readJobLine } from './readJobLine'

const jobs = [
  { id: 'e', name: 'Exhaust off', state: 'toDo' as const },
  { id: 'e2', name: 'Exhaust hangers welded', state: 'toDo' as const },
  { id: 'd', name: 'Dropped thing', state: 'dropped' as const },
]
const parts = [
  { id: 'g', name: 'Rebuilt gearbox', supplier: 'Harrow Transmissions' },
  { id: 'b', name: 'Brake pads front' },
  { id: 'b2', name: 'Brake pads rear' },
]
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
      { workTime: 2 * 8 * 3600, after: [{ id: 'e' }, { id: 'e2' }] },
    ],
    ['bleed brakes', { kind: 'plumbing', workTime: null, who: [], after: [] }],
  ])('“%s”', (text, expected) => expect(read(text)).toMatchObject(expected))
  it('says what it doesn’t know, and never follows what was dropped', () => {
    expect(read('fit seat after the moon')).toMatchObject({
      name: 'Fit seat',
      after: [],
      unknown: [{ kind: 'job', name: 'the moon' }],
    })
    expect(read('fit seat after dropped thing').unknown).toEqual([{ kind: 'job', name: 'dropped thing' }])
  })
  it('keeps what is no time and nobody’s name', () => {
    expect(read('fit 3 h brackets')).toMatchObject({ name: 'Fit brackets', workTime: 10_800 })
    expect(read('align M10x1.5 studs')).toMatchObject({ name: 'Align M10x1.5 studs', workTime: null })
    expect(read('   ')).toMatchObject({ name: '' })
  })
  it('says who is nobody that is known, and keeps the name out of the job’s', () => {
    const person = (name: string) => ({ kind: 'person', name })
    expect(read('weld cage feet 6-8-14h Bo')).toMatchObject({
      name: 'Weld cage feet',
      shortTime: 6 * 3600,
      workTime: 8 * 3600,
      longTime: 14 * 3600,
      who: [],
      unknown: [person('Bo')],
    })
    expect(read('engine in 6h Ines and Bo after exhaust').unknown).toEqual([person('Bo')])
    expect(read('engine in 6h Ines and Bo after exhaust')).toMatchObject({ name: 'Engine in', who: ['Ines'] })
    expect(read('seat rails by Bo and Mei').unknown).toEqual([person('Bo'), person('Mei')])
    // What is no name stays with the job.
    expect(read('fit 3h Composite skin')).toMatchObject({ name: 'Fit Composite skin', unknown: [] })
  })
  it('finds parts by what else is known of them, keeps what of it doesn’t fit, and never guesses between two', () => {
    expect(read('gearbox in needs gearbox from maker')).toMatchObject({
      name: 'Gearbox in',
      parts: [{ id: 'g' }],
      said: ['needs gearbox from maker'],
      unknown: [],
    })
    expect(read('gearbox in needs harrow gearbox')).toMatchObject({ parts: [{ id: 'g' }], said: [] })
    expect(read('new pads needs ceramic brake pads')).toMatchObject({
      parts: [],
      unknown: [{ kind: 'part', name: 'ceramic brake pads' }],
    })
    expect(read('seat in after exhaust needs gearbox')).toMatchObject({
      after: [{ id: 'e' }],
      parts: [{ id: 'g' }],
    })
  })
  it.each([
    ['paint it 3d', { workTime: 3 * 8 * 3600, name: 'Paint it' }],
    ['paint it 1 week', { workTime: 5 * 8 * 3600 }],
    ['paint it 14-8-6h', { shortTime: 6 * 3600, workTime: 8 * 3600, longTime: 14 * 3600 }],
    ['paint it 2-4 h', { shortTime: 2 * 3600, workTime: 3 * 3600, longTime: 4 * 3600, name: 'Paint it' }],
    ['paint it 1h30', { workTime: 5400, name: 'Paint it' }],
    ['paint it 1 h 30 min Ines', { workTime: 5400, name: 'Paint it', who: ['Ines'] }],
  ])('reads the time of “%s”', (text, expected) => expect(read(text)).toMatchObject(expected))
  it('takes what stands alone behind its hours for what is to be done', () =>
    expect(read('2h Alternator')).toMatchObject({ name: 'Alternator', workTime: 7200, unknown: [] }))
  it.each([
    ['bolt it up 1/2 h', 1800],
    ['bolt it up 3/4h', 2700],
    ['bolt it up 2/3/7h', 3 * 3600],
  ])('reads a part of an hour in “%s”', (text, workTime) => expect(read(text)).toMatchObject({ workTime }))
  it('loses no word', () => {
    const words = [
      'weld',
      'Bo',
      'mounts',
      'needs',
      'gearbox',
      'maker',
      'after',
      'exhaust',
      'moon',
      'Ines',
      '3h',
      'and',
      'by',
    ]
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...words), { minLength: 1, maxLength: 9 }), (line) => {
        const found = read(line.join(' '))
        const kept = [
          found.name,
          ...found.who,
          ...found.said,
          ...found.unknown.map(({ name }) => name),
          ...[...found.after, ...found.parts].map(({ name }) => name),
        ]
          .join(' ')
          .toLowerCase()
        for (const word of line)
          if (!['needs', 'after', '3h', 'and', 'by'].includes(word))
            expect(kept).toContain(word.toLowerCase())
      }),
      { seed: 35, numRuns: 2000 },
    )
  })
})
