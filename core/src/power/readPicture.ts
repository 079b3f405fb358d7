/** A place in a picture, pixels. */
export interface Pixel {
  readonly x: number
  readonly y: number
}
/** A mark on an axis: where it stands in the picture, and the value that is printed there. */
export interface AxisMark {
  readonly at: Pixel
  readonly value: number
}
export interface PictureAxes {
  readonly x: readonly [AxisMark, AxisMark]
  readonly y: readonly [AxisMark, AxisMark]
}

/**
 * Reads a curve off a picture: two marks on each axis say what a pixel is worth.
 *
 * The picture may be turned or slanted: a value counts along its own axis and not at right angles to it. A
 * picture taken at an angle in depth is not put right.
 *
 * @param axes two marks on each axis, values in any unit
 * @param pixels clicked along the curve
 * @returns the points in those units, in the order of x
 * @throws {RangeError} where two marks coincide, share a value, or the axes are parallel
 * @source affine map by its two axes (linear algebra)
 * @example readPicture(axes, [{ x: 120, y: 80 }])
 */
export function readPicture(axes: PictureAxes, pixels: readonly Pixel[]): { x: number; y: number }[] {
  const along = ([a, b]: readonly [AxisMark, AxisMark], name: string) => {
    const u = { x: b.at.x - a.at.x, y: b.at.y - a.at.y }
    if (Math.hypot(u.x, u.y) < 1) throw new RangeError(`the two marks on the ${name} stand on one spot`)
    if (a.value === b.value) throw new RangeError(`the two marks on the ${name} need different values`)
    return u
  }
  const u = along(axes.x, 'engine-speed axis')
  const v = along(axes.y, 'upright axis')
  const cross = u.x * v.y - u.y * v.x
  if (Math.abs(cross) < 0.05 * Math.hypot(u.x, u.y) * Math.hypot(v.x, v.y))
    throw new RangeError('the two axes lie along each other: mark one along the bottom and one up the side')
  const value = ([a, b]: readonly [AxisMark, AxisMark], share: number) =>
    a.value + share * (b.value - a.value)
  return pixels
    .map((p) => {
      const fromX = { x: p.x - axes.x[0].at.x, y: p.y - axes.x[0].at.y }
      const fromY = { x: p.x - axes.y[0].at.x, y: p.y - axes.y[0].at.y }
      return {
        x: value(axes.x, (fromX.x * v.y - fromX.y * v.x) / cross),
        y: value(axes.y, (u.x * fromY.y - u.y * fromY.x) / cross),
      }
    })
    .sort((a, b) => a.x - b.x)
}
