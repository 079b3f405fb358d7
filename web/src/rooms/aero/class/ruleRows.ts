import { RECORDS, type RecordOf, type Rulebook, RULE_MEASURE } from '@bold-ballast/contract'
import { preferredUnit, RULE_MEASURES, type RuleMeasure, type UnitPreferences } from '@bold-ballast/core'
import { readTable, type CsvRead } from '../../../ui/csvTable'
import { csvOf } from '../../../ui/download'

type Rule = RecordOf<'rulebook'>['rules'][number]
const MEASURES = Object.keys(RULE_MEASURES) as RuleMeasure[]
const HEADER = ['clause', 'measure', 'allows', 'limit', 'wording']
const COLUMNS = {
  clause: /clause/i,
  measure: /measure|about/i,
  comparator: /allows|at most|least/i,
  limit: /limit/i,
  wording: /wording|words|rule/i,
} as const
const COMPARATORS = ['atMost', 'atLeast'] as const
const SAYS = { atMost: 'at most', atLeast: 'at least' } as const

/** Reads the rules of a class from a CSV: a measure and a limit on each row, with its unit or in the person's own. */
export const ruleRows = (text: string, units: UnitPreferences, newId: () => string): CsvRead<Rule> =>
  readTable(
    text,
    COLUMNS,
    { measure: 'measure', comparator: 'allows', limit: 'limit' },
    RECORDS.rulebook.shape.rules.element,
    ({ cell, figure, number, choice }) => {
      const measure = choice('measure', MEASURES, RULE_MEASURE)
      const quantity = measure && RULE_MEASURES[measure]
      return {
        ...{ id: newId(), measure: measure ?? cell('measure') },
        comparator: choice('comparator', COMPARATORS, SAYS) ?? cell('comparator'),
        limit: quantity ? figure('limit', quantity, preferredUnit(quantity, units)) : number('limit'),
        ...{ wording: cell('wording'), clause: cell('clause') },
      }
    },
  )

/** The same columns, written. */
export const ruleCsv = ({ rules }: Pick<Rulebook, 'rules'>, units: UnitPreferences): string =>
  csvOf(
    HEADER,
    rules.map((r) => {
      const quantity = RULE_MEASURES[r.measure]
      const unit = quantity && preferredUnit(quantity, units)
      const limit = unit ? `${Number((r.limit / unit.factor).toFixed(4))} ${unit.symbol}` : r.limit
      return [r.clause, RULE_MEASURE[r.measure], SAYS[r.comparator], limit, r.wording]
    }),
  )
