const COLUMN = new Map<string, string>()

/**
 * The column that holds a record's field, or the table that holds a collection.
 *
 * @example columnOf('plannedWheelPower') // 'planned_wheel_power'
 */
export function columnOf(field: string): string {
  const known = COLUMN.get(field)
  if (known !== undefined) return known
  const column = field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`)
  COLUMN.set(field, column)
  return column
}
