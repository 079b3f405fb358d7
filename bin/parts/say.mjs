/** Lines for the person at the terminal. */
export const say = (text) => console.log(`  ${text}`)

/** Stops with a message that says what to do. */
export function stop(text) {
  console.error(`\n  ${text}\n`)
  process.exit(1)
}
