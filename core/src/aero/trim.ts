import { bisect } from '../numeric/bisect'
import { aeroBalance, placedAreas } from './aeroBalance'
import { elementAreas, type AeroElement } from './elementAreas'

/** An element as it would be with its wing at another angle. */
export const atAngle = (element: AeroElement, angle: number): AeroElement =>
  element.wing ? { ...element, wing: { ...element.wing, angle } } : element

export interface PolarOfCar {
  readonly angle: number
  readonly front: number
  readonly rear: number
  readonly drag: number
  readonly frontShare: number | null
  readonly stalled: boolean
}

/**
 * The whole car over the angles that a wing can be set to, one entry for each hole.
 *
 * @param wingId the element that is turned
 * @throws {RangeError} when no wing has that id
 * @source the sums of {@link aeroBalance}
 * @example carPolar(elements, 'rear', [0, 0.1, 0.2], 2.5)
 */
export function carPolar(
  elements: readonly AeroElement[],
  wingId: string,
  angles: readonly number[],
  wheelbase: number,
): PolarOfCar[] {
  const wing = elements.find((e) => e.id === wingId && e.wing)
  if (!wing) throw new RangeError('the element to be turned is a wing')
  return angles.map((angle) => {
    const turned = elements.map((e) => (e.id === wingId ? atAngle(e, angle) : e))
    const { front, rear, drag, frontShare } = aeroBalance(placedAreas(turned), wheelbase)
    return { angle, front, rear, drag, frontShare, stalled: elementAreas(atAngle(wing, angle)).stalled }
  })
}

/**
 * The angle of a wing that gives a wanted front share of the downforce.
 *
 * @param between the angles that it can be set to, rad
 * @returns rad; `null` when no angle between them does
 * @source halving, where the balance rises or falls all the way
 * @example trimFor(elements, 'rear', 0.5, [0, 0.3], 2.5)
 */
export function trimFor(
  elements: readonly AeroElement[],
  wingId: string,
  wanted: number,
  [from, to]: readonly [number, number],
  wheelbase: number,
): number | null {
  const off = (angle: number) => {
    const [point] = carPolar(elements, wingId, [angle], wheelbase)
    return point!.frontShare === null ? null : point!.frontShare - wanted
  }
  const [atLow, atHigh] = [off(from), off(to)]
  if (atLow === null || atHigh === null || Math.sign(atLow) === Math.sign(atHigh)) return null
  return bisect((angle) => Math.sign(off(angle) ?? atHigh) === Math.sign(atLow), from, to).low
}

/**
 * How long an element would have to be for a wanted front share: a splitter against a wing, say.
 *
 * Its width, coefficients and place stay; its area follows its length.
 *
 * @returns m; `null` where no length of it does: it presses on the wrong axle, or would have to lift
 * @source front share is a ratio of two sums that are linear in the area
 * @example lengthFor(elements, 'splitter', 0.5, 2.5)
 */
export function lengthFor(
  elements: readonly AeroElement[],
  elementId: string,
  wanted: number,
  wheelbase: number,
): number | null {
  const element = elements.find((e) => e.id === elementId)
  if (!element) throw new RangeError('there is no such element')
  const others = aeroBalance(placedAreas(elements.filter((e) => e.id !== elementId)), wheelbase)
  const own = aeroBalance(placedAreas([element]), wheelbase)
  const gain = own.front - wanted * own.total
  const lacks = wanted * others.total - others.front
  const times = lacks / gain
  return Number.isFinite(times) && times > 0 && others.total + times * own.total > 0
    ? times * element.chord
    : null
}
