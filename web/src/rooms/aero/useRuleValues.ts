import type { Rulebook, Scrutiny } from '@bold-ballast/contract'
import { ruleValues } from '@bold-ballast/model'
import { classEnvelope, type ClassEnvelope, type Known, type RuleMeasure } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useLiveCar } from '../../store/useCar'

/** What a class may limit, as far as the rooms and the scrutiny know it; and the class itself. */
export function useRuleValues(): {
  readonly values: Partial<Record<RuleMeasure, Known>>
  readonly scrutiny: Scrutiny | null
  readonly rulebook: Rulebook | null
  /** The lines that the class draws round the car; null without a class. */
  readonly envelope: ClassEnvelope | null
} {
  const car = useLiveCar()
  const { rulebook, build } = car
  const scrutiny = car.scrutiny?.value ?? null
  const values = useMemo(() => ruleValues(car), [car])
  const envelope = useMemo(
    () =>
      rulebook && scrutiny
        ? classEnvelope(rulebook.rules, { ...scrutiny, wheelbase: build.wheelbase })
        : null,
    [rulebook, scrutiny, build.wheelbase],
  )
  return { values, scrutiny, rulebook, envelope }
}
