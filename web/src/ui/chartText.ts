const SIGNS: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;' }

/**
 * Text as the chart library shows it letter by letter: it reads links, fonts and line breaks out of angle brackets, and
 * names of stages, parts and dynos are anybody's.
 *
 * @example chartText('<a href="x">wing</a>') // '&lt;a href="x"&gt;wing&lt;/a&gt;'
 */
export const chartText = (text: string): string => text.replace(/[&<>]/g, (sign) => SIGNS[sign] ?? sign)
