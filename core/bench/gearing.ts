import { performance } from 'node:perf_hooks'
import { parentPort, Worker, workerData } from 'node:worker_threads'
import { candidatesOf, gearingFigures, type Gearing, type GearingTrial } from '../src/index'

/** Five hundred gearings of a shelf tried over 402 m, in a drift window and on a course, on two cores. */
const CORES = 2
const line = (name: string, figure: string, goal: string) =>
  process.stdout.write(`  ${name.padEnd(62)} ${figure.padStart(12)}   ${goal}\n`)
const rpm = (n: number) => (n * Math.PI) / 30

const fitted: Gearing = {
  ratios: [3.32, 1.99, 1.37, 1, 0.8],
  finalDrive: 4.1,
  between: 1,
  rollingRadius: 0.316,
  growth: 0.006,
  limiter: rpm(7000),
}
const curve = Array.from({ length: 180 }, (_, i) => {
  const n = 2500 + i * 25
  return { speed: rpm(n), torque: 160 + 260 / (1 + Math.exp(-(n - 4300) / 220)) }
})
const load = { mass: 1374, dragArea: 0.78, rollingResistance: 0.015, airDensity: 1.2 }
const trial: GearingTrial = {
  car: {
    curve,
    ...fitted,
    shiftSpeed: rpm(6850),
    shiftTime: 0.3,
    launchSpeed: rpm(4500),
    ...load,
    driven: 'rear',
    frontShare: 0.54,
    wheelbase: 2.7,
    massHeight: 0.5,
    grip: 1.05,
    wheelInertia: 5.2,
    engineInertia: 0.19,
  },
  load,
  axle: {
    mass: 1374,
    share: 0.46,
    lever: 0.19,
    driven: 'rear',
    grip: 1.05,
    downforceArea: 0.1,
    airDensity: 1.2,
  },
  curve,
  threshold: rpm(4500),
  lap: Array.from({ length: 40 }, (_, i) => ({ time: i * 2.5, speed: 30 + 15 * Math.sin(i * 0.9) })),
}
const named = (ratio: number) => ({ name: String(ratio), ratio })
const candidates = candidatesOf(fitted, {
  gearboxes: [0.98, 1.02, 1.04, 1.06].map((by) => ({
    name: String(by),
    ratios: fitted.ratios.map((r, i) => r * by ** i),
  })),
  finalDrives: [3.6, 3.73, 3.9, 4.3, 4.44, 4.55, 4.7, 4.875, 5.1].map(named),
  between: [],
  tyres: [0.29, 0.295, 0.3, 0.303, 0.306, 0.309, 0.312, 0.32, 0.324].map((radius) => ({
    name: String(radius),
    radius,
    growth: 0.006,
  })),
})

if (parentPort) {
  const { from } = workerData as { from: number }
  const own = candidates.filter((_, i) => i % CORES === from)
  own.slice(0, 10).forEach((c) => gearingFigures(trial, c.gearing))
  parentPort.postMessage('ready')
  parentPort.once('message', () => {
    own.forEach((c) => gearingFigures(trial, c.gearing))
    parentPort!.postMessage('done')
  })
} else {
  const code = `import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(import.meta.url)})))`
  const next = (worker: Worker) => new Promise((done) => worker.once('message', done))
  const workers = Array.from(
    { length: CORES },
    (_, from) => new Worker(code, { eval: true, workerData: { from } }),
  )
  await Promise.all(workers.map(next))
  const began = performance.now()
  await Promise.all(
    workers.map((w) => {
      const done = next(w)
      w.postMessage('go')
      return done
    }),
  )
  line(
    `${candidates.length} gearings × 402 m, drift windows and a lap on ${CORES} cores`,
    `${(performance.now() - began).toFixed(0)} ms`,
    'goal 2,000 ms',
  )
  await Promise.all(workers.map((w) => w.terminate()))
}
