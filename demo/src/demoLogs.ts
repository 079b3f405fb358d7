import type { BuildDocument, BuildFile, Run } from '@bold-ballast/contract'
import { lapTime, axleCarOf, LogText, logOf, packLog } from '@bold-ballast/core'
import { simulatedLog } from '@bold-ballast/devices'
import { carAt, courseDrawn, runsOf } from '@bold-ballast/model'
import { gzipSync } from 'node:zlib'

/** Days of which there are logs, and how the logger was that day. */
const LOGGED: Readonly<Record<string, 'well' | 'nothing'>> = {
  'Longmere, wing holes': 'well',
  'Saltmarsh Loop, round 1': 'nothing',
}
/** A line that is typed lies nowhere; its log is told about a place at sea. */
const AT_SEA = { latitude: 0, longitude: 0 }
/** A receiver of ten samples a second wanders by so much, m. */
const WANDERS = 0.4
/** What the lines hold for each m/s² that the car slows by, Pa. */
const LINES = { front: 4.6e5, rear: 2.9e5 }

/**
 * What a simulated logger recorded of some runs: the laps that the car could do on the course's line, each as slow as it was
 * driven. On one day its sensor's battery was flat.
 *
 * @returns packed logs, by their runs
 */
export function demoLogs(file: BuildFile): { readonly runId: string; readonly bytes: Buffer }[] {
  const document = file as unknown as BuildDocument
  return document.outings.flatMap((day) => {
    const how = LOGGED[day.name]
    const course = document.courses.find((c) => c.id === day.courseId)
    const car = how && carAt(document, day.stageId).geared
    if (!how || !course || !car) return []
    const drawn = courseDrawn(course)
    const lap = lapTime(axleCarOf(car.run), drawn.lap)
    const runs = runsOf(document, day.id).filter((run) => !run.planned)
    return (how === 'nothing' ? runs.slice(0, 1) : runs).map((run) => {
      const { csv } = simulatedLog(lap, drawn.points, drawn.length, {
        rate: 10,
        wanders: WANDERS,
        seed: run.order,
        paces: timesOf(run).map((time) => time / lap.time),
        origin: course.line?.origin ?? AT_SEA,
        brakes: LINES,
      })
      return {
        runId: run.id,
        bytes: packed(how === 'well' ? csv : emptied(csv), `${day.date} run ${run.order}.csv`),
      }
    })
  })
}

const timesOf = (run: Run) => run.laps.flatMap(({ time }) => (time === null ? [] : [time]))

/** A file of a logger that ran, with a sensor that didn't. */
const emptied = (csv: string) =>
  csv
    .split('\n')
    .map((line, i) => (i === 0 || line === '' ? line : line.replace(/,[^,]*/g, ',')))
    .join('\n')

function packed(csv: string, name: string): Buffer {
  const reader = new LogText()
  reader.push(csv)
  const table = reader.end()
  return gzipSync(packLog(logOf(name, table, table.columns)))
}
