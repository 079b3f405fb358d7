import { RECORDS, type RecordOf, INSTRUMENT_KIND } from '@bold-ballast/contract'
import { INSTRUMENT_KINDS, unitNamed, USUAL_OWN_ERROR } from '@bold-ballast/core'
import { readTable, type CsvRead } from '../../../ui/csvTable'

const KILOGRAM = unitNamed('mass', 'kg')!
const PER_CENT = unitNamed('share', '%')!
export const INSTRUMENT_COLUMNS = [
  'name',
  'kind',
  'step (kg)',
  'repeats to (%)',
  'own error (%)',
  'between days (%)',
  'checked on',
  'checked against',
  'note',
] as const
const COLUMNS = {
  name: /^name/i,
  kind: /^kind/i,
  resolution: /step|resolution/i,
  repeatability: /repeat|accuracy/i,
  ownError: /own error|bias/i,
  betweenDays: /between days/i,
  checkedOn: /checked on/i,
  checkedAgainst: /checked against/i,
  note: /note/i,
} as const

/** An instrument as a row of the list's own CSV. */
export const instrumentRow = (
  i: Omit<RecordOf<'instrument'>, 'id' | 'order'>,
): (string | number | null)[] => [
  i.name,
  INSTRUMENT_KIND[i.kind],
  i.resolution,
  Number((i.repeatability * 100).toFixed(4)),
  Number((i.ownError * 100).toFixed(4)),
  i.betweenDays === null ? null : Number((i.betweenDays * 100).toFixed(4)),
  i.checkedOn,
  i.checkedAgainst,
  i.note,
]

/** Reads scales and dynos from a CSV: the list's own, or one with a name and a kind on each row. */
export const instrumentRows = (
  text: string,
  order: number,
  newId: () => string,
): CsvRead<RecordOf<'instrument'>> => {
  let count = 0
  return readTable(
    text,
    COLUMNS,
    { name: 'name', kind: 'kind' },
    RECORDS.instrument,
    ({ cell, figure, choice }) => {
      const kind = choice('kind', INSTRUMENT_KINDS, INSTRUMENT_KIND)
      const isDyno = kind === 'dyno'
      return {
        id: newId(),
        order: order + count++,
        name: cell('name'),
        kind: kind ?? cell('kind'),
        resolution: isDyno ? null : figure('resolution', 'mass', KILOGRAM),
        repeatability: figure('repeatability', 'share', PER_CENT) ?? (isDyno ? 0.015 : 0.003),
        ownError: figure('ownError', 'share', PER_CENT) ?? (kind ? USUAL_OWN_ERROR[kind] : 0),
        betweenDays: isDyno ? (figure('betweenDays', 'share', PER_CENT) ?? 0.01) : null,
        checkedOn: cell('checkedOn') || null,
        checkedAgainst: cell('checkedAgainst'),
        note: cell('note'),
      }
    },
  )
}
