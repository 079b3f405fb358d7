/** What a spreadsheet begins a formula with, full width too, whatever blank it skips before that. */
const FORMULA = /^[\s\u200b\ufeff]*[=+\-@\uff1d\uff0b\uff0d\uff20]|^[\t\r]/
/** The same behind marks that make it plain text already: they are told apart from ours by one more. */
const GUARDED = /^'+/

const isFormula = (text: string) => FORMULA.test(text.replace(GUARDED, ''))

const cell = (value: unknown) => {
  const text = value === null || value === undefined ? '' : String(value)
  // A cell that a spreadsheet would take for a formula is made plain text.
  const plain = typeof value !== 'number' && isFormula(text) ? `'${text}` : text
  return /[",\r\n]|^\s|\s$/.test(plain) ? `"${plain.replace(/"/g, '""')}"` : plain
}

/** Rows as CSV text, with the header first. */
export const csvOf = (header: readonly string[], rows: readonly (readonly unknown[])[]): string =>
  [header, ...rows].map((row) => row.map(cell).join(',')).join('\n') + '\n'

/**
 * The text of a cell as it was before it was made safe for spreadsheets.
 *
 * @example unguarded("'=1+1") // '=1+1'
 */
export const unguarded = (text: string): string =>
  text.startsWith("'") && isFormula(text) ? text.slice(1) : text
