/**
 * Says on the page's root that it is being printed, before anything that draws by theme is told: charts ask for their
 * colours when they draw, and paper is white.
 */
export function watchPrinting(): void {
  const { dataset } = document.documentElement
  window.addEventListener('beforeprint', () => (dataset['printing'] = ''))
  window.addEventListener('afterprint', () => delete dataset['printing'])
}
