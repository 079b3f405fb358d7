import type { Course } from '@bold-ballast/contract'
import { itemAt } from '@bold-ballast/core'
import { degreesFrom } from '@bold-ballast/core'
import type { CourseDrawn } from '@bold-ballast/model'
import { csvOf } from '@bold-ballast/words'

const HEAD = ['distance (m)', 'x (m)', 'y (m)', 'radius (m)', 'climbs']
const round = (n: number, by: number) => Math.round(n * by) / by

/** A line as a table of metres: what is read back draws the same. */
export const lineCsv = ({ points }: CourseDrawn): string =>
  csvOf(
    HEAD,
    points.map((p) => [
      round(p.distance, 100),
      round(p.x, 1000),
      round(p.y, 1000),
      Math.abs(p.curvature) < 2e-4 ? null : round(1 / p.curvature, 100),
      round(p.gradient, 10_000),
    ]),
  )

/** A line as GeoJSON, where it lies; about an invented origin at sea where nobody knows. */
export const lineGeoJson = ({ name, line }: Course, { points, closed }: CourseDrawn): string => {
  const places = degreesFrom(closed ? [...points, itemAt(points, 0)] : points, line?.origin ?? undefined)
  const coordinates = places.map(({ latitude, longitude }) => [round(longitude, 1e8), round(latitude, 1e8)])
  return JSON.stringify({
    type: 'FeatureCollection',
    features: [{ type: 'Feature', properties: { name }, geometry: { type: 'LineString', coordinates } }],
  })
}
