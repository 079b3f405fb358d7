/** A step is begun no later than this in a stretch, ms: the longest takes some thirty, and a key should be heard within fifty. */
const STRETCH = 10

/**
 * Takes steps until there is none left, with a pause for everything else before each stretch.
 *
 * @param isOld asked after each pause; nothing more is done once it is
 * @returns whether all steps were taken
 */
export async function takeStretches(steps: Iterator<unknown>, isOld: () => boolean): Promise<boolean> {
  for (;;) {
    await new Promise((resolve) => setTimeout(resolve))
    if (isOld()) return false
    const end = performance.now() + STRETCH
    while (performance.now() < end) if (steps.next().done) return true
  }
}
