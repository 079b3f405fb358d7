import { describe, expect, it } from 'vitest'
import {
  buildDocument,
  buildFileJsonSchema,
  COLLECTION,
  newBuild,
  openApi,
  PARENT,
  PART_KINDS,
  RECORDS,
  withoutVersion,
} from '../index'
import { sampleForm } from '../testing/sampleBuild'

let counter = 0
const newId = () => `00000000-0000-4000-8000-${String((counter += 1)).padStart(12, '0')}`

describe('kinds', () => {
  it('each have a place in the document and a parent that comes before them', () => {
    for (const kind of PART_KINDS) {
      expect(buildDocument.shape).toHaveProperty(COLLECTION[kind])
      const parent = PARENT[kind]
      if (!parent) continue
      expect(PART_KINDS.indexOf(parent.kind)).toBeLessThan(PART_KINDS.indexOf(kind))
      expect(RECORDS[kind].shape).toHaveProperty(parent.field)
    }
  })
  it('lose nothing but the version when they lose it', () =>
    expect(withoutVersion({ id: 'a', version: 3, name: 'b' })).toEqual({ id: 'a', name: 'b' }))
})

describe('what is published', () => {
  it('a JSON Schema that names every collection and forbids what nobody knows', () => {
    const schema = buildFileJsonSchema() as {
      properties: Record<string, unknown>
      required: string[]
      additionalProperties: boolean
    }
    expect(Object.keys(schema.properties).sort()).toEqual([
      'aeroElements',
      'alignments',
      'attitudes',
      'bodyChecks',
      'brakeReadings',
      'brakes',
      'branches',
      'budgets',
      'build',
      'coastDowns',
      'components',
      'conditions',
      'courseSpeeds',
      'courses',
      'downforceTests',
      'drivetrains',
      'dynoDays',
      'firstGuesses',
      'fitments',
      'fixedDates',
      'format',
      'formatVersion',
      'gearsets',
      'geometries',
      'hands',
      'instruments',
      'jobs',
      'lapBases',
      'limits',
      'lines',
      'loads',
      'marks',
      'optionSets',
      'outings',
      'parts',
      'pictures',
      'pulls',
      'quickReleases',
      'rulebooks',
      'runs',
      'scrutinies',
      'seals',
      'services',
      'setups',
      'sheetStocks',
      'sizings',
      'stages',
      'steerings',
      'suspensions',
      'swaps',
      'tiltTests',
      'tyreReadings',
      'waits',
      'weighIns',
    ])
    expect(schema.required).toEqual(expect.arrayContaining(Object.keys(schema.properties)))
    expect(schema.additionalProperties).toBe(false)
  })
  it('an OpenAPI document in which every answer can be a problem', () => {
    const { paths } = openApi()
    const operations = Object.values(paths).flatMap((path) =>
      Object.entries(path).filter(([method]) => ['get', 'post', 'delete'].includes(method)),
    )
    expect(operations.length).toBeGreaterThanOrEqual(9)
    const withoutProblem = operations.filter(
      ([, o]) => !('default' in (o as { responses: object }).responses),
    )
    // Only the published schema can't go wrong.
    expect(withoutProblem).toHaveLength(1)
  })
})

describe('limits of records', () => {
  const build = newBuild(sampleForm, newId).build
  it.each([
    ['a wheelbase in millimetres', { wheelbase: 2575 }, /check the unit/],
    ['a tank of 45 m³', { baseFuel: 45 }, /over 500 l/],
    ['fuel as light as air', { fuelDensity: 0.7 }, /at least 500/],
    ['a seat on the other side of the street', { seat: { x: 40, y: 0, z: 0 } }, /over 20 m/],
    ['a discipline nobody runs', { discipline: 'rally' }, /track, drift or time attack/],
    ['a unit nobody knows', { units: { mass: 'stone' } }, /./],
  ])('refuse %s', (_what, wrong, message) => {
    expect(RECORDS.build.safeParse({ ...build, ...wrong }).error?.issues[0]?.message).toMatch(message)
  })
  it('trim names', () => expect(RECORDS.build.parse({ ...build, name: '  Wren ' }).name).toBe('Wren'))
})
