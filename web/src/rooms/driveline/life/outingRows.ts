import { RECORDS, type Outing, type RecordOf } from '@bold-ballast/contract'
import { METRIC } from '@bold-ballast/core'
import { csvList, type CsvRead } from '@bold-ballast/words'

const LIST = csvList<RecordOf<'outing'>>(RECORDS.outing, {
  date: { title: 'date', reads: /^date|^day$/i, isWanted: true },
  name: { title: 'name', reads: /^name|^where|^event/i, isWanted: true },
  planned: { title: 'planned', reads: /planned|to come/i },
  'amounts.hours': { title: 'hours', reads: /hours/i, unit: 'h' },
  'amounts.laps': { title: 'laps', reads: /^laps|^runs/i },
  'amounts.launches': { title: 'launches', reads: /launch/i },
  'amounts.trackDays': { title: 'track days', reads: /track days|days/i },
  'amounts.heatCycles': { title: 'heat cycles', reads: /heat/i },
  bestLap: { title: 'best lap (s)', reads: /best lap|lap time/i, unit: 's' },
  quarterMile: { title: '402 m (s)', reads: /402|quarter/i, unit: 's' },
  topSpeed: { title: 'highest speed (m/s)', reads: /highest speed|top speed/i, unit: 'm/s' },
  cost: { title: 'entry and the like', reads: /^entry|^cost/i },
  fuelCost: { title: 'fuel cost', reads: /^fuel/i },
  tyreCost: { title: 'tyres used up', reads: /^tyres/i },
  'result.place': { title: 'place', reads: /^place/i },
  'result.of': { title: 'of', reads: /^of$/i },
  'result.points': { title: 'points', reads: /^points/i },
  note: { title: 'note', reads: /note/i },
})

/** A result where a place is told; the rest of it may be missing. */
const resultOf = (told: unknown): unknown =>
  typeof told === 'object' && told !== null && Reflect.get(told, 'place') != null
    ? { of: null, points: null, ...told }
    : null

/** Reads days from a CSV: the room's own, or one with a date and a name on each row. */
export const outingRows = (text: string, stageId: string, newId: () => string): CsvRead<RecordOf<'outing'>> =>
  LIST.read(text, { units: METRIC }, ({ fields }) => ({
    id: newId(),
    stageId,
    planned: false,
    bestLap: null,
    quarterMile: null,
    topSpeed: null,
    setupId: null,
    courseId: null,
    cost: null,
    fuelCost: null,
    tyreCost: null,
    take: [],
    note: '',
    name: '',
    date: '',
    ...fields,
    result: resultOf(fields['result']),
    amounts: {
      hours: 0,
      laps: 0,
      launches: 0,
      trackDays: 1,
      heatCycles: 0,
      ...(fields['amounts'] as object | undefined),
    },
  }))

/** The same columns, written. */
export const outingCsv = (outings: readonly Outing[]): string => LIST.write(outings, { units: METRIC })
