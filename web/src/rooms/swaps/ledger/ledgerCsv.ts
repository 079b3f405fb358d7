import { LINE_KIND, SYSTEM, type Line } from '@bold-ballast/contract'
import type { Position } from '@bold-ballast/core'
import { csvOf } from '@bold-ballast/words'

const HEADER = [
  'swap',
  'kind',
  'part',
  'system',
  'pieces',
  'mass each (kg)',
  'grade',
  'source',
  'done',
  'place (mm)',
  'moved to (mm)',
]
/** As many digits as bring a length back. */
const millimetres = (metres: number) => String(Number((metres * 1000).toPrecision(12)))
const placeOf = (place: Position | null) =>
  place ? [place.x, place.y, place.z].map(millimetres).join(' ') : ''

/** The lines of a ledger as CSV, in kg and mm whatever is shown, as the paste sheet reads them. */
export const ledgerCsv = (
  lines: readonly Omit<Line, 'version'>[],
  nameOf: (swapId: string) => string,
): string =>
  csvOf(
    HEADER,
    lines.map((line) => [
      nameOf(line.swapId),
      LINE_KIND[line.kind],
      line.name,
      SYSTEM[line.system],
      line.quantity,
      line.mass,
      line.grade,
      line.source,
      line.fitted ? 'yes' : 'no',
      placeOf(line.position),
      placeOf(line.movedTo),
    ]),
  )
