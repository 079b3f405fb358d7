import { performance } from 'node:perf_hooks'

const TURNS = 20_000_000
const ROUNDS = 7
/** The columns that a bench prints: what, how much, and what it should be. */
const PRINTED = /^( {2}.{62}) ( *)([\d.,]+) (ms|s)(?=\s|$)(.*)$/

/** Twenty million turns of a loop that does nothing but shift and add bits: as fast as the machine is, ms. */
export function plainLoop() {
  const times = []
  for (let round = 0; round < ROUNDS; round += 1) {
    const start = performance.now()
    let bits = 88_172_645
    for (let i = 0; i < TURNS; i += 1) {
      bits ^= bits << 13
      bits ^= bits >>> 17
      bits ^= bits << 5
    }
    // Looked at, so that the loop isn't left out.
    if (bits === 0) throw new Error('those bits are never all zero')
    times.push(performance.now() - start)
  }
  return times.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)]
}

/**
 * A printed figure of time with how many plain loops it is: two machines differ in seconds, and less in those. What is no
 * figure of time stays as it is.
 *
 * @param {string} printed a line of a bench
 * @param {number} loop what the plain loop takes on this machine now, ms
 */
export function inLoops(printed, loop) {
  const found = PRINTED.exec(printed)
  if (!found) return printed
  const [, name, space, figure, unit, goal] = found
  const ms = Number(figure.replaceAll(',', '')) * (unit === 's' ? 1000 : 1)
  const loops = ms / loop
  const said = loops < 10 ? loops.toPrecision(2) : loops.toFixed(0)
  return `${name} ${space}${figure} ${unit} ${`= ${said} loops`.padStart(14)}${goal}`
}
