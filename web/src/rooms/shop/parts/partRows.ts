import { newPart, RECORDS, type PartToCome, type RecordOf } from '@bold-ballast/contract'
import { METRIC } from '@bold-ballast/core'
import { csvList, type CsvRead, type MoreColumns } from '@bold-ballast/words'

type PartRecord = RecordOf<'part'>

const LIST = csvList<PartRecord>(RECORDS.part, {
  name: { title: 'part', reads: /^part|^name/i, isWanted: true },
  purpose: { title: 'for', reads: /^for$|purpose/i },
  system: { title: 'system', reads: /^system/i },
  state: { title: 'it is', reads: /^it is|^state/i },
  quantity: { title: 'pieces', reads: /pieces|quantity/i },
  came: { title: 'came', reads: /^came/i },
  supplier: { title: 'from', reads: /^from|supplier/i },
  condition: { title: 'condition', reads: /condition/i },
  price: { title: 'price of one', reads: /^price of one|^price$/i },
  priceGrade: { title: 'price is', reads: /^price is/i },
  orderedOn: { title: 'ordered', reads: /^ordered/i },
  promisedFor: { title: 'due', reads: /^due/i },
  promisedFirst: { title: 'promised first', reads: /promised first/i },
  arrivedOn: { title: 'arrived', reads: /^arrived/i },
  lead: { title: 'takes to come (d)', reads: /takes to come|lead/i, unit: 'd' },
  note: { title: 'note', reads: /note/i },
})

/**
 * Reads parts to come from a CSV: the room's own, or one with a part on each row.
 *
 * @param place the stage they are for, and the order that the first of them gets
 */
export const partRows = (
  text: string,
  place: { readonly stageId: string; readonly order: number },
  newId: () => string,
): CsvRead<PartRecord> =>
  LIST.read(text, { units: METRIC }, ({ fields }, count) =>
    newPart({
      id: newId(),
      stageId: place.stageId,
      name: '',
      system: 'other',
      order: place.order + count,
      ...fields,
    }),
  )

/** The same columns, written. */
export const partCsv = (parts: readonly PartToCome[], more?: MoreColumns<PartRecord>): string =>
  LIST.write(parts, { units: METRIC }, more)
