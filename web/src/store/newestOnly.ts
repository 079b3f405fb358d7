/**
 * Asks one after the other. Of those that come while one is being answered, only the newest is asked: what is dragged is
 * followed as quickly as it can be answered, and never from behind.
 */
export function newestOnly<Asked, Answer>(
  answerTo: (asked: Asked) => Promise<Answer>,
  onAnswer: (asked: Asked, answer: Answer) => void,
): (asked: Asked) => Promise<void> {
  let waiting: { readonly asked: Asked } | null = null
  let isBusy = false
  return async (asked) => {
    waiting = { asked }
    if (isBusy) return
    isBusy = true
    try {
      while (waiting) {
        const next: Asked = (waiting as { readonly asked: Asked }).asked
        waiting = null
        onAnswer(next, await answerTo(next))
      }
    } finally {
      isBusy = false
    }
  }
}
