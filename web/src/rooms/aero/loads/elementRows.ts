import { RECORDS, type AeroElement, type RecordOf, ELEMENT, GRADE } from '@bold-ballast/contract'
import { ELEMENT_KINDS, GRADES, unitNamed, USUAL_ELEMENT } from '@bold-ballast/core'
import { readTable, type CsvRead } from '../../../ui/csvTable'
import { csvOf } from '../../../ui/download'
import { blankWing, USUAL } from './elementForm'

const M = unitNamed('length', 'm')!
const DEGREE = unitNamed('angle', '°')!
const HEADER = [
  ...['element', 'kind', 'behind front axle (m)', 'up (m)', 'width (m)', 'length (m)', 'C_L', 'C_D'],
  ...['foils', 'angle (°)', 'end plate (m)', 'lip (m)', 'known by', 'spread (%)', 'from'],
]
const COLUMNS = {
  name: /^element|^name/i,
  kind: /^kind|^what/i,
  x: /axle|^x\b/i,
  z: /^up|^z\b|above/i,
  span: /width|span/i,
  chord: /length|chord/i,
  lift: /c_?l\b|lift/i,
  drag: /c_?d\b|drag/i,
  foils: /foils/i,
  angle: /angle/i,
  endPlate: /end plate/i,
  gurney: /lip|gurney/i,
  grade: /known|grade/i,
  spread: /spread|off by/i,
  from: /^from|source/i,
} as const

/**
 * Reads aero elements from a CSV: the room's own, or one with name, kind, place and size on each row. What isn't said
 * is taken as usual for the kind. Bare lengths are metres.
 *
 * @param place the stage they are fitted at, and the order that the first of them gets
 */
export function elementRows(
  text: string,
  place: { readonly stageId: string; readonly order: number },
  newId: () => string,
): CsvRead<RecordOf<'aeroElement'>> {
  let order = place.order
  const wanted = {
    name: 'element',
    kind: 'kind',
    x: 'behind front axle',
    z: 'up',
    span: 'width',
    chord: 'length',
  }
  return readTable(text, COLUMNS, wanted, RECORDS.aeroElement, ({ cell, figure, number, choice }) => {
    const kind = choice('kind', ELEMENT_KINDS, ELEMENT)
    const usual = kind ? USUAL_ELEMENT[kind] : null
    const spread = number('spread')
    const wing = blankWing()
    return {
      ...{
        id: newId(),
        stageId: place.stageId,
        name: cell('name'),
        order: order++,
        kind: kind ?? cell('kind'),
      },
      ...{ x: figure('x', 'length', M), z: figure('z', 'length', M) },
      ...{ span: figure('span', 'length', M), chord: figure('chord', 'length', M) },
      ...{ lift: number('lift') ?? usual?.lift, drag: number('drag') ?? usual?.drag },
      wing:
        kind === 'wing'
          ? {
              ...wing,
              foils: number('foils') ?? 1,
              angle: figure('angle', 'angle', DEGREE) ?? wing.angle,
              endPlate: figure('endPlate', 'length', M) ?? wing.endPlate,
              gurney: figure('gurney', 'length', M) ?? 0,
            }
          : null,
      ...{ sealed: true, panel: null, mount: null, replaces: null, offStageId: null, note: '' },
      grade: choice('grade', GRADES, GRADE) ?? 'guess',
      spread: spread === null ? usual?.spread : spread / 100,
      from: cell('from') || USUAL,
      ...{ correction: null, lineId: null },
    }
  })
}

/** The same columns, written. */
export const elementCsv = (elements: readonly AeroElement[]): string =>
  csvOf(
    HEADER,
    elements.map(({ wing, ...e }) => [
      ...[e.name, ELEMENT[e.kind], e.x, e.z, e.span, e.chord, e.lift, e.drag],
      ...(wing
        ? [wing.foils, Number((wing.angle / DEGREE.factor).toFixed(2)), wing.endPlate, wing.gurney]
        : ['', '', '', '']),
      ...[e.grade, Number((e.spread * 100).toFixed(1)), e.from],
    ]),
  )
