import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { columnsAgree } from './columnsAgree'
import { guessColumns, knownColumns, recallColumns, seriesIn, type PullMapping } from './guessColumns'
import { powerAt } from './pull'
import { pullReader } from './pullReader'
import { resamplePull } from './resamplePull'
import { smoothCurve } from './smoothCurve'
import { splitPulls } from './splitPulls'

const rpm = (n: number) => (n * Math.PI) / 30
const plain = guessColumns(['rpm', 'torque (Nm)'], [])
const read = (rows: string[][], mapping: PullMapping = plain) => {
  const reader = pullReader(mapping)
  reader.add(rows)
  return reader.finish()
}

describe('guessColumns', () => {
  it.each([
    [
      ['RPM', 'Torque (lb-ft)', 'Power (hp)'],
      ['rpm', 'lb·ft', 'hp'],
      [0, 1, 2],
    ],
    [
      ['Engine speed [1/min]', 'Power [kW]', 'Torque [Nm]'],
      ['rpm', 'N·m', 'kW'],
      [0, 2, 1],
    ],
    [
      ['Power', 'RPM', 'Torque'],
      ['rpm', null, null],
      [1, 2, 0],
    ],
  ])('understands %j', (header, units, columns) => {
    const guess = guessColumns(header, [])
    expect([guess.speed, guess.torque, guess.power].map((c) => c?.unit)).toEqual(units)
    expect([guess.speed, guess.torque, guess.power].map((c) => c?.column)).toEqual(columns)
  })
  it('tells a logger’s channels apart, oil pressure from boost and road speed from engine speed', () => {
    const header = ['Run', 'Engine Speed (rpm)', 'Oil Press (psi)', 'Boost [bar]', 'AFR', 'Flex fuel %', 'IAT (°C)', 'Coolant temp (°F)', 'Road speed km/h', 'Torque Nm'] // prettier-ignore
    const g = guessColumns(header, [])
    expect(g.run?.column).toBe(0)
    expect(g.oilPressure).toEqual({ column: 2, unit: 'psi' })
    expect(g.boost).toEqual({ column: 3, unit: 'bar' })
    expect(g.lambda).toEqual({ column: 4, unit: 'AFR' })
    expect(g.ethanol).toEqual({ column: 5, unit: '%' })
    expect(g.intake).toEqual({ column: 6, unit: '°C' })
    expect(g.coolant).toEqual({ column: 7, unit: '°F' })
    expect(g.roadSpeed).toEqual({ column: 8, unit: 'km/h' })
    expect(g.torque?.column).toBe(9)
  })
  it('sees decimal commas', () => expect(guessColumns(['rpm', 'kW'], [['3000', '101,5']]).decimal).toBe(','))
  it('remembers by title, and guesses afresh for another export', () => {
    const header = ['t', 'n', 'Md']
    const mapping = {
      ...guessColumns(header, []),
      speed: { column: 1, unit: 'rpm' },
      torque: { column: 2, unit: 'lb·ft' },
    }
    const known = knownColumns(mapping, header)
    expect(recallColumns(known, ['Md', 't', 'n'])).toEqual({
      ...mapping,
      speed: { column: 2, unit: 'rpm' },
      torque: { column: 0, unit: 'lb·ft' },
    })
    expect(recallColumns(known, ['rpm', 'kW'])).toBeNull()
  })
  it('finds pulls that stand side by side, and none where there is one', () => {
    const header = ['rpm', 'Run 1 Nm', 'Run 1 kW', 'Run 2 Nm', 'Run 2 kW']
    const series = seriesIn(header, guessColumns(header, []))
    expect(series.map((s) => s.name)).toEqual(['Run 1', 'Run 2'])
    expect(series[1]!.mapping.torque?.column).toBe(3)
    expect(series[1]!.mapping.power).toEqual({ column: 4, unit: 'kW' })
    expect(
      seriesIn(['rpm', 'Torque (Nm)', 'Power (kW)'], guessColumns(['rpm', 'Torque (Nm)', 'Power (kW)'], [])),
    ).toEqual([])
  })
})

