import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { outlineDxf, outlineSvg, templateBox } from './outlineFiles'
import { outlineArea, outlineMiddle, panelOutline, strutMarks } from './panelOutline'
import { A4, templateTiles } from './templateTiles'

const plain = { span: 1.6, rearWidth: null, chord: 0.25, under: 0, cornerRadius: 0 }

describe('panelOutline', () => {
  it('is a rectangle where nothing is rounded or drawn in', () => {
    expect(outlineArea(panelOutline(plain))).toBeCloseTo(0.4, 12)
  })
  it('loses (1 − π/4)·r² at each rounded corner and gains a trapezium under the bumper', () => {
    const rounded = outlineArea(panelOutline({ ...plain, cornerRadius: 0.1 }))
    // A chord polygon of twelve sides cuts the corner a little: within 0.2 % of the arc’s own area.
    expect(0.4 - rounded).toBeCloseTo(2 * (1 - Math.PI / 4) * 0.01, 4)
    expect(outlineArea(panelOutline({ ...plain, under: 0.3, rearWidth: 1.2 }))).toBeCloseTo(0.4 + 0.3 * 1.4)
  })
  it('is the same on the left and on the right, whatever its sizes', () => {
    const size = fc.double({ min: 0.1, max: 2, noNaN: true })
    fc.assert(
      fc.property(
        size,
        size,
        size,
        fc.double({ min: 0, max: 1, noNaN: true }),
        (span, chord, under, round) => {
          const cornerRadius = round * Math.min(chord, span / 2)
          const outline = panelOutline({ span, rearWidth: span / 2, chord, under, cornerRadius })
          const key = (x: number, y: number) => `${x.toFixed(9)} ${(y + 0).toFixed(9)}`
          const all = new Set(outline.map((p) => key(p.x, p.y)))
          for (const p of outline) expect(all.has(key(p.x, p.y === 0 ? 0 : -p.y))).toBe(true)
          expect(outlineArea(outline)).toBeLessThanOrEqual(span * (chord + under) + 1e-9)
        },
      ),
    )
  })
  it('has its middle half way back, further forward where it draws in behind', () => {
    expect(outlineMiddle(panelOutline(plain))).toBeCloseTo(0.125, 12)
    // A rectangle of 0.4 m² about 125 mm, and a trapezium 1.6 to 0.8 wide, 0.3 long: 250 + 0.3·(1.6 + 1.6)/(3·2.4) mm.
    const drawnIn = outlineMiddle(panelOutline({ ...plain, under: 0.3, rearWidth: 0.8 }))
    const behind = 0.25 + (0.3 * (1.6 + 2 * 0.8)) / (3 * 2.4)
    expect(drawnIn).toBeCloseTo((0.4 * 0.125 + 0.36 * behind) / 0.76, 9)
  })
  it('refuses corners it has no room for, and sizes of nothing', () => {
    expect(() => panelOutline({ ...plain, cornerRadius: 0.3 })).toThrow('rounder')
    expect(() => panelOutline({ ...plain, chord: 0 })).toThrow('above zero')
    expect(() => panelOutline({ ...plain, cornerRadius: -0.1 })).toThrow('not below zero')
  })
})

describe('templateTiles', () => {
  it('cover the whole drawing, and no two sheets fewer than they share', () => {
    const size = fc.double({ min: 0.05, max: 2, noNaN: true })
    fc.assert(
      fc.property(size, size, (width, height) => {
        const tiles = templateTiles(width, height, A4)
        const inner = { x: 0.19, y: 0.277 }
        const right = Math.max(...tiles.map((t) => t.x)) + inner.x
        const bottom = Math.max(...tiles.map((t) => t.y)) + inner.y
        expect(right).toBeGreaterThanOrEqual(width - 1e-9)
        expect(bottom).toBeGreaterThanOrEqual(height - 1e-9)
        // The last column and row are needed.
        expect(right - inner.x + A4.overlap).toBeLessThan(width + 1e-9 + A4.overlap)
        expect(new Set(tiles.map((t) => t.label)).size).toBe(tiles.length)
      }),
    )
  })
  it('of a splitter of 1.6 × 0.5 m are nine by two of A4', () => {
    const tiles = templateTiles(1.6, 0.5, A4)
    expect(tiles).toHaveLength(18)
    expect(tiles.at(-1)!.label).toBe('B9')
    expect(() => templateTiles(0, 1, A4)).toThrow('above zero')
    expect(() => templateTiles(1, 20, A4)).toThrow('too big')
  })
})

describe('files of a template', () => {
  const template = {
    name: 'Splitter <front>',
    outline: panelOutline({ ...plain, cornerRadius: 0.08 }),
    marks: strutMarks(1.6, 2, 0.1),
  }
  it('an SVG has its true size in millimetres and its name made safe', () => {
    const svg = outlineSvg(template)
    expect(svg).toContain('width="1602mm" height="252mm" viewBox="-1 -1 1602 252"')
    expect(svg).toContain('&#60;front&#62;')
    const path = /d="M([^"]+)Z"/.exec(svg)![1]!
    const points = path.split('L').map((p) => p.split(' ').map(Number))
    expect(Math.max(...points.map(([x]) => x!))).toBe(1600)
    expect(Math.max(...points.map(([, y]) => y!))).toBe(250)
    // Marks at a quarter and three quarters of the width, 100 mm behind the edge.
    expect(svg).toContain('M394 100h12M400 94v12')
    expect(svg).toContain('M1194 100h12M1200 94v12')
  })
  it('a DXF is pairs of code and value, one closed polyline, and every vertex in it', () => {
    const lines = outlineDxf(template).trim().split('\n')
    expect(lines.length % 2).toBe(0)
    const pairs = lines.flatMap((line, i) => (i % 2 === 0 ? [[Number(line), lines[i + 1]!] as const] : []))
    expect(pairs.every(([code]) => Number.isInteger(code))).toBe(true)
    expect(pairs.filter(([code, v]) => code === 0 && v === 'VERTEX')).toHaveLength(template.outline.length)
    expect(pairs.filter(([code, v]) => code === 0 && v === 'POINT')).toHaveLength(2)
    expect(pairs.filter(([code]) => code === 70).map(([, v]) => v)).toEqual(['4', '1'])
    expect(pairs.at(-1)).toEqual([0, 'EOF'])
    const xs = pairs.filter(([code]) => code === 10).map(([, v]) => Number(v))
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([-800, 800])
  })
  it('box of an outline starts at its corner', () => {
    expect(templateBox(template)).toMatchObject({ x: 0, y: -0.8, width: 1.6, height: 0.25 })
  })
})
