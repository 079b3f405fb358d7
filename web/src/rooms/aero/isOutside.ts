import { topOf, type AeroElement } from '@bold-ballast/contract'
import type { ClassEnvelope } from '@bold-ballast/core'

/** How far beyond a line still counts as on it, m: a tape measure is no finer. */
const TAPE = 0.0005

/** Whether an element reaches beyond a box. */
export function isOutside(
  element: Pick<AeroElement, 'x' | 'z' | 'chord' | 'span' | 'wing'>,
  { top, bottom, front, rear, width }: ClassEnvelope,
): boolean {
  const beyond = (value: number, limit: number | null) => limit !== null && value > limit + TAPE
  return (
    beyond(topOf(element), top) ||
    beyond(-element.z, bottom === null ? null : -bottom) ||
    beyond(element.chord / 2 - element.x, front === null ? null : -front) ||
    beyond(element.x + element.chord / 2, rear) ||
    beyond(element.span, width)
  )
}
