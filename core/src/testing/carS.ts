import type { BrakeSystem } from '../brakes/brakeLines'
import type { RollCarSigma } from '../stance/balanceEffects'
import type { CornerSuspension } from '../stance/cornerTravel'
import type { RollCar } from '../stance/rollBalance'
import type { StandingCar } from '../stance/stanceAtSpeed'

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

const axleSigma = {
  track: 0.003,
  wheelRate: 3500,
  tyreRate: 25_000,
  bar: 900,
  rollCentre: 0.015,
  unsprung: 6,
}
/** How well its figures may be known. */
export const sigmaS: RollCarSigma = {
  mass: 4,
  centre: { x: 0.01, z: 0.02 },
  front: axleSigma,
  rear: axleSigma,
}

/** A corner of 60 N/mm at the wheel on a damper at 0.7 of its travel. */
export const cornerS: CornerSuspension = {
  standing: 2800,
  spring: 60_000 / 0.7 ** 2,
  helper: null,
  ratio: { atRest: 0.7, change: 0 },
  damperRatio: 0.7,
  rubber: null,
  droop: null,
  bump: null,
}

/** Car S on such corners. */
export const standingS: StandingCar = {
  ...carS,
  front: { corner: cornerS, tyreRate: 250_000, roll: carS.front },
  rear: { corner: cornerS, tyreRate: 250_000, roll: carS.rear },
}

const area = (...diameters: number[]) => diameters.reduce((sum, d) => sum + (Math.PI * d ** 2) / 4, 0)
/** The brakes of the handbook's section on brakes, on wheels of 0.31 m. */
export const brakesOfHandbook: BrakeSystem = {
  box: { ratio: 5.2, frontShare: 0.52, frontCylinder: 19.05e-3, rearCylinder: 20.64e-3 },
  servo: 1,
  valve: null,
  front: { pistonArea: area(0.038, 0.044), friction: 0.45, radius: 0.14 },
  rear: { pistonArea: area(0.036), friction: 0.42, radius: 0.13 },
  radius: { front: 0.31, rear: 0.31 },
}
