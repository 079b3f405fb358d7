import type { Rulebook, Scrutiny } from '@bold-ballast/contract'
import { classEnvelope, type ClassEnvelope, type Known, type RuleMeasure } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild, useLiveBuild } from '../../store/useBuild'
import { useCarried } from '../../store/useCarried'
import { topOf } from './isOutside'
import { useAero } from './useAero'

/** A tape measure's error, m; and a sound meter's, dB (common practice). */
const TAPE = 0.002
const METER = 1

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
  const values = useMemo(() => {
    const { build } = view
    const found: Partial<Record<RuleMeasure, Known>> = {}
    const { mass } = summary
    const withDriver = { ...mass, value: mass.value + Math.max(0, build.driverMass - build.reference.driver) }
    found.massWithDriver = withDriver
    found.massWithoutDriver = { ...mass, value: mass.value - build.reference.driver }
    const power = summary.measuredPower?.power ?? summary.plannedPower
    if (power) {
      found.wheelPower = power
      found.powerToMass = {
        value: power.value / withDriver.value,
        sigma:
          (power.value / withDriver.value) *
          Math.hypot(power.sigma / power.value, withDriver.sigma / withDriver.value),
        grade: power.grade,
      }
    }
    const taped = (value: number): Known => ({ value, sigma: TAPE, grade: 'measured' })
    const loose = elements.filter((e) => e.kind !== 'body')
    if (scrutiny && loose.length > 0) {
      const top = Math.max(...loose.map(topOf))
      const nose = Math.max(...loose.map((e) => e.chord / 2 - e.x))
      const tail = Math.max(...loose.map((e) => e.x + e.chord / 2)) - build.wheelbase
      if (scrutiny.roofHeight !== null) found.wingAboveRoof = taped(top - scrutiny.roofHeight)
      if (scrutiny.bumperFront !== null) found.frontBeyondBumper = taped(nose - scrutiny.bumperFront)
      if (scrutiny.bumperRear !== null) found.rearBeyondBumper = taped(tail - scrutiny.bumperRear)
    }
    if (scrutiny) {
      const low = loose.filter((e) => ['splitter', 'diffuser', 'floor'].includes(e.kind)).map((e) => e.z)
      if (scrutiny.overallWidth !== null)
        found.overallWidth = taped(Math.max(scrutiny.overallWidth, ...loose.map((e) => e.span)))
      if (scrutiny.groundClearance !== null)
        found.groundClearance = taped(Math.min(scrutiny.groundClearance, ...low))
      if (scrutiny.tyreWidth !== null) found.tyreWidth = taped(scrutiny.tyreWidth)
      if (scrutiny.cageOutside !== null) found.cageOutside = { ...taped(scrutiny.cageOutside), sigma: 1e-4 }
      if (scrutiny.cageWall !== null) found.cageWall = { ...taped(scrutiny.cageWall), sigma: 1e-4 }
      if (scrutiny.noise !== null) found.noise = { value: scrutiny.noise, sigma: METER, grade: 'measured' }
    }
    const ethanol = sizing?.engine?.ethanol
    if (ethanol !== undefined) found.ethanol = { value: ethanol, sigma: 0.01, grade: 'measured' }
    return found
  }, [view, summary, elements, scrutiny, sizing])
  const rulebook = view.rulebooks.find((b) => b.id === scrutiny?.rulebookId) ?? null
  const { wheelbase } = view.build
  const envelope = useMemo(
    () => (rulebook && scrutiny ? classEnvelope(rulebook.rules, { ...scrutiny, wheelbase }) : null),
    [rulebook, scrutiny, wheelbase],
  )
  return { values, scrutiny, rulebook, envelope }
}
