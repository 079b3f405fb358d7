/**
 * The share of a sliding tyre's friction that points along its wheel.
 *
 * In a steady slide friction opposes the slip of the contact patch, which goes sideways with the car and backwards
 * with the wheel that spins faster than the road. Only the part along the wheel has to come from the engine; that is
 * why a slide takes far less than breaking the same tyres loose in a straight line.
 *
 * @param slipAngle between the way the axle goes and the way its wheels point, rad
 * @param spin wheel speed over road speed
 * @returns 1 where the wheel spins with the car straight, 0 where it rolls along with the slide
 * @source saturated friction of an isotropic tyre: s_x = k − cos α, s_y = sin α, share = s_x/√(s_x² + s_y²)
 * (Pacejka, Tire and Vehicle Dynamics, 3.2.3, combined slip of the brush model)
 * @example slidePull(Math.PI / 6, 1.3) // 0.6555
 */
export function slidePull(slipAngle: number, spin: number): number {
  const along = spin - Math.cos(slipAngle)
  const across = Math.sin(slipAngle)
  const slip = Math.hypot(along, across)
  return slip > 0 ? Math.max(0, along / slip) : 0
}
