import type { OutlinePoint } from './panelOutline'

/** What a template shows: outlines that are cut, and spots that are drilled. m. */
export interface Template {
  readonly name: string
  readonly outline: readonly OutlinePoint[]
  readonly marks: readonly OutlinePoint[]
}

const mm = (m: number) => Number((m * 1000).toFixed(3))
const escaped = (text: string) => text.replace(/[<>&"]/g, (c) => `&#${c.charCodeAt(0)};`)

/** The corner of a template nearest to nothing, and its size, m. */
export function templateBox({ outline }: Template): {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
} {
  const [xs, ys] = [outline.map((p) => p.x), outline.map((p) => p.y)]
  const [x, y] = [Math.min(...xs), Math.min(...ys)]
  return { x, y, width: Math.max(...ys) - y, height: Math.max(...xs) - x }
}

/**
 * A template as an SVG in millimetres: printed or cut at 100 % it has its true size. Across the car runs to the right.
 *
 * @source SVG 2, user units of 1 mm by width, height and viewBox
 * @example outlineSvg({ name: 'Splitter', outline, marks: [] })
 */
export function outlineSvg(template: Template): string {
  const box = templateBox(template)
  const [width, height] = [mm(box.width), mm(box.height)]
  const at = ({ x, y }: OutlinePoint) => `${mm(y - box.y)} ${mm(x - box.x)}`
  const cross = (p: OutlinePoint) => {
    const [cx, cy] = [mm(p.y - box.y), mm(p.x - box.x)]
    return `M${cx - 6} ${cy}h12M${cx} ${cy - 6}v12`
  }
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width + 2}mm" height="${height + 2}mm" viewBox="-1 -1 ${width + 2} ${height + 2}">`,
    `<title>${escaped(template.name)}</title>`,
    `<path d="M${template.outline.map(at).join('L')}Z" fill="none" stroke="#000" stroke-width="0.5"/>`,
    ...(template.marks.length > 0
      ? [`<path d="${template.marks.map(cross).join('')}" fill="none" stroke="#000" stroke-width="0.3"/>`]
      : []),
    '</svg>',
    '',
  ].join('\n')
}

/**
 * A template as a DXF in millimetres: a closed polyline on the layer CUT and points on the layer DRILL.
 *
 * @source DXF, release 12 (AC1009), ASCII: the plainest form that cutting programs read
 * @example outlineDxf({ name: 'Splitter', outline, marks: [] })
 */
export function outlineDxf({ outline, marks }: Template): string {
  const pair = (code: number, value: string | number) => `${code}\n${value}`
  const vertex = ({ x, y }: OutlinePoint) =>
    [pair(0, 'VERTEX'), pair(8, 'CUT'), pair(10, mm(y)), pair(20, mm(-x)), pair(30, 0)].join('\n')
  const point = ({ x, y }: OutlinePoint) =>
    [pair(0, 'POINT'), pair(8, 'DRILL'), pair(10, mm(y)), pair(20, mm(-x)), pair(30, 0)].join('\n')
  return [
    pair(0, 'SECTION'),
    pair(2, 'HEADER'),
    pair(9, '$ACADVER'),
    pair(1, 'AC1009'),
    pair(9, '$INSUNITS'),
    pair(70, 4),
    pair(0, 'ENDSEC'),
    pair(0, 'SECTION'),
    pair(2, 'ENTITIES'),
    pair(0, 'POLYLINE'),
    pair(8, 'CUT'),
    pair(66, 1),
    pair(70, 1),
    pair(10, 0),
    pair(20, 0),
    pair(30, 0),
    ...outline.map(vertex),
    pair(0, 'SEQEND'),
    pair(8, 'CUT'),
    ...marks.map(point),
    pair(0, 'ENDSEC'),
    pair(0, 'EOF'),
    '',
  ].join('\n')
}
