import { csvOf } from '../../../ui/download'
import type { Effect } from './ElementTable'

const HEADER = [
  'element',
  'kind',
  'x (m)',
  'z (m)',
  'span (m)',
  'chord (m)',
  'C_L·A (m²)',
  'C_D·A (m²)',
  'grade',
  'spread',
  'from',
]

/** The aero sheet as CSV, SI. */
export const sheetCsv = (effects: readonly Effect[]): string =>
  csvOf(
    HEADER,
    effects.map(({ element: e, areas }) => [
      ...[e.name, e.kind, e.x, e.z, e.span, e.chord],
      ...[areas.downforceArea.toFixed(4), areas.dragArea.toFixed(4), e.grade, e.spread, e.from],
    ]),
  )
