import { applyEdits, stageNamed, type BuildDocument, type Edit, type Mark } from '@bold-ballast/contract'
import {
  documentFrom,
  sampleComponent,
  sampleCourse,
  sampleDynoDay,
  sampleInstrument,
  sampleOuting,
  samplePull,
  sampleBrakes,
  sampleRun,
  sampleSetup,
  sampleSuspension,
} from '@bold-ballast/contract/sampleBuild'
import { doubtName, known, named, simulateWork } from '@bold-ballast/core'
import { carAt } from '../car/carAt'
import { curveAt } from '../car/curveAt'
import { readMark } from '../marks/markFigures'
import { lapOf } from '../course/lapOf'
import { foldBuild } from '../ledger/foldBuild'
import { readJobLine } from '../shop/readJobLine'
import { workNetworkOf } from '../shop/workNetworkOf'
import { askedFor, sampleMark, wholeCar } from './wholeCar'

const newId = () => crypto.randomUUID()

/** A day with one run on it, and a limit. */
const drivenDay = sampleOuting(newId(), newId())
const driven = {
  outings: [{ ...drivenDay, version: 1 }],
  runs: [{ ...sampleRun(drivenDay.id, newId(), [41.9, 41.2]), version: 1 }],
  setups: [],
  services: [],
  limits: [],
}

/** Two stages, the second pulled on a dyno that nobody bridged; a mark, a part that wears, a dyno that is noted. */
function exampleDocument(): { document: BuildDocument; stageId: string; second: string; third: string } {
  const { file, stageId } = wholeCar()
  const [second, third] = [newId(), newId()]
  file.stages.push(stageNamed('Second', 1, second), stageNamed('Third', 2, third))
  const day = { ...sampleDynoDay(third, newId()), date: '2026-06-02', dyno: 'Other rollers' }
  file.dynoDays.push(day)
  file.pulls.push({ ...samplePull(day.id, newId()), points: file.pulls[0]!.points, standsForStage: true })
  const own = { ...sampleDynoDay(second, newId()), date: '2026-05-02' }
  file.dynoDays.push(own)
  file.pulls.push({ ...samplePull(own.id, newId()), points: file.pulls[0]!.points, standsForStage: true })
  file.components.push(sampleComponent(stageId, newId(), 1))
  file.instruments.push({ ...sampleInstrument(newId()), name: 'Yard hubs', kind: 'dyno', ownError: 0.03 })
  file.marks.push(sampleMark(stageId, 'frontShare', { comparator: 'within', value: 0.5, tolerance: 0.01 }))
  file.outings.push(
    sampleOuting(stageId, newId(), {
      name: 'Strip, May',
      amounts: { hours: 1, laps: 0, launches: 3, trackDays: 1, heatCycles: 1 },
      quarterMile: 15,
    }),
  )
  return { document: documentFrom(file), stageId, second, third }
}

const { document, stageId, second, third } = exampleDocument()
const { ledger, summaries } = foldBuild(document)
const car = carAt(document, stageId)
const [stage] = ledger.stages
const drive = car.gears!.value
const curve = curveAt(foldBuild(document), 0)
const checked = [1.05, 1.06, 1.07, 1.05, 1.07].map((times, i) => ({
  build: 'Wren',
  line: `l${i}`,
  name: 'Part',
  system: 'body',
  grade: 'claim',
  source: '',
  said: 10,
  weighed: 10 * times,
}))
const usual = {
  growth: { guess: 0.1, claim: 0.03 },
  doubts: { guess: 0.2, claim: 0.07 },
  lean: { guess: 0.05, claim: 0.02 },
}
const shown = (value: number) => ({
  value: known(value, 'measured', 2),
  planned: known(value, 'guess', 10),
  evidence: true,
})
const lineMass = (mass: number): Edit[] => [
  { op: 'put', kind: 'line', record: { ...document.lines[0]!, kind: 'off', mass } },
]
const massless = applyEdits(document, lineMass(1510))
const mark = { ...sampleMark(stageId, 'mass', { value: 1000 }), version: 1 } as Mark