describe('pullReader', () => {
  const sweep = (from: number, torque: number) =>
    Array.from({ length: 20 }, (_, i) => [String(from + i * 200), String(torque)])
  it('names every bad row and keeps the rest', () => {
    const result = read([['3000', '200'], ['abc', '210'], ['3200', ''], ['-5', '220'], ['3300', '230']]) // prettier-ignore
    expect(result.pulls[0]!.rows).toBe(2)
    expect(result.bad).toEqual([
      { line: 3, problem: 'engine speed: “abc” is not a number' },
      { line: 4, problem: 'torque is empty' },
      { line: 5, problem: 'engine speed: -5 rpm is out of the question' },
    ])
  })
  it('tells pulls apart by the speed rising anew, and leaves out what lies between', () => {
    const down = [['5500', '-20'], ['4000', '-20'], ['2500', '-20']] // prettier-ignore
    const result = read([...sweep(2000, 200), ...down, ...sweep(2000, 210)])
    expect(result.pulls.map((p) => p.name)).toEqual(['Pull 1', 'Pull 2'])
    expect(result.pulls.map((p) => Math.round(p.points.at(-2)!.torque))).toEqual([200, 210])
    expect(result.notes[0]).toMatch(/^2 pulls in the file; 3 rows/)
  })
  it('tells them apart by a run column where there is one', () => {
    const mapping = guessColumns(['rpm', 'Nm', 'Run'], [])
    const result = read(
      [...sweep(2000, 200).map((r) => [...r, '7']), ...sweep(2100, 220).map((r) => [...r, 'long runners'])],
      mapping,
    )
    expect(result.pulls.map((p) => p.name)).toEqual(['Pull 7', 'long runners'])
  })
  it('reads decimal commas, thousands marks, and power instead of torque', () => {
    const result = read([['3.000', '62,83'], ['4.000', '83,776']], { ...guessColumns(['rpm', 'kW'], []), decimal: ',' }) // prettier-ignore
    for (const p of result.pulls[0]!.points) expect(p.torque).toBeCloseTo(200, 1)
  })
  it('keeps channels beside the points, gaps where a cell is none, and drops one in a wrong unit with a word', () => {
    const mapping = guessColumns(['rpm', 'Nm', 'Boost (bar)', 'Coolant (°C)', 'Oil pressure (bar)'], [])
    const rows = sweep(2000, 200).map(([n, t], i) => [n!, t!, i < 2 ? 'n/a' : '1.2', '88', '58'])
    const { pulls, notes } = read(rows, mapping)
    const { channels, points } = pulls[0]!
    expect(channels.boost).toHaveLength(points.length)
    expect(channels.boost!.at(-1)).toBeCloseTo(120_000, 3)
    expect(channels.boost![0]).toBeNull()
    expect(channels.coolant!.at(0)).toBeCloseTo(361.15, 6)
    expect(channels.oilPressure).toBeUndefined()
    expect(notes.join(' ')).toMatch(/Boost: 2 cells were no figures/)
    expect(notes.join(' ')).toMatch(/Oil pressure is out of the question in every row: is the unit right/)
  })
  it('is the same read at once or in chunks', () => {
    const rows = fc.array(fc.tuple(fc.integer({ min: 1000, max: 8000 }), fc.integer({ min: 1, max: 400 })), {
      minLength: 2,
      maxLength: 60,
    })
    fc.assert(
      fc.property(rows, fc.integer({ min: 1, max: 59 }), (pairs, cut) => {
        const cells = pairs.map(([n, t]) => [String(n), String(t)])
        const chunked = pullReader(plain)
        chunked.add(cells.slice(0, cut))
        chunked.add(cells.slice(cut))
        expect(chunked.finish()).toEqual(read(cells))
      }),
    )
  })
  it('averages a dense log without moving its level, and says so', () => {
    const rows = Array.from({ length: 20_000 }, (_, i) => [
      String(2000 + i / 4),
      String(200 + (i % 2 ? 5 : -5)),
    ])
    const { pulls, notes } = read(rows)
    expect(pulls[0]!.points.length).toBeLessThan(210)
    for (const p of pulls[0]!.points) expect(p.torque).toBeCloseTo(200, 0)
    expect(notes.join(' ')).toMatch(/even grid of 25 rpm: rows that share a step are averaged/)
  })
  it('shows which unit or gear explains a misfit', () => {
    const mapping = guessColumns(['rpm', 'Nm', 'kW'], [])
    const rows = [2000, 3000, 4000].map((n) => [String(n), String(200 * 4.1), String((200 * rpm(n)) / 1000)])
    const reader = pullReader(mapping, 1, [{ name: 'fourth', ratio: 4.1 }])
    reader.add(rows)
    expect(reader.finish().pulls[0]!.agreement).toMatchObject({
      agree: false,
      because: 'the torque is at the hubs, behind fourth (4.10 to 1)',
    })
  })
  it('asks for what it can’t know', () => {
    expect(() => pullReader({ ...plain, torque: { column: 1, unit: null } })).toThrow(/which unit the torque/)
    expect(() => pullReader({ ...plain, boost: { column: 1, unit: null } })).toThrow(/which unit the boost/)
    expect(() => pullReader({ ...plain, torque: null })).toThrow(/torque or power/)
    expect(() => pullReader({ ...plain, speed: null })).toThrow(/engine speed/)
  })
})

