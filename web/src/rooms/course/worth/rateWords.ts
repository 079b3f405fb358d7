import type { RateKey } from '@bold-ballast/core'

/** What each rate is for, as a builder would ask. */
export const RATE_WORDS: Readonly<Record<RateKey, readonly [string, string]>> = {
  mass: ['1 kg', 'where the mass of the car is'],
  massHigh: ['1 kg on the roof', '1.3 m up'],
  massBack: ['1 kg far back', 'half a metre behind the rear axle'],
  power: ['1 kW', 'at the peak, and as much more everywhere'],
  meanPower: ['1 kW of mean power', 'over the revs that a lap uses'],
  grip: ['1 % of grip', 'of all four tyres'],
  downforceFront: ['0.1 m² of downforce in front', 'without its drag'],
  downforceRear: ['0.1 m² of downforce behind', 'without its drag'],
  drag: ['0.1 m² of drag', 'more of it'],
  height: ['10 mm lower', 'the centre of mass'],
  brakeBalance: ['1 % of the braking to the front', ''],
  shiftTime: ['0.05 s a shift', 'quicker; it steps: see the curve under Trade-offs'],
  finalDrive: ['A final drive 5 % shorter', 'it steps with every shift: see the curve under Trade-offs'],
}
