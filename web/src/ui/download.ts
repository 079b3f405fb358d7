/** How long a file is kept for a browser that is slow to fetch it. */
const KEPT_MS = 60_000

/** Hands a file to the person. */
export function download(filename: string, content: BlobPart, type: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = filename
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), KEPT_MS)
}
