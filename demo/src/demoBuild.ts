import { emberShop } from './shop/ember'
import { nightjarShop } from './shop/nightjar'
import type { ShopData } from './shop/ShopData'
import { afterwards } from './shop/afterwards'
import { shopRecords } from './shop/shopRecords'
import { wrenShop } from './shop/wren'
import {
  blankLap,
  blankRun,
  BUILD_FILE_FORMAT,
  FORMAT_VERSION,
  usualConditions,
  type AeroElement,
  type Alignment,
  type Attitude,
  type BodyCheck,
  type BrakeReading,
  type Brakes,
  type DownforceTest,
  type LapBasis,
  type Seal,
  type SheetStock,
  type Build,
  type BuildFile,
  type BuildDocument,
  type CoastDown,
  type Component,
  type Course,
  type CourseSpeeds,
  type Drive,
  type DynoDay,
  type Fitment,
  type Gearset,
  type Geometry,
  type Instrument,
  type Limit,
  type Line,
  type Mark,
  type OptionSet,
  type Outing,
  type Pull,
  type Rulebook,
  type Run,
  type Scrutiny,
  type Service,
  type Setup,
  type Sizing,
  type Stage,
  type Steering,
  type Suspension,
  type TyreReading,
  type WeighIn,
} from '@bold-ballast/contract'
import { ledgerIndex } from '@bold-ballast/model'
import { sealedFiguresOf } from '@bold-ballast/words'
import {
  aboard,
  basePoint,
  massState,
  pointOf,
  type Grade,
  type LineKind,
  type Position,
} from '@bold-ballast/core'
import { createHash } from 'node:crypto'
import { triedBranches, type TriedData } from './triedBranches'
import { engineCurve, engineLog, type EngineData } from './engineCurve'
import { noise } from './noise'
import { simulateLaps, type LapsData } from './simulateLaps'
import { simulateRide, type RiddenData } from './simulateRide'
import { simulateCoastDown, type RollingData } from './simulateCoastDown'

