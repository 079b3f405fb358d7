import { performance } from 'node:perf_hooks'

/** What something takes, ms: the middle of so many runs after three that warm it up. */
export function median(run: () => void, rounds = 15): number {
  const times = Array.from({ length: rounds + 3 }, () => {
    const start = performance.now()
    run()
    return performance.now() - start
  }).slice(3)
  return times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!
}

export const say = (what: string, ms: number, goal: string) =>
  process.stdout.write(`  ${what.padEnd(62)} ${`${ms.toFixed(1)} ms`.padStart(12)}   ${goal}\n`)
