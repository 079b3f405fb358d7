import { COLLECTION, PART_KINDS, eachCollection } from '../records/kinds'
import { FORMAT_VERSION } from './formatVersion'
import { isFields, type Fields } from './recordSteps'
import { upgradeRecord } from './upgradeRecord'

const records = (list: unknown): Fields[] => (Array.isArray(list) ? list.filter(isFields) : [])

/** Gears of a build of version 3, as a record of its first stage's. */
function gearsOf(build: Fields, stages: Fields[]): Fields[] {
  const drive = build['drivetrain']
  const first = stages.reduce<Fields | null>(
    (a, s) => (a && Number(a['order']) <= Number(s['order']) ? a : s),
    null,
  )
  if (!isFields(drive) || !first) return []
  const lacked = { rollOut: null, tyreDiameter: null, rearSplit: 0.5, clutchTorque: null, clutchMass: 9 }
  return [{ id: build['id'], stageId: first['id'], drive: { ...lacked, ...drive }, note: '' }]
}

/** Collections that came with a later version. */
const LACKED = eachCollection(() => [])

/**
 * A build file of an older version as one of today's, so that what was exported once can always come back.
 *
 * @param json anything that was read as JSON; what is no older build file is given back as it is, for the
 * schema to judge
 * @example buildFile.parse(upgradeFile(JSON.parse(text)))
 */
export function upgradeFile(json: unknown): unknown {
  if (!isFields(json) || !isFields(json['build'])) return json
  const { formatVersion, build } = json
  const from = Number.isInteger(formatVersion) ? (formatVersion as number) : 0
  if (from < 1 || from >= FORMAT_VERSION) return json
  const buildId = String(build['id'])
  const whole: Fields = { ...LACKED, ...json, formatVersion: FORMAT_VERSION }
  if (from <= 3) whole['drivetrains'] = gearsOf(build, records(json['stages']))
  for (const kind of PART_KINDS) {
    const list = whole[COLLECTION[kind]]
    if (Array.isArray(list))
      whole[COLLECTION[kind]] = list.map((record: unknown) =>
        isFields(record) ? upgradeRecord(kind, record, from, buildId) : record,
      )
  }
  whole['build'] = upgradeRecord('build', build, from, buildId)
  return whole
}

/**
 * A document that a device has kept since an older version, as one of today's; its records keep their versions.
 *
 * @param from the version that it was kept in
 */
export function upgradeDocument(json: unknown, from: number): unknown {
  if (!isFields(json) || from === FORMAT_VERSION) return json
  const { formatVersion: _, ...document } = upgradeFile({ ...json, formatVersion: from }) as Fields
  return document
}
