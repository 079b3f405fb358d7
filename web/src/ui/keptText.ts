import { formFromText, formText } from './formText'

const PREFIX = 'bold-ballast.form.'

/** What was typed in a form of this tab and not saved yet, through a reload; null for nothing. */
export function keptText<T>(key: string): T | null {
  try {
    const text = sessionStorage.getItem(PREFIX + key)
    return text ? (formFromText(text) as T) : null
  } catch {
    return null
  }
}

export function keepText(key: string, value: unknown): void {
  try {
    sessionStorage.setItem(PREFIX + key, formText(value))
  } catch {
    // A full or closed storage costs only the protection against a reload.
  }
}

/** All that was typed in this tab by whoever leaves. */
export function forgetAllText(): void {
  try {
    for (const key of Object.keys(sessionStorage)) if (key.startsWith(PREFIX)) sessionStorage.removeItem(key)
  } catch {
    // Nothing was kept there either.
  }
}

export function forgetText(key: string): void {
  try {
    sessionStorage.removeItem(PREFIX + key)
  } catch {
    // Nothing was kept there either.
  }
}
