import { axleCarOf, exchangeRate, lapTime, rateDraws, ratesOf, type AxleCar } from '@bold-ballast/core'
import { demo } from '@bold-ballast/demo'
import { carAt, courseDrawn, finalDriveLine, lapDoubts, wingLines, withWing } from '@bold-ballast/model'
import type { BuildDocument } from '@bold-ballast/contract'
import { performance } from 'node:perf_hooks'
import { median, say } from './median'

/** Laps of the demo's Nightjar on Longmere, 5.1 km: one, its exchange rates with their doubt, wings by final drives. */
const HANDS = 2
const document = demo.builds().find((b) => b.build.name === 'Nightjar') as unknown as BuildDocument
const car = carAt(document, document.stages.find((s) => s.name === 'Big wing')!.id)
const { lap, coarse } = courseDrawn(document.courses.find((c) => c.name === 'Longmere')!)
const axles = axleCarOf(car.geared!.run)
const keys = ratesOf(axles)
say(
  `A lap of 5.1 km at 2 m, ${lap.sections.length} pieces`,
  median(() => lapTime(axles, lap)),
  'goal 15 ms',
)
const rates = median(() => keys.forEach((key) => exchangeRate(axles, lap, key)))
const doubt = median(() => [...rateDraws(axles, coarse, lapDoubts(car), keys, [0, 12], 10)])
say(`${keys.length} exchange rates with their doubt, two hands`, (rates + doubt) / HANDS, 'goal 400 ms')
const wing = wingLines(car, axles)[0]!
const finals = finalDriveLine(axles)!
const combinations: AxleCar[] = wing.values.flatMap((angle) =>
  finals.cars.map((one) => ({ ...withWing(car, axles, wing.element, angle), drive: one.drive })),
)
const started = performance.now()
for (const one of combinations) lapTime(one, lap)
say(
  `${combinations.length} wings by final drives at 2 m, two hands`,
  (performance.now() - started) / HANDS,
  'goal 4,000 ms for 200',
)
