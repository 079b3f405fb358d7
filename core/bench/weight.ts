import { performance } from 'node:perf_hooks'
import { parentPort, Worker } from 'node:worker_threads'
import loadHighs from 'highs'
import {
  forecastMass,
  known,
  perCorner,
  perchTurns,
  planBallast,
  type BallastInputs,
  type ForecastPart,
} from '../src/index'

/** The forecast, the perches and the ballast, in a worker, beside a plain loop over typed arrays as the floor. */
const LINES = 400
const DRAWS = 100_000
const ROUNDS = 15
const WARM_UP = 10

const line = (name: string, figure: string, goal: string) =>
  process.stdout.write(`  ${name.padEnd(62)} ${figure.padStart(12)}   ${goal}\n`)

if (parentPort) {
  const median = async (work: () => unknown): Promise<number> => {
    const times: number[] = []
    for (let i = 0; i < ROUNDS + WARM_UP; i += 1) {
      const start = performance.now()
      await work()
      if (i >= WARM_UP) times.push(performance.now() - start)
    }
    return times.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)]!
  }
  const parts: ForecastPart[] = [
    {
      id: 'car',
      grows: false,
      mass: known(1000, 'measured', 2),
      sign: 1,
      position: { x: 1.1, y: 0, z: 0.5 },
      whole: true,
    },
    ...Array.from({ length: LINES }, (_, i): ForecastPart => ({
      id: `line ${i}`,
      grows: true,
      mass: known(0.5 + (i % 9), i % 2 ? 'guess' : 'claim'),
      sign: i % 3 ? 1 : -1,
      position: { x: (i % 25) / 10, y: 0, z: 0.4 },
    })),
  ]
  // The least that any such forecast does: one table value added to two sums, for every line and draw.
  const table = new Float64Array(1024).map((_, i) => i / 1024)
  const floor = () => {
    const mass = new Float64Array(DRAWS)
    const moment = new Float64Array(DRAWS)
    for (let l = 0; l < LINES; l += 1) {
      let at = l
      for (let i = 0; i < DRAWS; i += 1) {
        at = (at + 617) & 1023
        mass[i]! += table[at]!
        moment[i]! += 1.1 * table[at]!
      }
    }
    return mass[0]! + moment[0]!
  }
  const highs = await loadHighs()
  const all = (value: number) => perCorner(() => value)
  const spots: BallastInputs['spots'] = Array.from({ length: 12 }, (_, i) => ({
    id: `spot ${i}`,
    at: { x: 0.3 + 0.2 * i, y: ((i % 5) - 2) * 0.3 },
    limit: 20,
    crossShare: 0.4 + 0.02 * i,
  }))
  const ballast: BallastInputs = {
    mass: 760,
    centre: { x: 1.15, y: 0.02 },
    cross: 0.49,
    wheelbase: 2.4,
    track: 1.46,
    minimumMass: 800,
    spots,
    plates: [
      { mass: 5, count: 8 },
      { mass: 2, count: 8 },
      { mass: 1, count: 8 },
    ],
    front: { value: 0.515, tolerance: 0.003 },
    left: { value: 0.505, tolerance: 0.004 },
    crossTarget: { value: 0.495, tolerance: 0.004 },
  }
  const springs = {
    rates: all(40_000),
    halfTrackFront: 0.73,
    halfTrackRear: 0.72,
    toFront: 1.15,
    toRear: 1.25,
  }
  const corners = { frontLeft: 232, frontRight: 218, rearLeft: 204, rearRight: 226 }
  parentPort.postMessage({
    floor: await median(floor),
    forecast: await median(() => forecastMass({ parts, wheelbase: 2.4, draws: DRAWS })),
    ballast: await median(() =>
      planBallast(ballast, (text, gap) => {
        const { Status, Columns } = highs.solve(text, { mip_abs_gap: gap, presolve: 'off' })
        return Status === 'Optimal'
          ? Object.fromEntries(Object.entries(Columns).map(([n, c]) => [n, (c as { Primal: number }).Primal]))
          : null
      }),
    ),
    perches: await median(() =>
      perchTurns({ springs, corners, target: 0.5, motionRatio: all(0.9), pitch: all(0.002), step: 0.25 }),
    ),
  })
} else {
  // A worker starts without the loader of TypeScript; it is put in first.
  const start = `import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(import.meta.url)})))`
  const worker = new Worker(start, { eval: true })
  worker.on('message', (ms: Record<'floor' | 'forecast' | 'ballast' | 'perches', number>) => {
    line(
      `A plain loop over ${DRAWS.toLocaleString('en-GB')} draws of ${LINES} lines`,
      `${ms.floor.toFixed(0)} ms`,
      '',
    )
    line('The forecast of the same, in a worker', `${ms.forecast.toFixed(0)} ms`, 'goal 150 ms')
    line('Ratio', (ms.forecast / ms.floor).toFixed(2), '')
    line('Ballast for 12 spots and 3 plates, all shares wanted', `${ms.ballast.toFixed(1)} ms`, 'goal 50 ms')
    line('Turns at the perches', `${ms.perches.toFixed(3)} ms`, 'goal 50 ms')
  })
}
