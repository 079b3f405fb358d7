import { STANDARD_GRAVITY } from '@bold-ballast/core'
import type { Kind } from '../records/kinds'

export type Fields = Record<string, unknown>
export const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/**
 * Brings a record of one version to the next: what it lacks stands for what it meant without it.
 *
 * A record that has it already comes back as it is: histories were not stamped before version 8, so that records may
 * be newer than they say.
 */
export type RecordStep = (kind: Kind, record: Fields, buildId: string) => Fields

/** A record's group with what it lacks; left as it is where the record has no such group. */
const withGroup = (record: Fields, group: string, more: (inside: Fields) => Fields): Fields =>
  isFields(record[group]) ? { ...record, [group]: more(record[group]) } : record
const lacking =
  (fields: Fields) =>
  (inside: Fields): Fields => ({ ...fields, ...inside })

/** Ways to weigh other than four pads, springs, ballast, hours and money. */
const fromVersion1: RecordStep = (kind, record) => {
  switch (kind) {
    case 'build':
      return withGroup(
        { springs: null, ballast: null, growth: null, currency: '', ...record },
        'reference',
        lacking({ amounts: {} }),
      )
    case 'swap':
      return { workTime: null, cost: null, ...record }
    case 'line':
      return { role: 'part', weighing: null, fate: 'unsaid', fromLine: null, alsoAt: [], ...record }
    case 'weighIn': {
      const { corners, ...weighIn } = record
      const readings = corners === undefined ? {} : { readings: { method: 'fourPads', corners } }
      return withGroup({ checklist: null, ...readings, ...weighIn }, 'condition', lacking({ amounts: {} }))
    }
    default:
      return record
  }
}

/** More than one reading of the air a day, configurations, gears, and sizing. */
const fromVersion2: RecordStep = (kind, record) => {
  switch (kind) {
    case 'build':
      return { bridges: [], ...record }
    case 'dynoDay': {
      const { ambient, ...day } = record
      return {
        boostControl: 'none',
        gear: null,
        limits: null,
        sheetColumns: null,
        air: isFields(ambient) ? [{ time: null, ...ambient }] : [],
        ...day,
      }
    }
    case 'pull':
      return {
        configuration: '',
        time: null,
        channels: null,
        source: record['points'] ? 'file' : 'peaks',
        ...record,
      }
    default:
      return record
  }
}

/** Gears by stage, a shelf, lives, a season, steering, wheels and aero. */
const fromVersion3: RecordStep = (kind, record) => {
  switch (kind) {
    case 'build': {
      // Its gears are records of their own since: `upgradeFile` makes one of them.
      const { drivetrain: _, ...build } = record
      return build
    }
    case 'component':
      return {
        axle: null,
        flow: null,
        statedEthanol: 0,
        mass: null,
        life: null,
        spares: 0,
        replacement: null,
        replaces: null,
        ...record,
      }
    default:
      return record
  }
}

/** Shapes to cut, what a wing is made of, factors, stance, own sheets, logs of downforce. */
const fromVersion4: RecordStep = (kind, record) => {
  switch (kind) {
    case 'build':
      return { airLoads: { gust: 1.25, kerb: 1.2, wanted: 2 }, ...record }
    case 'aeroElement': {
      const mounted = withGroup(
        record,
        'mount',
        lacking({ topBolts: 2, topBoltDiameter: 0.006, spar: null, footing: null }),
      )
      const panelled = withGroup(mounted, 'panel', (panel) =>
        withGroup(
          { stockId: null, under: 0, rearWidth: null, cornerRadius: 0, ...panel },
          'struts',
          lacking({ kind: 'strut' }),
        ),
      )
      return { correction: null, lineId: null, ...panelled }
    }
    case 'mark':
      return { weight: 1, conditionId: null, gear: null, place: '', speed: null, ...record }
    case 'line':
      return { said: null, ...record }
    case 'outing':
      return { bestLap: null, ...record }
    default:
      return record
  }
}

/** Courses, what was tried apart from the build, who said a figure, and weigh tickets that are signed. */
const fromVersion5: RecordStep = (kind, record) => {
  switch (kind) {
    case 'build':
      return { doubts: null, ...record }
    case 'line':
      return { source: '', ...withGroup(record, 'said', lacking({ source: '' })) }
    case 'seal':
      return withGroup(record, 'figures', lacking({ ticket: null }))
    default:
      return record
  }
}

