import { RECORDS, type RecordOf } from '@bold-ballast/contract'
import { METRIC, USUAL_OWN_ERROR, type InstrumentKind } from '@bold-ballast/core'
import { csvList, type CsvRead } from '@bold-ballast/words'

type Instrument = RecordOf<'instrument'>

const LIST = csvList<Instrument>(RECORDS.instrument, {
  name: { title: 'name', reads: /^name/i, isWanted: true },
  kind: { title: 'kind', reads: /^kind/i, isWanted: true },
  resolution: { title: 'step (kg)', reads: /step|resolution/i, unit: 'kg' },
  repeatability: { title: 'repeats to (%)', reads: /repeat|accuracy/i, unit: '%' },
  ownError: { title: 'own error (%)', reads: /own error|bias/i, unit: '%' },
  betweenDays: { title: 'between days (%)', reads: /between days/i, unit: '%' },
  checkedOn: { title: 'checked on', reads: /checked on/i },
  checkedAgainst: { title: 'checked against', reads: /checked against/i },
  note: { title: 'note', reads: /note/i },
})

/** Scales and dynos as CSV. */
export const instrumentCsv = (instruments: readonly Instrument[]): string =>
  LIST.write(instruments, { units: METRIC })

/** Reads scales and dynos from a CSV: the list's own, or one with a name and a kind on each row. */
export const instrumentRows = (text: string, order: number, newId: () => string): CsvRead<Instrument> =>
  LIST.read(text, { units: METRIC }, ({ get, fields }, count) => {
    const kind = get<InstrumentKind>('kind')
    const isDyno = kind === 'dyno'
    return {
      id: newId(),
      order: order + count,
      name: '',
      kind: '',
      repeatability: isDyno ? 0.015 : 0.003,
      ownError: (kind && USUAL_OWN_ERROR[kind]) ?? 0,
      checkedOn: null,
      checkedAgainst: '',
      note: '',
      ...fields,
      resolution: isDyno ? null : (get('resolution') ?? null),
      betweenDays: isDyno ? (get('betweenDays') ?? 0.01) : null,
    }
  })