describe('columnsAgree', () => {
  const rows = (factor: number) =>
    [3000, 4000].map((n) => ({ speed: rpm(n), torque: 200, power: 200 * rpm(n) * factor }))
  it('says both where two mistakes look alike: lb·ft for N·m and PS for kW', () =>
    expect(columnsAgree(rows(1.358)).because).toMatch(
      /lb·ft, not N·m, or .*PS, not kW|PS, not kW, or .*lb·ft, not N·m/,
    ))
  it('names the gear of an engine speed taken at the hubs', () =>
    expect(columnsAgree(rows(4.12), [{ name: 'fourth', ratio: 4.1 }]).because).toMatch(
      /engine speed is the hubs’, behind fourth/,
    ))
})

describe('splitPulls', () => {
  it('finds each rise, not the roll down before or after it', () => {
    expect(splitPulls([2400, 2000, 4000, 5000, 6000, 5400, 2100, 4100, 5100, 6100])).toEqual([
      [1, 5],
      [6, 10],
    ])
  })
  it('takes rows in no order for one pull', () => {
    const shuffled = Array.from({ length: 60 }, (_, i) => 2000 + ((i * 37) % 60) * 80)
    expect(splitPulls(shuffled)).toEqual([[0, 60]])
  })
})

describe('resamplePull', () => {
  const log = (speeds: number[], torques: number[]) => ({
    speed: Float64Array.from(speeds),
    torque: Float64Array.from(torques),
    channels: {},
  })
  it('gives an even grid between the log’s own ends and never more torque than was logged', () => {
    const torques = fc.array(fc.double({ min: -50, max: 600, noNaN: true }), { minLength: 2, maxLength: 80 })
    fc.assert(
      fc.property(torques, fc.double({ min: 3, max: 90, noNaN: true }), (list, gap) => {
        const speeds = list.map((_, i) => 150 + i * gap)
        const { points } = resamplePull(log(speeds, list), rpm(25))
        const steps = points.slice(1, -1).map((p) => p.speed / rpm(25))
        for (const s of steps) expect(s).toBeCloseTo(Math.round(s), 6)
        expect(Math.max(...points.map((p) => p.torque))).toBeLessThanOrEqual(Math.max(...list) + 1e-9)
        expect(Math.min(...points.map((p) => p.torque))).toBeGreaterThanOrEqual(Math.min(...list) - 1e-9)
      }),
    )
  })
  it('says what the peak was before', () => {
    const { rawPeakPower } = resamplePull(log([300, 400, 500], [100, 250, 100]), rpm(25))
    expect(rawPeakPower).toBe(100_000)
  })
  it('needs two speeds', () => expect(() => resamplePull(log([300, 300], [1, 2]), 2)).toThrow(RangeError))
})

describe('smoothCurve', () => {
  const line = Array.from({ length: 60 }, (_, i) => ({ speed: 200 + i * 2.6, torque: 100 + i }))
  it('leaves a straight stretch as it is', () =>
    smoothCurve(line, 30).forEach((p, i) => expect(p.torque).toBeCloseTo(line[i]!.torque, 9)))
  it('takes height off a spike and leaves the curve for no window', () => {
    const spiked = line.map((p, i) => (i === 30 ? { ...p, torque: 400 } : p))
    const peak = (c: readonly { speed: number; torque: number }[]) => Math.max(...c.map(powerAt))
    expect(peak(smoothCurve(spiked, 20))).toBeLessThan(peak(spiked) * 0.95)
    expect(smoothCurve(spiked, 0)).toBe(spiked)
  })
})
