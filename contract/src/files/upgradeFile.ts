import { COLLECTION, PART_KINDS } from '../records/kinds'
import { recordFromVersion6 } from './recordFromVersion6'

type Fields = Record<string, unknown>
const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const each = (list: unknown, change: (record: Fields) => Fields): unknown =>
  Array.isArray(list) ? list.map((record: unknown) => (isFields(record) ? change(record) : record)) : list

const withAmounts = (condition: unknown): unknown =>
  isFields(condition) ? { amounts: {}, ...condition } : condition

/** What a build file of version 1 lacks: ways to weigh other than four pads, springs, ballast, hours and money. */
function fromVersion1(file: Fields): Fields {
  return {
    ...file,
    formatVersion: 2,
    build: isFields(file['build'])
      ? {
          ...{ springs: null, ballast: null, growth: null, currency: '' },
          ...file['build'],
          reference: withAmounts(file['build']['reference']),
        }
      : file['build'],
    swaps: each(file['swaps'], (swap) => ({ workTime: null, cost: null, ...swap })),
    lines: each(file['lines'], (line) => ({
      ...{ role: 'part', weighing: null, fate: 'unsaid', fromLine: null, alsoAt: [] },
      ...line,
    })),
    weighIns: each(file['weighIns'], ({ corners, ...weighIn }) => ({
      ...weighIn,
      readings: { method: 'fourPads', corners },
      condition: withAmounts(weighIn['condition']),
      checklist: null,
    })),
    tiltTests: [],
    loads: [],
    conditions: [],
  }
}

/** What version 2 lacks: more than one reading of the air a day, configurations, gears, and sizing. */
function fromVersion2(file: Fields): Fields {
  return {
    ...file,
    formatVersion: 3,
    build: isFields(file['build']) ? { drivetrain: null, bridges: [], ...file['build'] } : file['build'],
    dynoDays: each(file['dynoDays'], ({ ambient, ...day }) => ({
      ...{ boostControl: 'none', gear: null, limits: null, sheetColumns: null },
      air: isFields(ambient) ? [{ time: null, ...ambient }] : [],
      ...day,
    })),
    pulls: each(file['pulls'], (pull) => ({
      ...{ configuration: '', time: null, channels: null },
      source: pull['points'] ? 'file' : 'peaks',
      ...pull,
    })),
    sizings: [],
    optionSets: [],
    components: [],
  }
}

/** What version 3 lacks: gears by stage, a shelf, lives, a season, steering, wheels and aero. */
function fromVersion3(file: Fields): Fields {
  const { drivetrain, ...build } = isFields(file['build']) ? file['build'] : ({} as Fields)
  const stages = (Array.isArray(file['stages']) ? file['stages'] : []).filter(isFields)
  const first = stages.reduce<Fields | null>(
    (a, s) => (a && Number(a['order']) <= Number(s['order']) ? a : s),
    null,
  )
  const drive = isFields(drivetrain)
    ? {
        ...{ rollOut: null, tyreDiameter: null, rearSplit: 0.5, clutchTorque: null, clutchMass: 9 },
        ...drivetrain,
      }
    : null
  return {
    ...file,
    formatVersion: 4,
    build: isFields(file['build']) ? build : file['build'],
    // The one it had is its first stage's; an id is its own among records of a kind.
    drivetrains: drive && first ? [{ id: build['id'], stageId: first['id'], drive, note: '' }] : [],
    components: each(file['components'], (component) => ({
      ...{ axle: null, flow: null, statedEthanol: 0, mass: null, life: null, spares: 0 },
      ...{ replacement: null, replaces: null },
      ...component,
    })),
    gearsets: [],
    courseSpeeds: [],
    outings: [],
    services: [],
    steerings: [],
    fitments: [],
    aeroElements: [],
    coastDowns: [],
    rulebooks: [],
    scrutinies: [],
  }
}

const withGroup = (record: Fields, group: string, more: Fields): Fields =>
  isFields(record[group]) ? { ...record, [group]: { ...more, ...record[group] } } : record

/** What version 4 lacks: shapes to cut, what a wing is made of, factors, stance, own sheets, logs of downforce. */
function fromVersion4(file: Fields): Fields {
  return {
    ...file,
    formatVersion: 5,
    build: isFields(file['build'])
      ? { airLoads: { gust: 1.25, kerb: 1.2, wanted: 2 }, ...file['build'] }
      : file['build'],
    aeroElements: each(file['aeroElements'], (element) => {
      const panelled = withGroup(element, 'panel', {
        stockId: null,
        under: 0,
        rearWidth: null,
        cornerRadius: 0,
      })
      const mounted = withGroup(panelled, 'mount', {
        ...{ topBolts: 2, topBoltDiameter: 0.006, spar: null, footing: null },
      })
      return {
        ...{ correction: null, lineId: null },
        ...mounted,
        ...(isFields(mounted['panel']) && {
          panel: withGroup(mounted['panel'], 'struts', { kind: 'strut' }),
        }),
      }
    }),
    marks: each(file['marks'], (mark) => ({
      ...{ weight: 1, conditionId: null, gear: null, place: '', speed: null },
      ...mark,
    })),
    lines: each(file['lines'], (line) => ({ said: null, ...line })),
    outings: each(file['outings'], (outing) => ({ bestLap: null, ...outing })),
    jobs: [],
    seals: [],
    downforceTests: [],
    attitudes: [],
    sheetStocks: [],
  }
}

/** What version 5 lacks: courses, what was tried apart from the build, who said a figure, and weigh tickets that are signed. */
const fromVersion5 = (file: Fields): Fields => ({
  ...file,
  formatVersion: 6,
  build: isFields(file['build']) ? { doubts: null, ...file['build'] } : file['build'],
  lines: each(file['lines'], (line) => ({ source: '', ...withGroup(line, 'said', { source: '' }) })),
  seals: each(file['seals'], (seal) => withGroup(seal, 'figures', { ticket: null })),
  courses: [],
  branches: [],
})

/** What version 6 lacks: days of parts, scales by name, slides, air by core and map, cores' shear, and instruments. */
function fromVersion6(file: Fields): Fields {
  const collections = Object.fromEntries(
    PART_KINDS.map((kind) => [
      COLLECTION[kind],
      each(file[COLLECTION[kind]], (record) => recordFromVersion6(kind, record)),
    ]),
  )
  return {
    ...file,
    ...collections,
    formatVersion: 7,
    build: isFields(file['build']) ? recordFromVersion6('build', file['build']) : file['build'],
    instruments: [],
  }
}

const STEPS: readonly [from: number, step: (file: Fields) => Fields][] = [
  [1, fromVersion1],
  [2, fromVersion2],
  [3, fromVersion3],
  [4, fromVersion4],
  [5, fromVersion5],
  [6, fromVersion6],
]

/**
 * A build file of an older version as one of today's, so that what was exported once can always come back.
 *
 * @param json anything that was read as JSON; what is no older build file is given back as it is, for the
 * schema to judge
 * @example buildFile.parse(upgradeFile(JSON.parse(text)))
 */
export function upgradeFile(json: unknown): unknown {
  return STEPS.reduce(
    (file, [from, step]) => (isFields(file) && file['formatVersion'] === from ? step(file) : file),
    json,
  )
}
