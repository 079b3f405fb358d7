import { documentFrom, sampleBuild, sampleElement } from '@bold-ballast/contract/sampleBuild'
import type { AeroElement } from '@bold-ballast/contract'
import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { elementCsv, elementRows } from './elementRows'

const place = { stageId: randomUUID(), order: 3 }
const read = (text: string) => elementRows(text, place, randomUUID)

describe('elementRows', () => {
  it('reads back what it writes', () => {
    const { stages } = documentFrom(sampleBuild(randomUUID))
    const splitter = sampleElement(stages[0]!.id, randomUUID()) as AeroElement
    const wing = {
      ...splitter,
      name: 'Wing',
      kind: 'wing' as const,
      panel: null,
      mount: null,
      wing: {
        foils: 2 as const,
        angle: 0.1396,
        endPlate: 0.2,
        gurney: 0.006,
        polar: [],
        holes: { from: 0, to: 0.2, step: 0.02 },
      },
    }
    const { records, bad } = read(elementCsv([splitter, wing]))
    expect(bad).toEqual([])
    expect(records.map((r) => [r.name, r.kind, r.x, r.span, r.lift, r.spread, r.order])).toEqual([
      ['Element 0', 'splitter', -0.6, 1.6, 0.8, 0.4, 3],
      ['Wing', 'wing', -0.6, 1.6, 0.8, 0.4, 4],
    ])
    expect(records[1]!.wing).toMatchObject({ foils: 2, endPlate: 0.2, gurney: 0.006 })
    expect(records[1]!.wing!.angle).toBeCloseTo(0.1396, 3)
  })
  it('takes what isn’t said as usual for the kind, and lengths in any unit', () => {
    const { records } = read('element,kind,x,z,width,length\nLip,splitter,-24 in,3 in,1.5,80 mm\n')
    expect(records[0]).toMatchObject({ lift: 0.8, spread: 0.4, grade: 'guess' })
    expect(records[0]!.x).toBeCloseTo(-0.6096)
    expect(records[0]!.chord).toBeCloseTo(0.08)
  })
  it('names the line and what is wrong with it', () => {
    const { records, bad } = read(
      'element,kind,x,z,width,length\nMoon,moon,0,0.1,1,1\nLip,splitter,wide,0.1,1,1\n,splitter,0,0.1,1,1\nLip,splitter,0,-0.1,1,1\n',
    )
    expect(records).toEqual([])
    expect(bad.map((b) => b.line)).toEqual([2, 3, 4, 5])
    expect(bad[0]!.problem).toMatch(/Choose what it is/)
    expect(bad[1]!.problem).toMatch(/^x: /)
    expect(bad[2]!.problem).toMatch(/Give it a name/)
    expect(bad[3]!.problem).toMatch(/0 to 2.5 m/)
    expect(read('element\nLip').bad[0]!.problem).toMatch(/lacks “kind”/)
  })
})
