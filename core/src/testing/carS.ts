import type { RollCar } from '../stance/rollBalance'

/** The car of the handbook's section on set-up, recomputed there after Milliken & Milliken. */
export const carS: RollCar = {
  mass: 1200,
  wheelbase: 2.575,
  centre: { x: 1.12, z: 0.47 },
  front: {
    track: 1.52,
    wheelRate: 70_000,
    tyreRate: 250_000,
    bar: 18_000,
    rollCentre: 0.05,
    unsprung: 80,
    unsprungHeight: 0.31,
  },
  rear: {
    track: 1.5,
    wheelRate: 60_000,
    tyreRate: 250_000,
    bar: 9000,
    rollCentre: 0.12,
    unsprung: 90,
    unsprungHeight: 0.31,
  },
}