const sprung = { springRate: 80_000, motionRatio: 0.9, tyreRate: 220_000, threadPitch: 0.002 }
const { tank, seat, trackFront, trackRear } = document.build
const geometric = applyEdits(document, [
  {
    op: 'put',
    kind: 'geometry',
    record: {
      id: newId(),
      stageId,
      wheelbase: 2.32,
      trackFront,
      trackRear,
      tank,
      seat,
      cut: { at: 1.6, by: 0.08, behind: null },
      note: '',
      version: 1,
    },
  },
  { op: 'put', kind: 'setup', record: { ...sampleSetup(stageId, newId()), order: 3, version: 1 } },
])
const tilted = applyEdits(document, [
  {
    op: 'put',
    kind: 'tiltTest',
    record: {
      id: newId(),
      stageId,
      date: '2026-05-02',
      raised: 'rear',
      mass: 1200,
      radius: 0.3,
      tilts: [{ lift: 0.3, gain: 30 }],
      gainSigma: 0.5,
      liftSigma: 0.002,
      note: '',
      version: 1,
    },
  },
])

const sprungCar = carAt(
  applyEdits(document, [
    { op: 'put', kind: 'suspension', record: { ...sampleSuspension(stageId, newId()), version: 1 } },
    { op: 'put', kind: 'brakes', record: { ...sampleBrakes(stageId, newId()), version: 1 } },
  ]),
  stageId,
)

/** By file, what its examples call by a name. */
/** A log that says nothing, and a line that nobody knows a place of. */
const bareLog = { name: '', time: new Float32Array(), channels: [], origin: null }
const bareLine = {
  lap: { points: [], length: 100, closed: true, sectors: [] },
  points: [],
  corners: [],
  origin: null,
  isCourse: false,
  isPlaced: false,
}

const noWork = {
  document: { ...document, jobs: [], waits: [], parts: [], hands: [], fixedDates: [], outings: [] },
}
const reckoned = workNetworkOf(noWork.document, { from: 0, zone: 'UTC', library: null })
const workOutcome = simulateWork(reckoned.network, { draws: 10 })

