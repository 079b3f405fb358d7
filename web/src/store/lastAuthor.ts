const KEY = 'bold-ballast.author'

/** Who signed last on this device, so that a name is typed once. */
export function lastAuthor(): string {
  try {
    return localStorage.getItem(KEY) ?? ''
  } catch {
    return ''
  }
}

export function rememberAuthor(author: string): void {
  try {
    localStorage.setItem(KEY, author)
  } catch {
    // A device that keeps nothing asks again.
  }
}
