import {
  RECORDS,
  type Component,
  type RecordOf,
  GRADE,
  LIFE_MEASURE,
  RATED_IN,
  RATING,
  SHAFT,
} from '@bold-ballast/contract'
import {
  GRADES,
  LIFE_MEASURES,
  preferredUnit,
  RATING_KINDS,
  SHAFTS,
  unitNamed,
  type UnitPreferences,
} from '@bold-ballast/core'
import { csvOf } from '../../ui/download'
import { readTable, type CsvRead } from '../../ui/csvTable'

const KG = unitNamed('mass', 'kg')!
const HOUR = unitNamed('time', 'h')!
const HEADER = [
  ...['component', 'rated in', 'shaft', 'rating', 'known by', 'asked of it', 'margin wanted', 'mass (kg)'],
  ...['life in', 'expected life', 'spread (%)', 'used before', 'fitted on', 'spares', 'note'],
]
const COLUMNS = {
  name: /^component|^name|^part/i,
  kind: /rated in|^kind/i,
  shaft: /shaft/i,
  rating: /^rating/i,
  grade: /known|grade/i,
  demand: /asked|demand/i,
  wantedMargin: /margin/i,
  mass: /^mass|^weight/i,
  measure: /life in|counted/i,
  expected: /expected/i,
  spread: /spread/i,
  usedBefore: /used|before/i,
  since: /fitted|since/i,
  spares: /spares/i,
  note: /note/i,
} as const

/**
 * Reads components from a CSV: the room's own, or one with a name and a rating or a life on each row.
 *
 * @param place the stage they are fitted at, and the order that the first of them gets
 */
export function componentRows(
  text: string,
  place: { readonly stageId: string; readonly order: number },
  units: UnitPreferences,
  newId: () => string,
): CsvRead<RecordOf<'component'>> {
  let order = place.order
  return readTable(
    text,
    COLUMNS,
    { name: 'component' },
    RECORDS.component,
    ({ cell, figure, number, choice }) => {
      const kind = choice('kind', RATING_KINDS, RATING) ?? 'torque'
      const unit = preferredUnit(RATED_IN[kind], units)
      const measure = choice('measure', LIFE_MEASURES, LIFE_MEASURE)
      const amount = (column: 'expected' | 'usedBefore') =>
        measure === 'hours' ? figure(column, 'time', HOUR) : number(column)
      return {
        ...{ id: newId(), stageId: place.stageId, name: cell('name'), order: order++, kind },
        shaft: kind === 'torque' ? (choice('shaft', SHAFTS, SHAFT) ?? (cell('shaft') || null)) : null,
        ...{ axle: null, flow: null, statedEthanol: 0, rating: figure('rating', RATED_IN[kind], unit) },
        grade: choice('grade', GRADES, GRADE) ?? 'claim',
        ...{ demand: figure('demand', RATED_IN[kind], unit), wantedMargin: number('wantedMargin') ?? 1.2 },
        mass: figure('mass', 'mass', KG),
        life: measure && {
          ...{ measure, expected: amount('expected'), spread: (number('spread') ?? 30) / 100 },
          ...{ usedBefore: amount('usedBefore') ?? 0, since: cell('since') || null },
        },
        ...{ spares: number('spares') ?? 0, replacement: null, replaces: null, note: cell('note') },
      }
    },
  )
}

/** The same columns, written. */
export const componentCsv = (components: readonly Component[], units: UnitPreferences): string =>
  csvOf(
    HEADER,
    components.map((c) => {
      const unit = preferredUnit(RATED_IN[c.kind], units)
      const rated = (si: number | null) =>
        si === null ? '' : `${Number(((si - (unit.offset ?? 0)) / unit.factor).toFixed(3))} ${unit.symbol}`
      const amount = (a: number) => (c.life?.measure === 'hours' ? a / HOUR.factor : a)
      return [
        ...[c.name, RATING[c.kind], c.shaft && SHAFT[c.shaft], rated(c.rating), c.grade, rated(c.demand)],
        ...[c.wantedMargin, c.mass],
        ...(c.life
          ? [
              ...[LIFE_MEASURE[c.life.measure], amount(c.life.expected), c.life.spread * 100],
              ...[amount(c.life.usedBefore), c.life.since],
            ]
          : ['', '', '', '', '']),
        ...[c.spares, c.note],
      ]
    }),
  )
