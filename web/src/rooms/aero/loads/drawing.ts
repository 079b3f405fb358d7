/** The sheet that the car is drawn on: how far it reaches ahead, behind and up, m, and its scale, 1/m. */
export const AHEAD = 1.15
export const BEHIND = 1.2
export const HIGH = 1.75
export const SCALE = 100
/** From the middle of the car to the edge of the plan view, m. */
export const HALF = 1.05
export const across = (m: number): number => (m + AHEAD) * SCALE
export const up = (m: number): number => (HIGH - m) * SCALE
export const sideways = (m: number): number => (HALF + m) * SCALE
