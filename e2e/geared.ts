import { sampleBuild, sampleDrive, sampleDynoDay, samplePull } from '@bold-ballast/contract/sampleBuild'
import { buildSummary, type BuildFile, type Drive } from '@bold-ballast/contract'
import type { Page } from '@playwright/test'
import { randomUUID } from 'node:crypto'

const points = Array.from({ length: 60 }, (_, i) => ({
  speed: 210 + i * 9,
  torque: 320 - ((i - 34) / 4) ** 2,
}))

type Change = (drive: Drive) => object
type More = (file: BuildFile, stageId: string) => void

/** The file of a build with gears and a curve, so that the room has something to say. */
export function gearedFile(change: Change = (d) => d, more: More = () => undefined): BuildFile {
  const file = sampleBuild(randomUUID, { swaps: 0, linesEach: 0 })
  file.build.name = `Test ${file.build.id.slice(0, 6)}`
  file.build.baseMass = 1100
  const stageId = file.stages[0]!.id
  const day = sampleDynoDay(stageId, randomUUID())
  file.dynoDays.push(day)
  file.pulls.push({ ...samplePull(day.id, randomUUID()), points, source: 'file', peakPower: null, peakTorque: null, standsForStage: true }) // prettier-ignore
  const drive = sampleDrive()
  file.drivetrains.push({ id: randomUUID(), stageId, drive: { ...drive, ...change(drive) }, note: '' })
  more(file, stageId)
  return file
}

/** Adds such a build over the API, and gives the address of its views. */
export async function geared(page: Page, change?: Change, more?: More) {
  const response = await page.request.post('/api/v1/builds', { data: gearedFile(change, more) })
  const { id, stages } = buildSummary.parse(await response.json())
  return (view = '') => `/builds/${id}/stages/${stages[0]!.id}/driveline${view && `?view=${view}`}`
}