/** A settled id from a name, so that the demo is the same on every machine. */
export function idFor(name: string): string {
  const hex = createHash('sha256').update(`bold-ballast demo ${name}`).digest('hex')
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`
}

/** [way, part, system, kg each, grade, place in mm, more] */
export type LineData = readonly [
  LineKind,
  string,
  Line['system'],
  number,
  Grade,
  readonly [number, number, number] | null,
  {
    pcs?: number
    open?: true
    to?: readonly [number, number, number]
    sigma?: number
    fate?: Line['fate']
    allowance?: true
    /** Who says so. */
    source?: string
    said?: readonly [kilograms: number, grade: 'guess' | 'claim', source: string]
  }?,
]
export type SwapData = readonly [
  name: string,
  lines: readonly LineData[],
  effort?: { hours?: number; cost?: number },
]

export interface StageData {
  readonly name: string
  readonly plannedKw?: number
  readonly plannedGrade?: Grade
  readonly note?: string
  readonly swaps: readonly SwapData[]
  readonly marks?: readonly (readonly [
    Mark['measure'],
    Mark['comparator'],
    number,
    Partial<Pick<Mark, 'tolerance' | 'weight' | 'gear' | 'place' | 'speed'>>?,
  ])[]
  readonly weighIns?: readonly WeighInData[]
  readonly tiltTests?: readonly TiltTestData[]
  readonly dynoDays?: readonly DynoDayData[]
  readonly sizing?: SizingData
  readonly optionSets?: readonly OptionSetData[]
  readonly drivetrain?: Drive
  readonly components?: readonly ComponentData[]
  /** The set-up sheet by its number. */
  readonly outings?: readonly DayData[]
  readonly suspension?: OfStage<Suspension>
  readonly geometry?: OfStage<Geometry>
  /** Wings by their names. */
  readonly setups?: readonly (Omit<OfStage<Setup>, 'wings'> & {
    readonly wings: readonly { readonly wing: string; readonly hole: string; readonly angle: number | null }[]
  })[]
  readonly alignments?: readonly OnSheet<Alignment>[]
  readonly tyreReadings?: readonly OnSheet<TyreReading>[]
  readonly brakes?: Omit<OfStage<Brakes>, 'alternatives'> & {
    readonly alternatives: readonly (Omit<Brakes['alternatives'][number], 'id'> & { readonly key: string })[]
  }
  readonly brakeReadings?: readonly OfStage<BrakeReading>[]
  readonly bodyChecks?: readonly OfStage<BodyCheck>[]
  /** The component by its name. */
  readonly services?: readonly (Omit<OfStage<Service>, 'componentId'> & {
    readonly component: string | null
  })[]
  readonly seal?: Omit<OfStage<Seal>, 'reopened' | 'figures'>
  readonly steering?: OfStage<Steering>
  readonly lapBasis?: OfStage<LapBasis>
  readonly fitment?: OfStage<Fitment>
  readonly scrutiny?: Omit<OfStage<Scrutiny>, 'rulebookId'>
  readonly coastDowns?: readonly (Omit<OfStage<CoastDown>, 'runs' | 'air'> & {
    readonly air: readonly [celsius: number, kPa: number, humidity: number]
    /** What the runs are made from. */
    readonly of: RollingData
  })[]
  readonly attitude?: OfStage<Attitude>
  readonly downforceTests?: readonly (Omit<OfStage<DownforceTest>, 'runs' | 'air'> & {
    readonly air: readonly [celsius: number, kPa: number, humidity: number]
    /** The wing that was turned, by its name, and what the runs are made from. */
    readonly wing: string | null
    readonly of: RiddenData
  })[]
  readonly aero?: readonly (Omit<
    OfStage<AeroElement>,
    'order' | 'note' | 'replaces' | 'offStageId' | 'panel' | 'mount' | 'correction' | 'lineId'
  > &
    Partial<Pick<AeroElement, 'panel' | 'mount'>> & {
      /** By its name. */
      readonly replaces?: string
    })[]
}
/** A day with its runs; the course by its name. */
export interface DayData extends Omit<
  OnSheet<Outing>,
  'courseId' | 'cost' | 'fuelCost' | 'tyreCost' | 'result' | 'take'
> {
  readonly course?: string
  readonly cost?: number
  readonly fuelCost?: number
  readonly tyreCost?: number
  readonly result?: Outing['result']
  readonly take?: Outing['take']
  readonly runs?: readonly RunData[]
}
/** A run as far as it differs from one of which nothing is known; laps made from a driver and his tyres, or as they were. */
export interface RunData extends Partial<
  Omit<Run, 'id' | 'outingId' | 'version' | 'setupId' | 'order' | 'laps'>
> {
  readonly setup?: number
  readonly driven?: LapsData
  readonly laps?: readonly Partial<Run['laps'][number]>[]
}
/** One that names its set-up sheet by number. */
type OnSheet<T> = Omit<OfStage<T>, 'setupId'> & { readonly setup?: number }
/** A record without what only a stored record of a stage has. */
type OfStage<T> = Omit<T, 'id' | 'stageId' | 'version'>
/** What most components have none of is left out. */
const BARE = {
  axle: null,
  flow: null,
  statedEthanol: 0,
  mass: null,
  life: null,
  spares: 0,
  replacement: null,
  replaces: null,
} as const
type ComponentData = Omit<OfStage<Component>, 'order' | keyof typeof BARE> &
  Partial<Pick<Component, keyof typeof BARE>>
/** As in the records, without what only a stored record has. */
type Electrics = NonNullable<Sizing['electrics']>
export interface SizingData extends Omit<Sizing, 'id' | 'stageId' | 'version' | 'note' | 'electrics'> {
  readonly electrics:
    | (Omit<Electrics, 'circuits'> & {
        readonly circuits: readonly Omit<Electrics['circuits'][number], 'id'>[]
      })
    | null
}
export interface OptionSetData {
  readonly name: string
  readonly options: readonly Omit<OptionSet['options'][number], 'id'>[]
}
export interface WeighInData {
  readonly date: string
  readonly fuelLitres: number
  readonly driver?: number
  /** Cross share that the springs were set to. */
  readonly cross: number
  /** What stands in no ledger: kg and where, mm. */
  readonly unbooked?: readonly [number, readonly [number, number, number]]
  readonly pressureBar?: readonly [number, number]
  readonly accuracy?: number
  readonly resolution?: number
  readonly method?: 'twoPads'
  /** Name of the scale; left out where nobody noted it. */
  readonly scale?: string
  /** What was done before; left out, nobody wrote it down. Level in mm. */
  readonly setup?: Partial<Omit<NonNullable<WeighIn['checklist']>, 'level'>> & { level?: number }
  readonly note: string
}
export interface TiltTestData {
  readonly date: string
  readonly raised: 'front' | 'rear'
  readonly radius: number
  /** Height of the centre of mass that the readings come from, m. */
  readonly height: number
  readonly lifts: readonly number[]
  readonly mass: number
  readonly note: string
}
export interface DynoDayData {
  readonly date: string
  readonly dyno: string
  readonly kind: DynoDay['kind']
  readonly repeatability: number
  readonly fuel: string
  readonly ethanol: number | null
  readonly air: readonly [celsius: number, kPa: number, humidity: number] | null
  /** Where the air was read more than once: with the time in front. */
  readonly airs?: readonly (readonly [time: string, celsius: number, kPa: number, humidity: number])[]
  readonly gear?: number
  readonly boost?: DynoDay['boostControl']
  readonly sheet?: DynoDay['sheetCorrection']
  readonly note?: string
  readonly pulls: readonly PullData[]
}
export interface PullData {
  readonly name: string
  readonly config?: string
  readonly time?: string
  readonly stands?: true
  readonly grade?: Grade
  readonly curve?: EngineData
  readonly peak?: readonly [kW: number, rpm: number, newtonMetres: number, rpm: number]
  readonly note?: string
}

const place = (mm: readonly [number, number, number] | null | undefined): Position | null =>
  mm ? { x: mm[0] / 1000, y: mm[1] / 1000, z: mm[2] / 1000 } : null
const rpm = (value: number) => (value * Math.PI) / 30

/** A demo build as its JSON file holds it: what the car is, and its stages as tables. */
export interface DemoData {
  readonly facts: Omit<Build, 'id' | 'version'>
  readonly stages: readonly StageData[]
  readonly gearsets: readonly Omit<Gearset, 'id' | 'order' | 'version'>[]
  /** The first is the class that it is built for. */
  readonly rulebooks: readonly (Omit<Rulebook, 'id' | 'order' | 'version' | 'rules'> & {
    readonly rules: readonly Omit<Rulebook['rules'][number], 'id'>[]
  })[]
  readonly courseSpeeds: readonly Omit<CourseSpeeds, 'id' | 'order' | 'version'>[]
  readonly sheetStocks: readonly Omit<SheetStock, 'id' | 'order' | 'version'>[]
  readonly courses: readonly Omit<Course, 'id' | 'order' | 'version'>[]
  readonly limits: readonly Omit<Limit, 'id' | 'order' | 'version'>[]
  readonly instruments: readonly Omit<Instrument, 'id' | 'order' | 'version'>[]
  readonly tries: readonly TriedData[]
}

/** The day before a stage was first weighed or pulled: by then its parts were off and on. */
function partsDoneOn({ weighIns = [], dynoDays = [] }: StageData): string | null {
  const [first] = [...weighIns, ...dynoDays].map((day) => day.date).sort()
  return first ? new Date(Date.parse(first) - 86_400_000).toISOString().slice(0, 10) : null
}

/** The usual conditions, under settled ids; nothing in the demo was weighed without its coolant or oil. */
function demoConditions(build: DemoData['facts']) {
  let count = 0
  return usualConditions(build, () => idFor(`${build.name} condition ${(count += 1)}`))
}

const SHOPS: Readonly<Record<string, ShopData>> = { Wren: wrenShop, Ember: emberShop, Nightjar: nightjarShop }

/** Puts a build file together from the tables of a demo build. */
export function demoBuild({
  facts,
  stages,
  gearsets,
  courseSpeeds,
  rulebooks,
  sheetStocks,
  courses,
  limits,
  instruments,
  tries,
}: DemoData): BuildFile {
  const { loads, conditions } = demoConditions(facts)
  // Stated wet: full of everything but with the fuel that the build says.
  const amounts = Object.fromEntries(loads.map((load) => [load.id, 1]))
  const build = { ...facts, id: idFor(facts.name), reference: { ...facts.reference, amounts } }
  const file: BuildFile = {
    format: BUILD_FILE_FORMAT,
    formatVersion: FORMAT_VERSION,
    build,
    stages: [],
    swaps: [],
    lines: [],
    weighIns: [],
    tiltTests: [],
    dynoDays: [],
    pulls: [],
    marks: [],
    sizings: [],
    optionSets: [],
    drivetrains: [],
    gearsets: gearsets.map((set, order) => ({ id: idFor(`${build.name} set ${order}`), order, ...set })),
    courseSpeeds: courseSpeeds.map((course, order) => ({
      id: idFor(`${build.name} speeds ${order}`),
      order,
      ...course,
    })),
    components: [],
    outings: [],
    runs: [],
    services: [],
    jobs: [],
    pictures: [],
    waits: [],
    parts: [],
    budgets: [],
    firstGuesses: [],
    quickReleases: [],
    hands: [],
    fixedDates: [],
    seals: [],
    steerings: [],
    fitments: [],
    aeroElements: [],
    coastDowns: [],
    downforceTests: [],
    attitudes: [],
    geometries: [],
    bodyChecks: [],
    suspensions: [],
    setups: [],
    alignments: [],
    tyreReadings: [],
    brakes: [],
    brakeReadings: [],
    sheetStocks: sheetStocks.map((sheet, order) => ({
      id: idFor(`${build.name} sheet ${order}`),
      order,
      ...sheet,
    })),
    rulebooks: rulebooks.map(({ rules, ...book }, order) => ({
      id: idFor(`${build.name} rulebook ${order}`),
      order,
      ...book,
      rules: rules.map((rule, i) => ({ id: idFor(`${build.name} rule ${order} ${i}`), ...rule })),
    })),
    scrutinies: [],
    loads,
    conditions,
    courses: courses.map((course, order) => ({
      id: idFor(`${build.name} course ${order}`),
      order,
      ...course,
    })),
    lapBases: [],
    limits: limits.map((limit, order) => ({ id: idFor(`${build.name} limit ${order}`), order, ...limit })),
    instruments: instruments.map((instrument, order) => ({
      id: idFor(`${build.name} instrument ${order}`),
      order,
      ...instrument,
    })),
    branches: [],
  }
  const signed: Omit<Seal, 'version' | 'figures'>[] = []
  stages.forEach((data, order) => {
    const stageId = idFor(`${build.name} ${data.name}`)
    const named = (what: string) => idFor(`${build.name} ${data.name} ${what}`)
    const stage: Omit<Stage, 'version'> = {
      id: stageId,
      name: data.name,
      order,
      plannedWheelPower: data.plannedKw ? data.plannedKw * 1000 : null,
      plannedPowerGrade: data.plannedGrade ?? 'guess',
      note: data.note ?? '',
    }
    file.stages.push(stage)
    data.swaps.forEach(([name, lines, effort = {}], swapOrder) => {
      const swapId = named(`swap ${name}`)
      file.swaps.push({
        id: swapId,
        stageId,
        name,
        order: swapOrder,
        workTime: effort.hours === undefined ? null : effort.hours * 3600,
        cost: effort.cost ?? null,
        note: '',
      })
      lines.forEach(([kind, part, system, mass, grade, at, more = {}], lineOrder) => {
        file.lines.push({
          id: named(`line ${name} ${lineOrder}`),
          swapId,
          kind,
          name: part,
          system,
          mass,
          sigma: more.sigma ?? null,
          grade,
          quantity: more.pcs ?? 1,
          fitted: !more.open,
          changedOn: more.open ? null : partsDoneOn(data),
          position: place(at),
          movedTo: place(more.to),
          order: lineOrder,
          role: more.allowance ? 'allowance' : 'part',
          weighing: null,
          fate: more.fate ?? 'unsaid',
          liesAt: '',
          soldFor: null,
          fromLine: null,
          source: more.source ?? '',
          said: more.said ? { mass: more.said[0], grade: more.said[1], source: more.said[2] } : null,
          alsoAt: [],
        })
      })
    })
    data.marks?.forEach(([measure, comparator, value, more = {}]) =>
      file.marks.push({
        id: named(`mark ${measure}`),
        stageId,
        measure,
        comparator,
        value,
        tolerance: 0,
        weight: 1,
        conditionId: null,
        gear: null,
        place: '',
        part: '',
        speed: null,
        ...more,
      }),
    )
    data.weighIns?.forEach((weighIn, i) =>
      file.weighIns.push({
        id: named(`weigh-in ${i}`),
        stageId,
        ...weighed(build, file, stageId, weighIn, i),
      }),
    )
    data.tiltTests?.forEach((test, i) => {
      const random = noise(i + 5)
      const tilts = test.lifts.map((lift) => {
        const tan = Math.tan(Math.asin(lift / build.wheelbase))
        const gain = ((test.height - test.radius) * test.mass * tan) / build.wheelbase
        return { lift, gain: Math.round((gain + (random() - 0.5) * 0.8) * 2) / 2 }
      })
      file.tiltTests.push({
        id: named(`tilt test ${i}`),
        stageId,
        date: test.date,
        raised: test.raised,
        mass: test.mass,
        radius: test.radius,
        tilts,
        gainSigma: 0.5,
        liftSigma: 0.002,
        note: test.note,
      })
    })
    if (data.sizing) {
      const { electrics, ...rest } = data.sizing
      const circuits =
        electrics?.circuits.map((circuit, i) => ({ id: named(`circuit ${i}`), ...circuit })) ?? []
      file.sizings.push({
        id: named('sizing'),
        stageId,
        ...rest,
        electrics: electrics && { ...electrics, circuits },
        note: '',
      })
    }
    data.optionSets?.forEach(({ name, options }, i) =>
      file.optionSets.push({
        id: named(`options ${i}`),
        stageId,
        name,
        order: i,
        note: '',
        options: options.map((option, k) => ({ id: named(`option ${i} ${k}`), ...option })),
      }),
    )
    data.components?.forEach((component, i) =>
      file.components.push({ id: named(`component ${i}`), stageId, order: i, ...BARE, ...component }),
    )
    if (data.drivetrain)
      file.drivetrains.push({ id: named('drivetrain'), stageId, drive: data.drivetrain, note: '' })
    const onSheet = (number: number | undefined) => file.setups.find((s) => s.order === number)?.id ?? null
    data.setups?.forEach(({ wings, ...setup }) =>
      file.setups.push({
        id: idFor(`${build.name} sheet ${setup.order}`),
        stageId,
        ...setup,
        // Elements are named after what was said of them, which stands further down the file.
        wings: wings.map(({ wing, ...where }) => ({
          elementId: named(`aero ${data.aero?.findIndex((e) => e.name === wing)}`),
          ...where,
        })),
      }),
    )
    if (data.suspension) file.suspensions.push({ id: named('suspension'), stageId, ...data.suspension })
    if (data.geometry) file.geometries.push({ id: named('geometry'), stageId, ...data.geometry })
    data.alignments?.forEach(({ setup, ...alignment }, i) =>
      file.alignments.push({ id: named(`alignment ${i}`), stageId, setupId: onSheet(setup), ...alignment }),
    )
    data.tyreReadings?.forEach(({ setup, ...reading }, i) =>
      file.tyreReadings.push({ id: named(`tyres ${i}`), stageId, setupId: onSheet(setup), ...reading }),
    )
    if (data.brakes)
      file.brakes.push({
        id: named('brakes'),
        stageId,
        ...data.brakes,
        alternatives: data.brakes.alternatives.map(({ key, ...other }) => ({
          id: named(`brakes ${key}`),
          ...other,
        })),
      })
    data.brakeReadings?.forEach((reading, i) =>
      file.brakeReadings.push({ id: named(`brake reading ${i}`), stageId, ...reading }),
    )
    data.bodyChecks?.forEach((check, i) =>
      file.bodyChecks.push({ id: named(`body check ${i}`), stageId, ...check }),
    )
    data.outings?.forEach(({ setup, course, runs, ...outing }, i) => {
      const outingId = named(`outing ${i}`)
      const courseId = file.courses.find((c) => c.name === course)?.id ?? null
      file.outings.push({
        id: outingId,
        stageId,
        setupId: onSheet(setup),
        courseId,
        cost: null,
        result: null,
        take: [],
        fuelCost: null,
        tyreCost: null,
        ...outing,
      })
      runs?.forEach(({ setup: sheet, driven, laps, ...more }, k) =>
        file.runs.push({
          ...blankRun(outingId, named(`outing ${i} run ${k}`), k + 1),
          setupId: onSheet(sheet),
          laps: driven ? simulateLaps(driven) : (laps ?? []).map((lap) => ({ ...blankLap(null), ...lap })),
          ...more,
        }),
      )
    })
    data.services?.forEach(({ component, ...service }, i) =>
      file.services.push({
        id: named(`service ${i}`),
        stageId,
        ...service,
        componentId: file.components.find((c) => c.name === component)?.id ?? null,
      }),
    )
    if (data.seal) signed.push({ id: named('seal'), stageId, ...data.seal, reopened: null })
    if (data.lapBasis) file.lapBases.push({ id: named('lap basis'), stageId, ...data.lapBasis })
    if (data.steering) file.steerings.push({ id: named('steering'), stageId, ...data.steering })
    data.coastDowns?.forEach(({ air: [celsius, kPa, humidity], of, ...rest }, i) =>
      file.coastDowns.push({
        id: named(`coast-down ${i}`),
        stageId,
        ...rest,
        air: { temperature: celsius + 273.15, pressure: kPa * 1000, humidity },
        runs: simulateCoastDown(of, rest.mass + rest.equivalentMass, rest.mass),
      }),
    )
    data.aero?.forEach(({ replaces, ...element }, i) =>
      file.aeroElements.push({
        id: named(`aero ${i}`),
        stageId,
        order: file.aeroElements.length,
        panel: null,
        mount: null,
        correction: null,
        lineId: null,
        ...element,
        replaces: file.aeroElements.find((e) => e.name === replaces)?.id ?? null,
        offStageId: null,
        note: '',
      }),
    )
    data.downforceTests?.forEach(({ air: [celsius, kPa, humidity], of, wing, ...rest }, i) =>
      file.downforceTests.push({
        id: named(`downforce ${i}`),
        stageId,
        ...rest,
        air: { temperature: celsius + 273.15, pressure: kPa * 1000, humidity },
        runs: simulateRide(of, rest, file.aeroElements.find((e) => e.name === wing)?.id ?? null),
      }),
    )
    if (data.attitude) file.attitudes.push({ id: named('attitude'), stageId, ...data.attitude })
    if (data.scrutiny)
      file.scrutinies.push({
        id: named('scrutiny'),
        stageId,
        rulebookId: file.rulebooks[0]?.id ?? null,
        ...data.scrutiny,
      })
    if (data.fitment) file.fitments.push({ id: named('fitment'), stageId, ...data.fitment })
    data.dynoDays?.forEach((day, i) => {
      const dynoDayId = named(`dyno day ${i}`)
      const read = day.airs ?? (day.air ? [[null, ...day.air] as const] : [])
      const air = read.map(([time, celsius, kPa, humidity]) => ({
        time,
        temperature: celsius + 273.15,
        pressure: kPa * 1000,
        humidity,
      }))
      file.dynoDays.push({
        id: dynoDayId,
        stageId,
        date: day.date,
        dyno: day.dyno,
        kind: day.kind,
        repeatability: day.repeatability,
        fuel: day.fuel,
        ethanol: day.ethanol,
        boostControl: day.boost ?? 'none',
        gear: day.gear ?? null,
        air,
        sheetCorrection: day.sheet ?? 'observed',
        limits: null,
        sheetColumns: null,
        note: day.note ?? '',
      })
      day.pulls.forEach((pull, pullOrder) =>
        file.pulls.push(pullRecord(pull, dynoDayId, pullOrder, named(`pull ${i} ${pullOrder}`))),
      )
    })
  })
  const shop = SHOPS[build.name]
  if (shop) {
    const idOf = (what: string) => idFor(`${build.name} ${what}`)
    Object.assign(file, shopRecords(shop, idOf, idOf, file.outings))
    file.lines = afterwards(file.lines, shop.store)
  }
  // Signed with what its records say, as the server does it.
  for (const seal of signed)
    file.seals.push({
      ...seal,
      figures: sealedFiguresOf({ ...file } as unknown as BuildDocument, seal.stageId),
    })
  file.branches.push(...triedBranches(file, tries, (what) => idFor(`${build.name} ${what}`)))
  return file
}

function pullRecord(pull: PullData, dynoDayId: string, order: number, id: string): Omit<Pull, 'version'> {
  const [kW, atPower, newtonMetres, atTorque] = pull.peak ?? [null, null, null, null]
  return {
    id,
    dynoDayId,
    name: pull.name,
    order,
    grade: pull.grade ?? 'measured',
    standsForStage: pull.stands ?? false,
    configuration: pull.config ?? '',
    time: pull.time ?? null,
    source: pull.curve ? 'file' : 'peaks',
    points: pull.curve ? engineCurve(pull.curve) : null,
    channels: pull.curve?.log ? engineLog(pull.curve) : null,
    peakPower: kW && kW * 1000,
    peakPowerSpeed: atPower && rpm(atPower),
    peakTorque: newtonMetres,
    peakTorqueSpeed: atTorque && rpm(atTorque),
    note: pull.note ?? '',
  }
}

/** The pads' readings for the car as it stood: the books, what they miss, the springs' cross, and pad noise. */
function weighed(
  build: BuildFile['build'],
  file: BuildFile,
  stageId: string,
  data: WeighInData,
  seed: number,
): Omit<WeighIn, 'id' | 'stageId' | 'version'> {
  const resolution = data.resolution ?? 0.5
  const index = ledgerIndex(file as unknown as BuildDocument)
  const upTo = index.stages.slice(0, index.stages.findIndex((s) => s.id === stageId) + 1)
  const lines = upTo.flatMap((s) => index.swapsOf(s.id).flatMap((swap) => swap.lines)).filter((l) => l.fitted)
  const condition = { fuel: data.fuelLitres / 1000, driver: data.driver ?? 0, amounts: {} }
  const unbooked = data.unbooked
    ? [
        {
          mass: { value: data.unbooked[0], sigma: 0, grade: 'measured' as const },
          sign: 1 as const,
          position: place(data.unbooked[1]),
        },
      ]
    : []
  const state = massState([basePoint(build), ...lines.map(pointOf), ...aboard(condition, build), ...unbooked])
  const total = state.mass.value
  const front = 1 - state.centre.x.value / build.wheelbase
  const left = 0.5 + state.centre.y.value / ((build.trackFront + build.trackRear) / 2)
  // Three shares and a total fix four corners: FL = (front + left − cross + left·0 …) solved for the diagonal.
  const frontRight = (total * (front - left + data.cross)) / 2
  const frontLeft = total * front - frontRight
  const rearLeft = total * left - frontLeft
  const rearRight = total - frontLeft - frontRight - rearLeft
  const random = noise(Math.round(total * 10) + seed)
  const read = (kg: number) => Math.round((kg + (random() - 0.5) * 2 * resolution) / resolution) * resolution
  const corners = {
    frontLeft: read(frontLeft),
    frontRight: read(frontRight),
    rearLeft: read(rearLeft),
    rearRight: read(rearRight),
  }
  const [frontBar, rearBar] = data.pressureBar ?? []
  const tyrePressures =
    frontBar && rearBar
      ? {
          frontLeft: frontBar * 1e5,
          frontRight: frontBar * 1e5,
          rearLeft: rearBar * 1e5,
          rearRight: rearBar * 1e5,
        }
      : null
  return {
    date: data.date,
    readings: { method: data.method ?? ('fourPads' as const), corners },
    checklist: data.setup
      ? {
          pressures: true,
          barsOff: true,
          settled: true,
          straight: true,
          driverIn: condition.driver > 0,
          ...data.setup,
          level: data.setup.level === undefined ? null : data.setup.level / 1000,
        }
      : null,
    scale: data.scale ?? '',
    resolution,
    accuracy: data.accuracy ?? 0.003,
    condition,
    tyrePressures,
    note: data.note,
  }
}
