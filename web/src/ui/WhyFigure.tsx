import { GRADE } from '@bold-ballast/contract'
import { sayKnown, type Known, type Unit } from '@bold-ballast/core'
import { useWhy } from '../store/useWhy'
import { ShowWorking } from './ShowWorking'

/** The = beside a figure whose ± is the question: how it is known, and what it is in doubt by, the largest first. */
export function WhyFigure({
  title,
  says,
  known,
  named,
  unit,
  own,
}: {
  readonly title: string
  /** Where the figure comes from, as a formula or in words. */
  readonly says: string
  readonly known: Known
  /** The same with its doubts by name, where that takes work; left out where the figure has them. */
  readonly named?: () => Known
  readonly unit: Unit
  /** What of its ± has no name, in words. */
  readonly own?: string
}) {
  const why = useWhy()
  if (!(known.sigma > 0)) return null
  return (
    <ShowWorking
      working={{
        title,
        formula: says,
        inputs: [['Known by', GRADE[known.grade].toLowerCase()]],
        result: sayKnown(known, unit),
        source: 'sources are independent, one name is one error (JCGM 100:2008, 5.1.2 and 5.2.2)',
        why: why(named ?? known, unit, own),
      }}
    />
  )
}
