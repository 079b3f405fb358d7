import { MEASURES, setOf, shapleyExact, worthWith, type CarChange, type Measure } from '@bold-ballast/core'
import { performance } from 'node:perf_hooks'
import { fork, type ChildProcess } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { inverseOf, rewind, type Edit, type Mark } from '@bold-ballast/contract'
import { carsOf, readMark } from '@bold-ballast/model'
import {
  documentFrom,
  sampleBuild,
  sampleComponent,
  sampleDrive,
  sampleDynoDay,
  sampleElement,
  samplePull,
} from '@bold-ballast/contract/sampleBuild'

/** The Board of 20 stages and 40 marks, the split of ten changes over 402 m on two processes, and a long history. */
const ROUNDS = 5
const newId = () => crypto.randomUUID()
const say = (what: string, ms: number, goal: string) =>
  process.stdout.write(`  ${what.padEnd(62)} ${`${ms.toFixed(0)} ms`.padStart(12)}   ${goal}\n`)
function median(run: () => void): number {
  const times = Array.from({ length: ROUNDS + 1 }, () => {
    const start = performance.now()
    run()
    return performance.now() - start
  }).slice(1)
  return times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!
}

const points = Array.from({ length: 60 }, (_, i) => ({
  speed: 210 + i * 9,
  torque: 320 - ((i - 34) / 4) ** 2,
}))
function board() {
  const file = sampleBuild(newId, { swaps: 3, linesEach: 20 })
  file.build.baseMass = 1200
  const [first] = file.stages
  for (let i = 1; i < 20; i += 1) file.stages.push({ ...first!, id: newId(), name: `Stage ${i}`, order: i })
  const day = sampleDynoDay(first!.id, newId())
  file.dynoDays.push(day)
  file.pulls.push({ ...samplePull(day.id, newId()), source: 'file', points, standsForStage: true })
  file.drivetrains.push({ id: newId(), stageId: first!.id, drive: sampleDrive(), note: '' })
  file.components.push(sampleComponent(first!.id, newId()))
  file.aeroElements.push(sampleElement(first!.id, newId()))
  const document = documentFrom(file)
  const marks = Array.from({ length: 40 }, (_, i): Mark => ({
    id: newId(),
    stageId: first!.id,
    measure: MEASURES[i % MEASURES.length] as Measure,
    comparator: 'atMost',
    value: 1 + i,
    tolerance: 0,
    weight: 1,
    conditionId: null,
    gear: null,
    place: '',
    part: '',
    speed: 50 + i,
    version: 1,
  }))
  return { document, marks }
}

const before = {
  mass: 1200,
  power: 200e3,
  run: {
    ...sampleDrive(),
    curve: points,
    mass: 1200,
    driven: 'rear' as const,
    frontShare: 0.52,
    wheelbase: 2.5,
    massHeight: 0.5,
    shiftSpeed: 700,
    airDensity: 1.2,
    downforceFront: 0,
    downforceRear: 0,
    trackFront: 1.5,
    trackRear: 1.5,
    transferShare: 0.55,
    frontOverRear: 1,
    driveFront: null,
    differential: { kind: 'locked' as const },
    brakeFront: 0.66,
    brakeUsed: 1,
  },
  course: null,
}
const changes: CarChange[] = Array.from({ length: 10 }, (_, i) => ({
  id: String(i),
  mass: -5 - i,
  power: null,
  run: i === 0 ? { grip: 1.2 } : i === 1 ? { dragArea: 0.75 } : {},
}))
const worths = (sets: readonly number[]) =>
  sets.map((s) => worthWith(before, changes, setOf(s, changes.length), 'quarterMile'))

// Started as a helper, it works out its half and says so.
if (process.send) {
  process.once('message', (sets: number[]) => process.send!(worths(sets), () => process.exit(0)))
  process.send('ready')
} else {
  const { document, marks } = board()
  say(
    'Board: 20 stages × 40 marks, every figure',
    median(() => {
      // Another document each time: what is found is kept with it.
      for (const car of carsOf({ ...document })) for (const mark of marks) readMark(car, mark)
    }),
    'goal 200 ms',
  )

  const sets = Array.from({ length: 1024 }, (_, i) => i)
  // Started before the time is taken: the browser's workers stand ready as well, and compile nothing.
  const next = (helper: ChildProcess) =>
    new Promise<unknown>((resolve, reject) => {
      helper.once('message', resolve)
      helper.once('error', reject)
    })
  const helpers = [0, 1].map(() => fork(fileURLToPath(import.meta.url), { execArgv: ['--import', 'tsx'] }))
  await Promise.all(helpers.map(next))
  const start = performance.now()
  const halves = (await Promise.all(
    helpers.map((helper, half) => {
      const answer = next(helper)
      helper.send(sets.filter((s) => s % 2 === half))
      return answer
    }),
  )) as number[][]
  shapleyExact(
    10,
    sets.map((s) => halves[s % 2]![s >> 1]!),
  )
  say(
    'Gain split: 10 changes over 402 m, exactly, on two processes',
    performance.now() - start,
    'goal 3,000 ms',
  )

  const big = documentFrom(sampleBuild(newId, { swaps: 40, linesEach: 50 }))
  const inverses = Array.from({ length: 10_000 }, (_, i): Edit[] => {
    const line = big.lines[i % big.lines.length]!
    return inverseOf(big, [{ op: 'put', kind: 'line', record: { ...line, mass: i } }])
  })
  say(
    'History: 10,000 changes taken back over 2,000 lines',
    median(() => rewind(big, inverses)),
    'goal 300 ms',
  )
}