export const EXAMPLE_VALUES: Readonly<Record<string, Readonly<Record<string, unknown>>>> = {
  'car/geometryOf': { document: geometric, stages: ledger.stages, stageId },
  'car/heightByTilt': { folded: foldBuild(tilted), document: tilted },
  'car/setupAt': { document: geometric, ledger, stage },
  'stance/balanceChanges': { car: sprungCar },
  'stance/ownChange': { car: sprungCar },
  'stance/barStiffness': { bar: sampleSuspension(stageId, newId()).front.bar },
  'stance/brakeFigures': { car: sprungCar },
  'stance/gapsAlong': { car: sprungCar },
  'stance/carStance': {
    build: { ...document.build, springs: { front: sprung, rear: sprung, turnStep: 0.25 } },
    suspension: null,
    setup: null,
    mass: known(1200, 'measured', 4),
    centre: { x: known(1.1, 'measured', 0.01), z: known(0.48, 'measured', 0.01) },
  },
  'branches/branchFigures': {
    weighed: shown(1100),
    planBefore: shown(1100),
    planAfter: shown(1088),
  },
  'branches/whatIfEdits': { document, ledger, stage, newId },
  'car/carAir': { car },
  'car/carAt': { document, stageId },
  'car/carriedAt': { document, ledger, stage },
  'car/curveAt': {},
  'car/fittedAt': { document, ledger, stage },
  'car/gearedCar': { car, drive, curve },
  'car/ladderOf': { document, stageId },
  'car/launches': { geared: car.geared, summary: summaries[0] },
  'car/lifeAt': { document, ledger, stage, car },
  'car/runDoubt': {
    car: car.geared,
    summary: summaries[0],
    course: sampleCourse(newId()),
    lapOf,
  },
  'car/lapFacts': { car },
  'course/assumedWorth': { car, course: sampleCourse(newId()) },
  'course/courseDrawn': { document: { courses: [sampleCourse(newId())] } },
  'course/fitLap': { car, course: sampleCourse(newId()) },
  'days/carOnSheet': { document, stageId, setupId: newId() },
  'days/countedLaps': { document: driven },
  'days/didItHelp': { document: driven },
  'days/dayLine': { log: bareLog, line: bareLine },
  'days/gripByCorner': {
    car,
    course: sampleCourse(newId()),
    line: bareLine,
    logged: { log: bareLog, found: { laps: [], distance: new Float64Array(), beside: 0 } },
  },
  'days/driverScatter': { line: bareLine },
  'days/lookAtLogs': { log: bareLog },
  'days/leastSpeeds': {
    line: bareLine,
    logged: { log: bareLog, found: { laps: [], distance: new Float64Array(), beside: 0 } },
  },
  'days/logHealth': {
    document: driven,
    log: bareLog,
  },
  'days/runHealth': { document: driven },
  'days/runsOf': { document: driven, outingId: driven.outings[0]!.id },
  'days/seasonDays': { document: driven },
  'days/shakedown': { document: driven },
  'days/timedOutings': { document: driven },
  'days/stintOf': { document: driven },
  'days/runReminders': {},
  'days/tyreSets': { document: driven },
  'days/whatWorked': { document: driven },
  'days/driverDays': { document: driven },
  'course/lapDoubt': { car, course: sampleCourse(newId()) },
  'course/lapDoubts': { car },
  'steps/lapGains': { document, stageId, course: sampleCourse(newId()), steps: [] },
  'course/plannedChanges': { car, document },
  'course/tradeCars': {},
  'course/lapOf': { car, course: sampleCourse(newId()) },
  'car/runningCar': { car, side: { curve: curve!.points, day: curve!.day } },
  'car/stanceAt': { car },
  'car/timedSpread': { document },
  'claims/claimsAudit': { checked, usual },
  'gains/dynosBetween': {
    document,
    bridge: named(0.95, 'measured', {
      [doubtName.dyno({ dyno: 'Hubs', kind: 'hub' })]: 0.028,
      [doubtName.pull('one')]: 0.0122,
    }),
  },
  'gains/gainChanges': { document, third: stageId, fourth: second },
  'gains/gainPowers': { document, second, third },
  'ledger/namedMass': { document, stageId },
  'ledger/foldBuild': { document },
  'ledger/instrumentNamed': { document },
  'ledger/kilosBySystem': { document },
  'ledger/massFault': {
    document: massless,
    edits: lineMass(1520),
    lightest: 1000,
    before: document.lines[0],
    after: { ...document.lines[0], mass: 3 },
  },
  'ledger/readTypedWeighIn': {
    document,
    typed: {
      id: newId(),
      stageId,
      date: '2026-05-01',
      resolution: 0.5,
      accuracy: 0.003,
      note: '',
      readings: { method: 'axles', front: 620, rear: 580 },
      condition: document.build.reference,
      checklist: null,
      tyrePressures: null,
      scale: '',
    },
  },
  'scales/bareCar': { build: document.build, summary: summaries[0] },
  'car/conditionShift': { car },
  'ledger/forecastOf': { document, car },
  'marks/chanceOfMark': { car, mark: { ...mark, value: car.mass.value + car.mass.sigma } },
  'marks/expectedWrong': {
    readings: [{ verdict: 'met', value: known(1000, 'measured', 10), judgement: { margin: 16.45 } }],
  },
  'marks/figuresInTurn': { document },
  'marks/markFigures': { document, stageId, asked: askedFor('topSpeed') },
  'marks/ruleValues': { document, stageId },
  'marks/otherwiseRead': { document },
  'marks/planOfRepeats': {
    dyno: { name: '', kind: 'dyno', scatter: 0.005, betweenDays: 0.01, own: 0.03, isUsual: true },
  },
  'marks/testInstrument': { document },
  'marks/testOfMark': { document, car, mark: { ...mark, value: car.mass.value + car.mass.sigma }, readMark },
  'steps/whatSettles': { car, mark, known },
  'marks/shortfall': { mark, reading: { value: known(1012.4, 'measured', 2) }, car },
  'proof/proofOf': { document, stageId },
  'steps/nextSteps': { document, stageId },
  'shop/workNetworkOf': noWork,
  'shop/easeWork': { reckoned, outcome: workOutcome },
  'shop/freeHours': { reckoned },
  'shop/movedWork': { reckoned },
  'shop/todayOf': { reckoned, outcome: workOutcome },
  'shop/reckonedDay': noWork,
  'shop/guessesOf': noWork,
  'shop/partsPlanned': { document: { ...noWork.document, lines: [], components: [], optionSets: [] } },
  'shop/moneyOfStages': noWork,
  'shop/workLibrary': noWork,
  'shop/readJobList': { known: { jobs: [], parts: [], people: [] } },
  'shop/readJobLine': { known: { jobs: [], parts: [], people: ['Tomasz'] } },
  'shop/withAnswers': { line: readJobLine('hood off 1h', { jobs: [], parts: [], people: [] }) },
}
