import { isFields, type Fields } from './recordSteps'
import { upgradeRecord } from './upgradeRecord'

/** A shared sheet of an older version as one of today: its figures are those of a seal. */
export function upgradeSheet(sheet: Fields, from: number): Fields {
  if (!isFields(sheet['figures'])) return sheet
  const { figures } = upgradeRecord('seal', { figures: sheet['figures'] }, from, '')
  return { ...sheet, figures }
}
