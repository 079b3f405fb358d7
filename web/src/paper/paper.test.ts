import { sampleSeal } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { describe, expect, it } from 'vitest'
import { ticksOver } from './curveOnPdf'
import { piecesFor } from './pdfPen'
import { proofPdf } from './proofPdf'
import type { Paper } from './ProofPaper'
import { qrModules } from './QrCode'
import { woffToTtf } from './woffToTtf'

const fontFile = (face: string, name: string) => {
  const path = createRequire(import.meta.url).resolve(`@fontsource/${face}/files/${face}-${name}-normal.woff`)
  const { buffer, byteOffset, byteLength } = readFileSync(path)
  return buffer.slice(byteOffset, byteOffset + byteLength) as ArrayBuffer
}
const face = async (name: string, weight: number) =>
  Promise.all([
    woffToTtf(fontFile(name, `latin-${weight}`)),
    woffToTtf(fontFile(name, `latin-ext-${weight}`)),
  ] as const)

describe('woffToTtf', () => {
  it('gives the tables of the font, each with the checksum that its directory says', async () => {
    const ttf = await woffToTtf(fontFile('barlow', 'latin-400'))
    const view = new DataView(ttf.buffer)
    expect(view.getUint32(0)).toBe(0x00010000)
    const count = view.getUint16(4)
    const tags: string[] = []
    for (let i = 0; i < count; i += 1) {
      const at = 12 + i * 16
      const tag = String.fromCharCode(...ttf.subarray(at, at + 4))
      tags.push(tag)
      const [sum, offset, length] = [view.getUint32(at + 4), view.getUint32(at + 8), view.getUint32(at + 12)]
      expect(offset % 4).toBe(0)
      // OpenType: the sum of a table's long words; head's own adjustment is left out of its sum.
      let found = 0
      for (let o = offset; o < offset + length; o += 4) {
        if (tag === 'head' && o === offset + 8) continue
        found = (found + view.getUint32(o)) >>> 0
      }
      expect(found, tag).toBe(sum)
    }
    expect(tags).toEqual(expect.arrayContaining(['cmap', 'glyf', 'head', 'hmtx', 'loca', 'maxp']))
  })
  it('refuses what is no packed font', async () => {
    await expect(woffToTtf(new ArrayBuffer(100))).rejects.toThrow('no WOFF 1 font')
    await expect(woffToTtf(new ArrayBuffer(3))).rejects.toThrow('no WOFF 1 font')
  })
})

describe('piecesFor', () => {
  it('sets each letter from the file that has it, and nothing from a file that hasn’t', () => {
    expect(piecesFor('868 ±3 kg')).toEqual([{ file: 0, text: '868 ±3 kg' }])
    expect(piecesFor('Michał')).toEqual([
      { file: 0, text: 'Micha' },
      { file: 1, text: 'ł' },
    ])
    expect(piecesFor('車 −2')).toEqual([{ file: 0, text: '? −2' }])
    expect(piecesFor('')).toEqual([])
  })
})

describe('ticksOver', () => {
  it.each([
    [0, 100, [0, 20, 40, 60, 80, 100]],
    [0, 255, [0, 100, 200]],
    [2000, 7400, [2000, 4000, 6000]],
  ])('from %d to %d are round', (low, high, ticks) => expect(ticksOver(low, high)).toEqual(ticks))
})

describe('qrModules', () => {
  const modules = qrModules('http://localhost:4610/record/04HM-ASW9')
  it('has a quiet edge and the three finders that readers look for', () => {
    const size = modules.length
    expect(modules.every((row) => row.length === size)).toBe(true)
    expect(modules.slice(0, 4).flat().some(Boolean)).toBe(false)
    // ISO/IEC 18004: seven by seven, a ring and a core.
    const finder = (x: number, y: number) =>
      modules.slice(y, y + 7).map((row) =>
        row
          .slice(x, x + 7)
          .map(Number)
          .join(''),
      )
    const expected = ['1111111', '1000001', '1011101', '1011101', '1011101', '1000001', '1111111']
    for (const [x, y] of [
      [4, 4],
      [size - 11, 4],
      [4, size - 11],
    ] as const)
      expect(finder(x, y)).toEqual(expected)
  })
})

describe('proofPdf', () => {
  const mark = {
    measure: 'mass' as const,
    name: 'Mass',
    target: 'at most 1,192 kg',
    figure: '1,193.5 ±1.6 kg',
    says: 'can’t tell yet',
    verdict: 'cantTell' as const,
    value: null,
    reason: 'Can’t tell yet: 1.5 kg off the mark, but known only to ±1.6 kg. '.repeat(3),
  }
  const paper = (marks: number): Paper => ({
    build: 'Łania',
    stage: 'First fire',
    place: 4,
    signed: { at: '2026-11-27T09:00:00Z', author: 'Michał' },
    code: '04HM-ASW9',
    link: 'http://localhost:4610/record/04HM-ASW9',
    units: {},
    figures: {
      ...sampleSeal(randomUUID(), randomUUID()).figures,
      facts: [{ what: 'Car', says: 'A saloon' }],
      marks: Array.from({ length: marks }, () => mark),
      curve: Array.from({ length: 40 }, (_, i) => ({ speed: 200 + i * 12, torque: 300 })),
      dyno: 'Hubs',
      changed: Array.from({ length: marks * 3 }, (_, i) => ({ swap: `Swap ${i}`, mass: -i })),
      risks: ['Nobody has weighed the car.'],
    },
  })
  const pagesOf = async (sheet: Paper) => {
    const [text, figure] = [await face('barlow', 400), await face('barlow-condensed', 600)]
    const pdf = await proofPdf(sheet, {
      text: { name: 'text', files: text },
      figure: { name: 'figure', files: figure },
    })
    const bytes = Buffer.from(await pdf.arrayBuffer()).toString('latin1')
    expect(bytes.startsWith('%PDF-')).toBe(true)
    return [...bytes.matchAll(/\/Type \/Page\b/g)].length
  }
  it('is one page where that holds it all', async () => expect(await pagesOf(paper(4))).toBe(1))
  it('turns the page for long lists of marks and changes, and ends', async () => {
    const pages = await pagesOf(paper(40))
    expect(pages).toBeGreaterThan(2)
    expect(pages).toBeLessThan(8)
  })
})
