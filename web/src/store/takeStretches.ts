/** No longer than this at a stretch, ms: a key that is pressed meanwhile is heard. */
const STRETCH = 30

/**
 * Takes steps until there is none left, with a pause for everything else after each stretch.
 *
 * @param isOld asked after each pause; nothing more is done once it is
 * @returns whether all steps were taken
 */
export async function takeStretches(steps: Iterator<unknown>, isOld: () => boolean): Promise<boolean> {
  for (;;) {
    const end = performance.now() + STRETCH
    while (performance.now() < end) if (steps.next().done) return true
    await new Promise((resolve) => setTimeout(resolve))
    if (isOld()) return false
  }
}