const SEA_LEVEL = { pressure: 101_325, temperature: 288.15 }

/** Days of parts, scales by name, slides, air by core and map, cores' shear, and instruments. */
const fromVersion6: RecordStep = (kind, record) => {
  switch (kind) {
    case 'build':
      return { lean: null, ...record }
    case 'line':
      return { changedOn: null, ...record }
    case 'outing':
      return { quarterMile: null, topSpeed: null, ...record }
    case 'weighIn':
      return { scale: '', ...record }
    case 'drivetrain':
      return withGroup(record, 'drive', lacking({ slide: null }))
    case 'sizing':
      return withGroup(
        withGroup(record, 'cooling', lacking({ oilCoolerPlace: 'own', heatAhead: 0 })),
        'air',
        (air) => withGroup(air, 'compressor', lacking({ reference: SEA_LEVEL })),
      )
    case 'sheetStock':
      return { coreShear: null, ...record }
    case 'seal':
      return withGroup(record, 'figures', lacking({ expectedWrong: null }))
    default:
      return record
  }
}

/**
 * The id of the drivetrain that had its build's: another one, and the same wherever it is met.
 *
 * @example drivetrainIdOf('00000000-0000-4000-8000-000000000001') // 'd21e7a11-0000-4000-8000-000000000001'
 */
export const drivetrainIdOf = (buildId: string): string => {
  const start = (parseInt(buildId.slice(0, 8), 16) ^ 0xd21e7a11) >>> 0
  return start.toString(16).padStart(8, '0') + buildId.slice(8)
}

/** No record has another's id: gears that were the build's had its id. */
const fromVersion7: RecordStep = (kind, record, buildId) =>
  kind === 'drivetrain' && record['id'] === buildId ? { ...record, id: drivetrainIdOf(buildId) } : record

/** Set-up, brakes and geometry by stage; pitch and roll that the springs say. */
const fromVersion8: RecordStep = (kind, record) => {
  switch (kind) {
    case 'attitude':
      return { braking: STANDARD_GRAVITY, cornering: STANDARD_GRAVITY, ...record }
    case 'outing':
      return { setupId: null, ...record }
    default:
      return record
  }
}

/** Lines that are drawn or logged; corners that go to one side: the usual course runs clockwise. */
const fromVersion9: RecordStep = (kind, record) => {
  if (kind !== 'course' || 'corners' in record) return record
  const sections: unknown[] = Array.isArray(record['sections']) ? record['sections'] : []
  return {
    line: null,
    corners: [],
    sectors: [],
    stretches: [],
    width: null,
    ...record,
    sections: sections.map((section) =>
      isFields(section) && typeof section['radius'] === 'number'
        ? { ...section, radius: -section['radius'] }
        : section,
    ),
  }
}

/** Days with runs on a course, what they cost and how they ended; where a logged line lies; marks on parts of a lap. */
const fromVersion10: RecordStep = (kind, record) => {
  switch (kind) {
    case 'outing':
      return { courseId: null, cost: null, fuelCost: null, tyreCost: null, result: null, take: [], ...record }
    case 'mark':
      return { part: '', ...record }
    case 'course':
      return isFields(record['line']) ? withGroup(record, 'line', lacking({ origin: null })) : record
    default:
      return record
  }
}

/** Jobs with hands, hours and what they wait for; where what came off lies. */
const fromVersion11: RecordStep = (kind, record) => {
  switch (kind) {
    case 'job': {
      const { done, ...job } = record
      return {
        state: done === true ? 'done' : 'toDo',
        doneOn: null,
        shortTime: null,
        longTime: null,
        promised: null,
        hands: 1,
        who: [],
        after: [],
        waits: [],
        parts: [],
        cure: null,
        notBefore: null,
        canWait: false,
        place: 'anywhere',
        tools: '',
        group: '',
        operation: '',
        swapId: null,
        markId: null,
        spells: [],
        ...job,
      }
    }
    case 'line':
      return { liesAt: '', soldFor: null, ...record }
    default:
      return record
  }
}

/** The step from each version, the first being that from version 1. */
export const RECORD_STEPS: readonly RecordStep[] = [
  fromVersion1,
  fromVersion2,
  fromVersion3,
  fromVersion4,
  fromVersion5,
  fromVersion6,
  fromVersion7,
  fromVersion8,
  fromVersion9,
  fromVersion10,
  fromVersion11,
]
