import * as z from 'zod'
import { REGISTRY } from './registry'

type Registry = typeof REGISTRY
export type Kind = keyof Registry
/** Every kind but the build itself, which the others are parts of. */
export type PartKind = Exclude<Kind, 'build'>

/** Kinds of which a stage has one, that holds until another stage has its own. */
export type CarriedKind = {
  [K in PartKind]: Registry[K]['isCarriedOn'] extends true ? K : never
}[PartKind]

export const KINDS = Object.keys(REGISTRY) as [Kind, ...Kind[]]
export const PART_KINDS = KINDS.filter((kind): kind is PartKind => kind !== 'build')

/** Something for each kind of record. */
const ofEach = <T>(kinds: readonly Kind[], made: (kind: Kind) => T) =>
  Object.fromEntries(kinds.map((kind) => [kind, made(kind)]))

/** The schema of each kind of record. */
export const RECORDS = ofEach(KINDS, (kind) => REGISTRY[kind].record) as {
  readonly [K in Kind]: Registry[K]['record']
}
export type RecordOf<K extends Kind> = z.infer<Registry[K]['record']>
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
export type Run = Stored<'run'>
export type Limit = Stored<'limit'>
export type Service = Stored<'service'>
export type Job = Stored<'job'>
/** A photograph of a job. */
export type Picture = Stored<'picture'>
export type Wait = Stored<'wait'>
/** A part that is to come. */
export type PartToCome = Stored<'part'>
export type Budget = Stored<'budget'>
export type FirstGuess = Stored<'firstGuess'>
export type QuickRelease = Stored<'quickRelease'>
export type Hand = Stored<'hand'>
export type FixedDate = Stored<'fixedDate'>
export type Seal = Stored<'seal'>
export type Steering = Stored<'steering'>
export type Fitment = Stored<'fitment'>
export type AeroElement = Stored<'aeroElement'>
export type CoastDown = Stored<'coastDown'>
export type DownforceTest = Stored<'downforceTest'>
export type Attitude = Stored<'attitude'>
export type Geometry = Stored<'geometry'>
export type BodyCheck = Stored<'bodyCheck'>
export type Suspension = Stored<'suspension'>
export type Setup = Stored<'setup'>
export type Alignment = Stored<'alignment'>
export type TyreReading = Stored<'tyreReading'>
export type Brakes = Stored<'brakes'>
export type BrakeReading = Stored<'brakeReading'>
export type SheetStock = Stored<'sheetStock'>
export type Rulebook = Stored<'rulebook'>
export type Scrutiny = Stored<'scrutiny'>
export type Load = Stored<'load'>
export type Condition = Stored<'condition'>
export type Course = Stored<'course'>
export type LapBasis = Stored<'lapBasis'>
export type Instrument = Stored<'instrument'>
export type Branch = Stored<'branch'>

/** Where the records of a kind stand in a document. */
export const COLLECTION = ofEach(PART_KINDS, (kind) => REGISTRY[kind].collection) as {
  readonly [K in PartKind]: Registry[K]['collection']
}

/** Which record those of a kind hang from, and the field that names it. */
export const PARENT = ofEach(PART_KINDS, (kind) => REGISTRY[kind].parent) as {
  readonly [K in PartKind]: Registry[K]['parent']
} & Readonly<Record<PartKind, { kind: PartKind; field: string } | null>>

/** What a person calls one of a kind. */
export const KIND_WORDS = ofEach(KINDS, (kind) => REGISTRY[kind].words.one) as Readonly<Record<Kind, string>>
/** And several. */
export const KINDS_WORDS = ofEach(KINDS, (kind) => REGISTRY[kind].words.many) as Readonly<
  Record<Kind, string>
>

export const version = z.int().min(0)

/** A stored record as the plain record it stores. */
export const withoutVersion = <T extends { version: number }>({
  version: _,
  ...record
}: T): Omit<T, 'version'> => record

/** One of each collection of a build, as `made` makes it. */
export const eachCollection = <T>(made: (kind: PartKind) => T): Record<string, T> =>
  Object.fromEntries(PART_KINDS.map((kind) => [COLLECTION[kind], made(kind)]))

type DocumentShape = { build: z.ZodType<Build> } & {
  [K in PartKind as Registry[K]['collection']]: z.ZodArray<z.ZodType<Stored<K>>>
}

const documentShape: Record<string, z.ZodType> = {
  build: RECORDS.build.safeExtend({ version }),
  ...eachCollection((kind) => z.array(RECORDS[kind].safeExtend({ version }))),
}
/** A whole build as it stands, each record with the version that an edit of it must name. */
export const buildDocument = z.strictObject(documentShape as DocumentShape)
export type BuildDocument = { build: Build } & {
  [K in PartKind as Registry[K]['collection']]: Stored<K>[]
}

/** The records of a kind in a document. */
export function partsOf<K extends PartKind>(document: BuildDocument, kind: K): readonly Stored<K>[]
export function partsOf(document: BuildDocument, kind: PartKind): readonly Stored<PartKind>[] {
  return document[COLLECTION[kind]]
}
