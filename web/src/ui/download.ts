/** Hands a file to the person. */
export function download(filename: string, content: BlobPart, type: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = filename
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 1000)
}

/** What a spreadsheet begins a formula with, full width too, whatever blank it skips before that. */
const FORMULA = /^[\s\u200b\ufeff]*[=+\-@\uff1d\uff0b\uff0d\uff20]|^[\t\r]/

const cell = (value: unknown) => {
  const text = value === null || value === undefined ? '' : String(value)
  // A cell that a spreadsheet would take for a formula is made plain text.
  const plain = typeof value !== 'number' && FORMULA.test(text) ? `'${text}` : text
  return /[",\r\n]/.test(plain) ? `"${plain.replace(/"/g, '""')}"` : plain
}

/** Rows as CSV text, with the header first. */
export const csvOf = (header: readonly string[], rows: readonly (readonly unknown[])[]): string =>
  [header, ...rows].map((row) => row.map(cell).join(',')).join('\n') + '\n'
