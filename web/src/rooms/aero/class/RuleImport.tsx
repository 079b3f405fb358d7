import { withoutVersion, type Rulebook, RULE_MEASURE, putEdit } from '@bold-ballast/contract'
import { useBuild } from '../../../store/useBuild'
import { ListImport } from '../../../ui/ListImport'
import { ruleRows } from './ruleRows'

/** Rules of a class from a CSV, added to those it has. */
export function RuleImport({ book, onClose }: { book: Rulebook; onClose: () => void }) {
  const { view, units, save } = useBuild()
  return (
    <ListImport
      title={`Rules of ${book.name} from a CSV`}
      field="CSV of rules"
      things={['rule', 'rules']}
      read={(text) => ruleRows(text, units, () => crypto.randomUUID())}
      says={(r) => `${RULE_MEASURE[r.measure]}${r.clause && `, ${r.clause}`}`}
      onAdd={(rules) =>
        save(`Add ${rules.length} rules to ${book.name}`, [
          putEdit(view, 'rulebook', { ...withoutVersion(book), rules: [...book.rules, ...rules] }),
        ])?.[0]?.problem ?? null
      }
      onClose={onClose}
    >
      A first line with measure, allows (at most, at least) and limit; clause and wording if there are any.
    </ListImport>
  )
}
