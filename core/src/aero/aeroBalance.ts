import { elementAreas, type AeroElement } from './elementAreas'

/** Downforce and drag areas with where they act. */
export interface PlacedAreas {
  readonly downforceArea: number
  readonly dragArea: number
  readonly x: number
  readonly z: number
}

export interface AeroBalance {
  /** Downforce area that each axle gets, with what drag moves from front to rear, m². */
  readonly front: number
  readonly rear: number
  readonly total: number
  readonly drag: number
  /** Front share of the downforce; `null` where the car as a whole isn't pressed down. */
  readonly frontShare: number | null
}

/**
 * What the axles get of everything that the air presses on.
 *
 * @param wheelbase m
 * @throws {RangeError} for a wheelbase that is not above zero
 * @source moments about the front axle's contact: rear = (F·x + D·z)/L (statics)
 * @example aeroBalance([{ downforceArea: 0.75, dragArea: 0, x: 3.1, z: 1.2 }], 2.5).rear // 0.93
 */
export function aeroBalance(areas: readonly PlacedAreas[], wheelbase: number): AeroBalance {
  if (!(wheelbase > 0)) throw new RangeError('a wheelbase is above zero')
  let [total, drag, moment] = [0, 0, 0]
  for (const a of areas) {
    total += a.downforceArea
    drag += a.dragArea
    moment += a.downforceArea * a.x + a.dragArea * a.z
  }
  const rear = moment / wheelbase
  const front = total - rear
  return { front, rear, total, drag, frontShare: total > 1e-9 ? front / total : null }
}

/** Elements as areas in their places. */
export const placedAreas = (elements: readonly AeroElement[]): PlacedAreas[] =>
  elements.map((e) => ({ ...elementAreas(e), x: e.x, z: e.z }))

/** ½ρv², Pa. */
export const dynamicPressure = (airDensity: number, speed: number): number => 0.5 * airDensity * speed ** 2
