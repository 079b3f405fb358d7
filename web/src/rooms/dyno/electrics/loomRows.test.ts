import { describe, expect, it } from 'vitest'
import { loomRows } from './loomRows'

let count = 0
const newId = () => `00000000-0000-4000-8000-${String((count += 1)).padStart(12, '0')}`

describe('loomRows', () => {
  it('reads a short list of names, currents and lengths, in any unit', () => {
    const { records: circuits, bad } = loomRows(
      'circuit,draws (A),one way (m)\nFuel pump,13.5,3.2\nFan,24 A,55 in\n',
      newId,
    )
    expect(bad).toEqual([])
    expect(
      circuits.map((c) => [c.name, c.current, c.inrush, Number(c.length.toFixed(3)), c.duty, c.use]),
    ).toEqual([
      ['Fuel pump', 13.5, 13.5, 3.2, 1, 'running'],
      ['Fan', 24, 24, 1.397, 1, 'running'],
    ])
  })
  it('reads back what the room writes: advised columns are not taken for built ones', () => {
    const header =
      'circuit,draws (A),at the start (A),share of the time,when,one way (m),return wire,wire (mm²),wire advised (mm²),drop (V),fuse (A),fuse advised (A),output,what is wrong'
    const { records: circuits, bad } = loomRows(
      `${header}\nLamp,9.5,38,0.1,now and then,2.1,yes,,1.5,0.27,15,,Middle,\n`,
      newId,
    )
    expect(bad).toEqual([])
    expect(circuits[0]).toMatchObject({
      inrush: 38,
      duty: 0.1,
      use: 'sometimes',
      returnWire: true,
      wireArea: null,
      fuse: 15,
      channel: 'Middle',
    })
  })
  it('names each bad row and keeps the rest, and a header that lacks something', () => {
    const { records: circuits, bad } = loomRows(
      'name;current;length\nPump;much;3\nFan;24;0\n;4;1\nLamp;9,5;2\n\n',
      newId,
    )
    expect(circuits.map((c) => c.name)).toEqual(['Lamp'])
    expect(bad.map((b) => b.line)).toEqual([2, 3, 4])
    expect(bad[0]!.problem).toMatch(/current: “much” is not a current/)
    expect(bad[1]!.problem).toMatch(/length: From 1 cm to 30 m/)
    expect(bad[2]!.problem).toMatch(/Give it a name/)
    expect(loomRows('a,b\n1,2', newId).bad[0]).toEqual({
      line: 1,
      problem: 'the first line lacks “circuit” and “draws (A)” and “one way (m)”',
    })
    expect(loomRows('', newId).bad).toHaveLength(1)
  })
})
