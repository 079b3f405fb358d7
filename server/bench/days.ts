import { blankLap, blankRun, type BuildDocument, type Run } from '@bold-ballast/contract'
import { sampleOuting } from '@bold-ballast/contract/sampleBuild'
import { gapAlong, lapTrace, LogText, logFaults, logOf, type RunLog } from '@bold-ballast/core'
import { demo } from '@bold-ballast/demo'
import { dayLine, driverDays, lapsOnLine, seasonDays, tyreSets, whatWorked } from '@bold-ballast/model'
import { performance } from 'node:perf_hooks'
import { median, say } from './median'

/** A logger's file of 100 MB read and split; two laps laid over each other; a season of 2,000 laps. */
const MEGABYTES = 100
const RATE = 100
const RADIUS = 300
const SPEED = 45

/** A car on a circle, with as many channels as loggers of such cars have. */
function* pieces(): Generator<string> {
  const others = Array.from({ length: 14 }, (_, i) => `sensor ${i + 1} (V)`)
  yield `time (s),latitude,longitude,speed (km/h),engine speed (rpm),throttle (%),${others.join(',')}\n`
  let written = 0
  for (let row = 0; written < MEGABYTES * 1e6;) {
    const rows: string[] = []
    for (let k = 0; k < 2000; k += 1, row += 1) {
      const t = row / RATE
      const at = (t * SPEED) / RADIUS
      const [x, y] = [RADIUS * Math.sin(at), RADIUS * Math.cos(at)]
      const rest = others.map((_, i) => (2 + Math.sin(t / (i + 3))).toFixed(3))
      rows.push(
        `${t.toFixed(2)},${(y / 111_195).toFixed(8)},${(x / 111_195).toFixed(8)},${(SPEED * 3.6).toFixed(1)},5200,80,${rest.join(',')}`,
      )
    }
    const piece = `${rows.join('\n')}\n`
    written += piece.length
    yield piece
  }
}
const written = [...pieces()]
const took = (work: () => unknown) => {
  const started = performance.now()
  work()
  return performance.now() - started
}
const reader = new LogText()
const reading = took(() => written.forEach((piece) => reader.push(piece)))
const table = reader.end()
let log = logOf('bench', table, table.columns)
const making = took(() => {
  log = logOf('bench', table, table.columns)
  logFaults(log.time, log.channels)
})
const splitting = took(() => {
  const line = dayLine(null, [log])
  if (typeof line !== 'string') lapsOnLine(log, line)
})
say(`${MEGABYTES} MB of a log read and split into laps`, reading + making + splitting, 'goal 20,000 ms')
say(`Of that its channels and faults, ${log.time.length} samples`, making, '')
say('Of that its line and laps', splitting, '')

/** Two laps of 10,000 samples. */
const samples = 10_000
const dense: RunLog = {
  name: 'dense',
  origin: null,
  time: Float32Array.from({ length: 3 * samples }, (_, i) => i / 100),
  channels: (['x', 'y', 'speed'] as const).map((role) => ({
    name: role,
    role,
    values: Float32Array.from({ length: 3 * samples }, (_, i) => {
      const at = (2 * Math.PI * i) / samples
      return role === 'x' ? 700 * Math.sin(at) : role === 'y' ? 700 * Math.cos(at) : 44 + Math.sin(9 * at)
    }),
  })),
}
const line = dayLine(null, [dense])
if (typeof line === 'string') throw new Error(line)
const found = lapsOnLine(dense, line)!
const two = () => [0, 1].map((i) => lapTrace(dense, found, i, line.lap.length, 5))
say(
  `Two laps of ${samples} samples laid over each other`,
  median(() => gapAlong(two()[0]!, two()[1]!)),
  'once, when they are chosen',
)
/** Twenty days of a hundred laps each. */
const nightjar = demo.builds().find((b) => b.build.name === 'Nightjar') as unknown as BuildDocument
const course = nightjar.courses[0]!
const days = Array.from({ length: 20 }, (_, d) => ({
  ...sampleOuting(nightjar.stages[0]!.id, crypto.randomUUID(), {
    date: `2026-${String((d % 12) + 1).padStart(2, '0')}-0${(d % 9) + 1}`,
    courseId: course.id,
  }),
  version: 1,
}))
const runs = days.flatMap((day) =>
  Array.from({ length: 10 }, (_, r): Run => ({
    ...blankRun(day.id, crypto.randomUUID(), r + 1),
    version: 1,
    driver: r % 2 ? 'Bea' : 'Ines',
    tyres: `Set ${r % 3}`,
    setupId: nightjar.setups[r % nightjar.setups.length]?.id ?? null,
    laps: Array.from({ length: 10 }, (__, n) => blankLap(60 + Math.exp(-n) + 0.3 * Math.sin(n * r))),
  })),
)
const season = { ...nightjar, outings: days, runs }
say(
  'A season of 2,000 laps summarised',
  median(() => [seasonDays(season), tyreSets(season), whatWorked(season), driverDays(season)]),
  'goal 100 ms',
)
