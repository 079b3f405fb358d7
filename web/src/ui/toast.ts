/** Something said in passing, at the foot of the page. */
interface Said {
  readonly says: string
  readonly kind: 'message' | 'info' | 'warning' | 'error'
}

let show: ((said: Said) => void) | null = null
const waiting: Said[] = []
const sayAs = (kind: Said['kind']) => (says: string) => {
  const said = { says, kind }
  if (show) show(said)
  else waiting.push(said)
}

/**
 * Says something in passing. What shows it is fetched after the page stands; what is said before then waits for it.
 *
 * @example toast('Ticket copied.')
 */
export const toast = Object.assign(sayAs('message'), {
  info: sayAs('info'),
  warning: sayAs('warning'),
  error: sayAs('error'),
})

/** From now on what is said is shown by this; first what has waited. */
export function showToastsBy(next: (said: Said) => void): void {
  show = next
  waiting.splice(0).forEach(next)
}
