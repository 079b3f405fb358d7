import { RECORDS, type RecordOf } from '@bold-ballast/contract'
import { unitNamed } from '@bold-ballast/core'
import { readTable, type CsvRead } from '../../ui/csvTable'

const HOUR = unitNamed('time', 'h')!
const SECOND = unitNamed('time', 's')!
const METRES_A_SECOND = unitNamed('velocity', 'm/s')!
const COLUMNS = {
  date: /^date|^day$/i,
  name: /^name|^where|^event/i,
  planned: /planned|to come/i,
  hours: /hours/i,
  bestLap: /best lap|lap time/i,
  quarterMile: /402|quarter/i,
  topSpeed: /highest speed|top speed/i,
  laps: /laps|runs/i,
  launches: /launch/i,
  trackDays: /track days|days/i,
  heatCycles: /heat/i,
  note: /note/i,
} as const

/** Reads days from a CSV: the room's own, or one with a date and a name on each row. */
export const outingRows = (text: string, stageId: string, newId: () => string): CsvRead<RecordOf<'outing'>> =>
  readTable(
    text,
    COLUMNS,
    { date: 'date', name: 'name' },
    RECORDS.outing,
    ({ cell, figure, number, yes }) => ({
      ...{ id: newId(), stageId, name: cell('name'), date: cell('date') },
      planned: yes('planned') ?? false,
      amounts: {
        ...{ hours: figure('hours', 'time', HOUR) ?? 0, laps: number('laps') ?? 0 },
        ...{ launches: number('launches') ?? 0, trackDays: number('trackDays') ?? 1 },
        heatCycles: number('heatCycles') ?? 0,
      },
      bestLap: figure('bestLap', 'time', SECOND),
      quarterMile: figure('quarterMile', 'time', SECOND),
      topSpeed: figure('topSpeed', 'velocity', METRES_A_SECOND),
      note: cell('note'),
    }),
  )
