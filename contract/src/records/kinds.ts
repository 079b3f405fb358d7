import * as z from 'zod'
import { aeroElementRecord } from './aero'
import { attitudeRecord, coastDownRecord, downforceTestRecord, sheetStockRecord } from './aeroProof'
import { branchRecord } from './branch'
import { buildRecord, stageRecord } from './build'
import { componentRecord } from './component'
import { conditionRecord, loadRecord } from './condition'
import { courseRecord } from './course'
import { dynoDayRecord, pullRecord } from './dyno'
import { tiltTestRecord, weighInRecord } from './evidence'
import { lineRecord, markRecord, swapRecord } from './ledger'
import { drivetrainRecord } from './drivetrain'
import { instrumentRecord } from './instrument'
import { courseSpeedsRecord, gearsetRecord } from './gearset'
import { rulebookRecord, scrutinyRecord } from './rulebook'
import { sealRecord } from './seal'
import { jobRecord, outingRecord, serviceRecord } from './season'
import { optionSetRecord, sizingRecord } from './sizing'
import { fitmentRecord, steeringRecord } from './wheels'

/** Every kind of record that a build is made of. The only definition of their shapes. */
export const RECORDS = {
  build: buildRecord,
  stage: stageRecord,
  swap: swapRecord,
  line: lineRecord,
  weighIn: weighInRecord,
  tiltTest: tiltTestRecord,
  dynoDay: dynoDayRecord,
  pull: pullRecord,
  mark: markRecord,
  sizing: sizingRecord,
  optionSet: optionSetRecord,
  drivetrain: drivetrainRecord,
  gearset: gearsetRecord,
  courseSpeeds: courseSpeedsRecord,
  component: componentRecord,
  outing: outingRecord,
  service: serviceRecord,
  job: jobRecord,
  seal: sealRecord,
  steering: steeringRecord,
  fitment: fitmentRecord,
  aeroElement: aeroElementRecord,
  coastDown: coastDownRecord,
  downforceTest: downforceTestRecord,
  attitude: attitudeRecord,
  sheetStock: sheetStockRecord,
  rulebook: rulebookRecord,
  scrutiny: scrutinyRecord,
  load: loadRecord,
  condition: conditionRecord,
  course: courseRecord,
  instrument: instrumentRecord,
  branch: branchRecord,
} as const

export type Kind = keyof typeof RECORDS
export const KINDS = Object.keys(RECORDS) as [Kind, ...Kind[]]
export type RecordOf<K extends Kind> = z.infer<(typeof RECORDS)[K]>
export type Stored<K extends Kind> = RecordOf<K> & { version: number }

export type Build = Stored<'build'>
export type Stage = Stored<'stage'>
export type Swap = Stored<'swap'>
export type Line = Stored<'line'>
export type WeighIn = Stored<'weighIn'>
export type TiltTest = Stored<'tiltTest'>
export type DynoDay = Stored<'dynoDay'>
export type Pull = Stored<'pull'>
export type Mark = Stored<'mark'>
export type Sizing = Stored<'sizing'>
export type OptionSet = Stored<'optionSet'>
export type Drivetrain = Stored<'drivetrain'>
/** What a drivetrain record says, without whose it is. */
export type Drive = Drivetrain['drive']
export type Gearset = Stored<'gearset'>
export type CourseSpeeds = Stored<'courseSpeeds'>
export type Component = Stored<'component'>
export type Outing = Stored<'outing'>
export type Service = Stored<'service'>
export type Job = Stored<'job'>
export type Seal = Stored<'seal'>
export type Steering = Stored<'steering'>
export type Fitment = Stored<'fitment'>
export type AeroElement = Stored<'aeroElement'>
export type CoastDown = Stored<'coastDown'>
export type DownforceTest = Stored<'downforceTest'>
export type Attitude = Stored<'attitude'>
export type SheetStock = Stored<'sheetStock'>
export type Rulebook = Stored<'rulebook'>
export type Scrutiny = Stored<'scrutiny'>
export type Load = Stored<'load'>
export type Condition = Stored<'condition'>
export type Course = Stored<'course'>
export type Instrument = Stored<'instrument'>
export type Branch = Stored<'branch'>

