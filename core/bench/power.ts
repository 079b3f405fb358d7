import { performance } from 'node:perf_hooks'
import { parentPort, Worker, workerData } from 'node:worker_threads'
import Papa from 'papaparse'
import { guessColumns, pullReader, straightLine, type StraightLineCar } from '../src/index'

/** A long log read and laid on its grid in a worker; standing runs over 402 m, one and a thousand on two cores. */
const ROWS = 100_000
const RUNS = 1000
const CORES = 2
const ROUNDS = 15

const line = (name: string, figure: string, goal: string) =>
  process.stdout.write(`  ${name.padEnd(62)} ${figure.padStart(12)}   ${goal}\n`)

const rpm = (n: number) => (n * Math.PI) / 30
const car: StraightLineCar = {
  curve: Array.from({ length: 200 }, (_, i) => ({
    speed: rpm(2000 + i * 27),
    torque: 320 - ((i - 110) / 9) ** 2,
  })),
  ratios: [3.25, 1.95, 1.37, 1.03, 0.82],
  finalDrive: 4.06,
  rollingRadius: 0.318,
  shiftSpeed: rpm(7300),
  shiftTime: 0.22,
  launchSpeed: rpm(4800),
  mass: 1280,
  driven: 'all',
  frontShare: 0.6,
  wheelbase: 2.575,
  massHeight: 0.48,
  grip: 1.35,
  dragArea: 0.86,
  rollingResistance: 0.014,
  airDensity: 1.19,
  wheelInertia: 5.8,
  engineInertia: 0.2,
}
const run = (i: number) =>
  straightLine({ ...car, mass: 1000 + (i % 500) }, { speeds: [100 / 3.6], distances: [402.336] })

const median = (work: () => unknown): number => {
  const times: number[] = []
  for (let i = 0; i < ROUNDS + 2; i += 1) {
    const start = performance.now()
    work()
    if (i >= 2) times.push(performance.now() - start)
  }
  return times.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)]!
}

if (parentPort) {
  const { task } = workerData as { task: 'read' | 'runs' }
  if (task === 'runs') {
    for (let i = 0; i < 20; i += 1) run(i)
    parentPort.postMessage('ready')
    parentPort.once('message', (share: number) => {
      for (let i = 0; i < share; i += 1) run(i)
      parentPort!.postMessage('done')
    })
  } else {
    const header = 'rpm,Torque (Nm),Power (kW),Boost (bar),AFR,Coolant (°C)'
    const rows = Array.from({ length: ROWS }, (_, i) => {
      const n = 2000 + i * 0.05
      const t = 300 + 20 * Math.sin(i / 9000)
      return `${n.toFixed(2)},${t.toFixed(2)},${((t * n) / 9549.297).toFixed(3)},1.21,12.1,88.4`
    })
    const text = `${header}\n${rows.join('\n')}\n`
    const parse = () => Papa.parse<string[]>(text, {}).data
    parentPort.postMessage({
      floor: median(parse),
      read: median(() => {
        const reader = pullReader(guessColumns(header.split(','), []))
        reader.add(parse().slice(1))
        return reader.finish()
      }),
      one: median(() => run(0)),
    })
  }
} else {
  // A worker starts without the loader of TypeScript; it is put in first.
  const code = `import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(import.meta.url)})))`
  const start = (task: 'read' | 'runs') => new Worker(code, { eval: true, workerData: { task } })
  const next = <T>(worker: Worker) => new Promise<T>((done) => worker.once('message', (m: T) => done(m)))

  const reading = start('read')
  const ms = await next<Record<'floor' | 'read' | 'one', number>>(reading)
  await reading.terminate()
  line(
    `Splitting ${ROWS.toLocaleString('en-GB')} rows of six columns into cells`,
    `${ms.floor.toFixed(0)} ms`,
    '',
  )
  line('Parsing, checking and resampling the same, in a worker', `${ms.read.toFixed(0)} ms`, 'goal 1,000 ms')
  line('Ratio', (ms.read / ms.floor).toFixed(2), '')
  line('One standing 402 m', `${ms.one.toFixed(2)} ms`, 'goal 5 ms')

  const workers = Array.from({ length: CORES }, () => start('runs'))
  await Promise.all(workers.map((w) => next(w)))
  const began = performance.now()
  await Promise.all(
    workers.map((w) => {
      const done = next(w)
      w.postMessage(RUNS / CORES)
      return done
    }),
  )
  line(
    `${RUNS.toLocaleString('en-GB')} standing 402 m on ${CORES} cores`,
    `${(performance.now() - began).toFixed(0)} ms`,
    'goal 1,500 ms',
  )
  await Promise.all(workers.map((w) => w.terminate()))
}
