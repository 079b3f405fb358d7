import { RECORDS, type RecordOf, type Rulebook } from '@bold-ballast/contract'
import type { UnitPreferences } from '@bold-ballast/core'
import { csvList, type CsvRead } from '@bold-ballast/words'

type Rule = RecordOf<'rulebook'>['rules'][number]

const LIST = csvList<Rule>(RECORDS.rulebook.shape.rules.element, {
  clause: { title: 'clause', reads: /clause/i },
  measure: { title: 'measure', reads: /measure|about/i, isWanted: true },
  comparator: { title: 'allows', reads: /allows|at most|least/i, isWanted: true },
  limit: { title: 'limit', reads: /limit/i, isWanted: true },
  wording: { title: 'wording', reads: /wording|words|rule/i },
})

/** Reads the rules of a class from a CSV: a measure and a limit on each row, with its unit or in the person's own. */
export const ruleRows = (text: string, units: UnitPreferences, newId: () => string): CsvRead<Rule> =>
  LIST.read(text, { units }, ({ fields }) => ({
    id: newId(),
    measure: '',
    comparator: '',
    wording: '',
    clause: '',
    ...fields,
  }))

/** The same columns, written. */
export const ruleCsv = ({ rules }: Pick<Rulebook, 'rules'>, units: UnitPreferences): string =>
  LIST.write(rules, { units })