/** Where the records of a kind stand in a document, and which records they hang from. */
export const COLLECTION = {
  stage: 'stages',
  swap: 'swaps',
  line: 'lines',
  weighIn: 'weighIns',
  tiltTest: 'tiltTests',
  dynoDay: 'dynoDays',
  pull: 'pulls',
  mark: 'marks',
  sizing: 'sizings',
  optionSet: 'optionSets',
  drivetrain: 'drivetrains',
  gearset: 'gearsets',
  courseSpeeds: 'courseSpeeds',
  component: 'components',
  outing: 'outings',
  service: 'services',
  job: 'jobs',
  seal: 'seals',
  steering: 'steerings',
  fitment: 'fitments',
  aeroElement: 'aeroElements',
  coastDown: 'coastDowns',
  downforceTest: 'downforceTests',
  attitude: 'attitudes',
  sheetStock: 'sheetStocks',
  rulebook: 'rulebooks',
  scrutiny: 'scrutinies',
  load: 'loads',
  condition: 'conditions',
  course: 'courses',
  instrument: 'instruments',
  branch: 'branches',
} as const satisfies Record<Exclude<Kind, 'build'>, string>
export type PartKind = keyof typeof COLLECTION
export const PART_KINDS = Object.keys(COLLECTION) as PartKind[]

export const PARENT = {
  stage: null,
  swap: { kind: 'stage', field: 'stageId' },
  line: { kind: 'swap', field: 'swapId' },
  weighIn: { kind: 'stage', field: 'stageId' },
  tiltTest: { kind: 'stage', field: 'stageId' },
  dynoDay: { kind: 'stage', field: 'stageId' },
  pull: { kind: 'dynoDay', field: 'dynoDayId' },
  mark: { kind: 'stage', field: 'stageId' },
  sizing: { kind: 'stage', field: 'stageId' },
  optionSet: { kind: 'stage', field: 'stageId' },
  drivetrain: { kind: 'stage', field: 'stageId' },
  gearset: null,
  courseSpeeds: null,
  component: { kind: 'stage', field: 'stageId' },
  outing: { kind: 'stage', field: 'stageId' },
  service: { kind: 'stage', field: 'stageId' },
  job: { kind: 'stage', field: 'stageId' },
  seal: { kind: 'stage', field: 'stageId' },
  steering: { kind: 'stage', field: 'stageId' },
  fitment: { kind: 'stage', field: 'stageId' },
  aeroElement: { kind: 'stage', field: 'stageId' },
  coastDown: { kind: 'stage', field: 'stageId' },
  downforceTest: { kind: 'stage', field: 'stageId' },
  attitude: { kind: 'stage', field: 'stageId' },
  sheetStock: null,
  rulebook: null,
  scrutiny: { kind: 'stage', field: 'stageId' },
  load: null,
  condition: null,
  course: null,
  instrument: null,
  branch: { kind: 'stage', field: 'stageId' },
} as const satisfies Record<PartKind, { kind: PartKind; field: string } | null>

export const version = z.int().min(0)

/** A stored record as the plain record it stores. */
export const withoutVersion = <T extends { version: number }>({
  version: _,
  ...record
}: T): Omit<T, 'version'> => record

const stored = <K extends Kind>(kind: K) =>
  RECORDS[kind].safeExtend({ version }) as unknown as z.ZodType<Stored<K>>

/** A whole build as it stands, each record with the version that an edit of it must name. */
export const buildDocument = z.strictObject({
  build: stored('build'),
  stages: z.array(stored('stage')),
  swaps: z.array(stored('swap')),
  lines: z.array(stored('line')),
  weighIns: z.array(stored('weighIn')),
  tiltTests: z.array(stored('tiltTest')),
  dynoDays: z.array(stored('dynoDay')),
  pulls: z.array(stored('pull')),
  marks: z.array(stored('mark')),
  sizings: z.array(stored('sizing')),
  optionSets: z.array(stored('optionSet')),
  drivetrains: z.array(stored('drivetrain')),
  gearsets: z.array(stored('gearset')),
  courseSpeeds: z.array(stored('courseSpeeds')),
  components: z.array(stored('component')),
  outings: z.array(stored('outing')),
  services: z.array(stored('service')),
  jobs: z.array(stored('job')),
  seals: z.array(stored('seal')),
  steerings: z.array(stored('steering')),
  fitments: z.array(stored('fitment')),
  aeroElements: z.array(stored('aeroElement')),
  coastDowns: z.array(stored('coastDown')),
  downforceTests: z.array(stored('downforceTest')),
  attitudes: z.array(stored('attitude')),
  sheetStocks: z.array(stored('sheetStock')),
  rulebooks: z.array(stored('rulebook')),
  scrutinies: z.array(stored('scrutiny')),
  loads: z.array(stored('load')),
  conditions: z.array(stored('condition')),
  courses: z.array(stored('course')),
  instruments: z.array(stored('instrument')),
  branches: z.array(stored('branch')),
})
export type BuildDocument = z.infer<typeof buildDocument>

/** The records of a kind in a document. */
export const partsOf = <K extends PartKind>(document: BuildDocument, kind: K): readonly Stored<K>[] =>
  document[COLLECTION[kind]] as unknown as readonly Stored<K>[]
