export const CHROMIUM: string
export const CHROMIUM_ARGS: string[]
export function ensureChromium(): void
