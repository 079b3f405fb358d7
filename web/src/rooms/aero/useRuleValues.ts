import { type Rulebook, type Scrutiny } from '@bold-ballast/contract'
import { ruleValues } from '@bold-ballast/model'
import { classEnvelope, type ClassEnvelope, type Known, type RuleMeasure } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild, useLiveBuild } from '../../store/useBuild'
import { useCarried } from '../../store/useCarried'
import { useAero } from './useAero'

/** What a class may limit, as far as the rooms and the scrutiny know it; and the class itself. */
export function useRuleValues(): {
  readonly values: Partial<Record<RuleMeasure, Known>>
  readonly scrutiny: Omit<Scrutiny, 'version'> | null
  readonly rulebook: Rulebook | null
  /** The lines that the class draws round the car; null without a class. */
  readonly envelope: ClassEnvelope | null
} {
  const { view } = useBuild()
  const { summary } = useLiveBuild()
  const { elements } = useAero()
  const { record: scrutiny } = useCarried('scrutiny')
  const { record: sizing } = useCarried('sizing')
  const ethanol = sizing?.engine?.ethanol
  const values = useMemo(
    () => ruleValues(view.build, summary, elements, scrutiny, ethanol),
    [view.build, summary, elements, scrutiny, ethanol],
  )
  const rulebook = view.rulebooks.find((b) => b.id === scrutiny?.rulebookId) ?? null
  const { wheelbase } = view.build
  const envelope = useMemo(
    () => (rulebook && scrutiny ? classEnvelope(rulebook.rules, { ...scrutiny, wheelbase }) : null),
    [rulebook, scrutiny, wheelbase],
  )
  return { values, scrutiny, rulebook, envelope }
}
