import { carriedBy } from './carriedBy'
import { springsOf, type SprungCar } from './springsOf'

/** Something in the car, and where it is: m behind the front axle and left of the middle. */
export interface Thing {
  readonly mass: number
  readonly at: { readonly x: number; readonly y: number }
}

/** How much more of the weight stands in front, on the left and across, as shares. */
export interface MovedShares {
  readonly front: number
  readonly left: number
  readonly cross: number
}

/**
 * What moving something about in the car does to the shares of its wheels. The car weighs what it did.
 *
 * @param car its geometry and springs, with its mass in kg and its centre of mass
 * @param by how far, m, to the rear and to the left
 * @throws {RangeError} never
 * @source moments about the front axle and the middle; the cross share by {@link carriedBy}
 * @example moveInCar(sprungCar, { mass: 18, at: { x: 2.4, y: 0 } }, { back: -2, left: 0 }).front > 0 // true
 */
export function moveInCar(
  car: SprungCar & { readonly mass: number; readonly x: number; readonly y: number },
  { mass, at }: Thing,
  by: { readonly back: number; readonly left: number },
): MovedShares {
  const springs = springsOf(car, car.x, car.mass)
  const crossOf = (place: Thing['at']) => {
    const share = carriedBy(springs, { left: place.y - car.y, forward: car.x - place.x })
    return share.frontRight + share.rearLeft
  }
  const part = mass / car.mass
  return {
    front: (-part * by.back) / car.wheelbase,
    left: (part * by.left) / ((car.trackFront + car.trackRear) / 2),
    cross: part * (crossOf({ x: at.x + by.back, y: at.y + by.left }) - crossOf(at)),
  }
}
