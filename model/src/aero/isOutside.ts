import type { AeroElement } from '@bold-ballast/contract'
import { elementExtent, type ClassEnvelope } from '@bold-ballast/core'

/** How far beyond a line still counts as on it, m: a tape measure is no finer. */
const TAPE = 0.0005

/** Whether an element reaches beyond a box. */
export function isOutside(
  element: Pick<AeroElement, 'x' | 'z' | 'chord' | 'span' | 'wing'>,
  { top, bottom, front, rear, width }: ClassEnvelope,
): boolean {
  const reach = elementExtent(element)
  const beyond = (value: number, limit: number | null) => limit !== null && value > limit + TAPE
  return (
    beyond(reach.top, top) ||
    beyond(-reach.bottom, bottom === null ? null : -bottom) ||
    beyond(-reach.front, front === null ? null : -front) ||
    beyond(reach.rear, rear) ||
    beyond(element.span, width)
  )
}
