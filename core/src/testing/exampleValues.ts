import { stretchesOf } from '../aero/coastErrors'
import { gripLimits } from '../days/gripUsed'
import { lapTime } from '../lap/lapTime'
import { logLaps, type LapLine } from '../days/logLaps'
import type { LoggedTrace } from '../days/lapTrace'
import { logText } from '../days/logText'
import type { RunLog } from '../days/RunLog'
import { carC, doubtsC } from './carC'
import { evenAxles } from './evenAxles'
import { fourJobs, fourJobsAlone } from './fourJobs'
import { brakesOfHandbook, carS, cornerS, sigmaS, standingS } from './carS'
import {
  EMPTY_FOLD,
  foldMass,
  known,
  massState,
  panelOutline,
  plateOf,
  SHEETS,
  usualLimits,
  type AeroElement,
  type Circuit,
  type CoolingSystem,
  type CornerSprings,
  type FittedWheel,
  type FuelSystem,
  type Gearing,
  type LapCar,
  type LedgerLine,
  type LifeMeasure,
  type Outing,
  type PullPoint,
  type RidePoint,
  type RideSetup,
  type Rule,
  type Supply,
} from '../index'
import { randomBits } from '../numeric/randomBits'
import { crewsOf } from '../work/crewsOf'
import { drawDurations, durationsOf } from '../work/durations'
import { simulateWork } from '../work/simulateWork'
import { notBefore, soonest } from '../work/soonest'
import { takeNext } from '../work/takeNext'
import { allowFollowers, arrive, freeAgain, startAnew, workSchedule } from '../work/WorkSchedule'

const rpm = (n: number) => (n * Math.PI) / 30
const every = (from: number, to: number, step: number): number[] =>
  Array.from({ length: Math.round((to - from) / step) + 1 }, (_, i) => from + i * step)

/** 250 N·m in the middle, less at both ends. */
const curve: readonly PullPoint[] = every(2000, 7000, 250).map((n) => ({
  speed: rpm(n),
  torque: 250 - ((n - 4500) / 250) ** 2 / 2,
}))
const gearing: Gearing = {
  ratios: [3.32, 1.99, 1.37, 1, 0.8],
  finalDrive: 4.1,
  between: 1,
  rollingRadius: 0.316,
  growth: 0.006,
  limiter: rpm(7000),
}
const load = { mass: 1280, dragArea: 0.78, rollingResistance: 0.015, airDensity: 1.2 }
const run: LapCar = {
  curve,
  ...gearing,
  shiftSpeed: rpm(6900),
  shiftTime: 0.3,
  launchSpeed: rpm(4500),
  ...load,
  driven: 'rear',
  frontShare: 0.53,
  wheelbase: 2.7,
  massHeight: 0.5,
  grip: 1.05,
  wheelInertia: 5,
  engineInertia: 0.19,
  downforceFront: 0.2,
  downforceRear: 0.3,
  ...evenAxles,
}
const axle = {
  mass: 1280,
  share: 0.47,
  lever: 0.19,
  driven: 'rear' as const,
  grip: 1.05,
  downforceArea: 0,
  airDensity: 1.2,
}
const trial = { car: run, load, axle, curve, threshold: rpm(4500), lap: null }
const launched = { ...run, clutchTorque: null, clutchMass: 8 }
/** A square of 100 m round, driven twice and a little more at 10 m/s, ten samples a second. */
const square: LapLine = {
  points: [
    { distance: 0, x: 0, y: 0 },
    { distance: 25, x: 25, y: 0 },
    { distance: 50, x: 25, y: 25 },
    { distance: 75, x: 0, y: 25 },
  ],
  length: 100,
  closed: true,
  sectors: [],
}
const onSquare = (at: number) => {
  const side = Math.floor(at / 25) % 4
  const along = at % 25
  return [
    [along, 0],
    [25, along],
    [25 - along, 25],
    [0, 25 - along],
  ][side]!
}
const ways = Array.from({ length: 222 }, (_, i) => i)
const squareLog: RunLog = {
  name: 'square',
  origin: null,
  time: Float32Array.from(ways, (i) => i / 10),
  channels: [
    { name: 'x', role: 'x', values: Float32Array.from(ways, (i) => onSquare(i)[0]!) },
    { name: 'y', role: 'y', values: Float32Array.from(ways, (i) => onSquare(i)[1]!) },
  ],
}
/** Slows from 40 to 20 m/s before 100 m, and goes on at that. */
/** A speed that comes and goes. */
const movingLog: RunLog = {
  ...squareLog,
  time: Float32Array.from({ length: 200 }, (_, i) => i / 10),
  channels: [
    { name: 'speed', role: 'speed', values: Float32Array.from({ length: 200 }, (_, i) => 20 + (i % 37)) },
  ],
}
/** One whole lap by a counter and a speed. */
const countedLog = {
  time: Float32Array.from(ways, (i) => i / 10),
  channels: [
    { name: 'lap', role: 'lap' as const, values: Float32Array.from(ways, (i) => Math.floor(i / 100)) },
    { name: 'speed', role: 'speed' as const, values: Float32Array.from(ways, () => 10) },
  ],
}
const squareTrace: LoggedTrace = {
  step: 10,
  time: Array.from({ length: 20 }, (_, i) => i / 3),
  channels: new Map([
    ['speed', Array.from({ length: 20 }, (_, i) => (i < 5 ? 40 : i < 10 ? 40 - 4 * (i - 5) : 20))],
  ]),
}

const element = (id: string, more: Partial<AeroElement>): AeroElement => ({
  id,
  name: id,
  kind: 'splitter',
  x: 0,
  z: 0,
  span: 1,
  chord: 1,
  lift: 0,
  drag: 0,
  wing: null,
  sealed: true,
  spread: 0.3,
  correction: null,
  ...more,
})
const shape = { foils: 1, angle: 0.1, endPlate: 0.2, gurney: 0, polar: [] } as const
const splitter = element('splitter', { x: -0.6, z: 0.08, span: 1.6, chord: 0.25, lift: 0.8, drag: 0.05 })
const wing = element('rear', { kind: 'wing', x: 2.9, z: 1.2, span: 1.6, chord: 0.3, wing: shape })
const elements = [splitter, wing]

const setup: RideSetup = {
  sensor: 'damper',
  motionRatio: { front: 0.94, rear: 0.9 },
  airDensity: 1.2,
  speedFactor: 1,
  wheelRate: { front: 90_000, rear: 95_000 },
}
/** Sunk as 0.31 and 0.62 m² make it, a little off each time. */
const ridden: readonly RidePoint[] = [28, 33, 39, 44, 50, 56, 61].map((speed, i) => {
  const q = 0.6 * speed ** 2
  const off = ((i % 3) - 1) * 1e-4
  return {
    speed,
    front: 0.03 + (0.31 * q * 0.94) / 180_000 + off,
    rear: 0.04 + (0.62 * q * 0.9) / 190_000 + off,
    held: 3,
  }
})

const rule = (id: string, more: Partial<Rule>): Rule => ({
  id,
  measure: 'wheelPower',
  comparator: 'atMost',
  limit: 150e3,
  wording: '',
  clause: '',
  ...more,
})
const springs: CornerSprings = {
  rates: { frontLeft: 38_000, frontRight: 38_000, rearLeft: 36_000, rearRight: 36_000 },
  halfTrackFront: 0.72,
  halfTrackRear: 0.72,
  toFront: 1.15,
  toRear: 1.25,
}
const driver = { mass: 84, left: 0.35, forward: -0.1 }

const on = (mass: number, more: Partial<LedgerLine> = {}): LedgerLine => ({
  kind: 'on',
  role: 'part',
  mass,
  sigma: null,
  grade: 'measured',
  quantity: 1,
  position: { x: 1, y: 0, z: 0.5 },
  movedTo: null,
  fitted: true,
  ...more,
})
const amounts = (trackDays: number): Readonly<Record<LifeMeasure, number>> => ({
  hours: 0,
  laps: 0,
  launches: 0,
  trackDays,
  heatCycles: 0,
})
const days = (...dates: string[]): Outing[] => dates.map((date) => ({ date, amounts: amounts(1) }))

const supply: Supply = {
  voltage: 13.8,
  allowedDrop: 0.03,
  alternatorIdle: 35,
  alternatorSpeed: 80,
  batteryCharge: 72_000,
  batteryMass: 5,
  classes: [{ name: 'Medium', count: 8, limit: 8, inrushLimit: 40 }],
}
const fuelPump: Circuit = {
  id: 'pump',
  name: 'Fuel pump',
  current: 12,
  inrush: 30,
  duty: 1,
  use: 'running',
  length: 3,
  returnWire: false,
  wireArea: null,
  fuse: null,
  channel: 'Medium',
}
const pump = {
  voltage: 13.5,
  points: [
    { pressure: 3e5, flow: 255 / 3.6e6 },
    { pressure: 5e5, flow: 190 / 3.6e6 },
  ],
}
const injectors = { count: 6, flow: 515e-6 / 60, ratedPressure: 3e5, deadTime: 0.9e-3, maxDuty: 0.85 }
const fuel: FuelSystem = {
  injectors,
  pumps: [{ name: 'In the tank', count: 1, curve: pump }],
  voltage: 13.5,
  railPressure: 3e5,
  regulator: 'referenced',
  lineBore: 0.008,
  lineLength: 4,
  spare: 0.1,
}
const demand = { power: 300e3, boost: 1.2e5, speed: 730, ethanol: 0.79, bsfc: 84.5e-9 }
const cooling: CoolingSystem = {
  coolantShare: 0.32,
  oilShare: 0.06,
  dutyCycle: 0.7,
  coreArea: 0.22,
  coreTransfer: 9000,
  ratedAirSpeed: 8,
  ductShare: 0.3,
  oilCoolerArea: 0.04,
  coolantVolume: 0.008,
  coolantDensity: 1050,
  thermostat: 355,
  blanking: 0,
  radiatorMass: 9,
  radiatorX: -0.3,
}
const island = [
  { flow: 0.12, ratio: 1.8, efficiency: 0.7 },
  { flow: 0.2, ratio: 2.2, efficiency: 0.75 },
  { flow: 0.3, ratio: 2.6, efficiency: 0.7 },
]
const air = {
  displacement: 0.0025,
  volumetricEfficiency: 0.95,
  lambda: 0.85,
  inletLoss: 2000,
  intercooler: { effectiveness: 0.7, pressureLoss: 7000, rating: null },
  compressor: null,
}
const wheel: FittedWheel = {
  rimWidth: 0.241,
  rimDiameter: 0.457,
  offset: 0.022,
  spacer: 0,
  tyreWidth: 0.265,
  tyreDiameter: 0.643,
}
const inside = { name: 'strut', side: 'inside' as const, gap: 0.012, wanted: 0.005 }
const hub = { bolts: 5, boltCircle: 0.1143, spigot: 0.067, leastRim: 0.432 }
const forecast = [
  { ...pointAt(800, 'measured'), id: 'shell', grows: false },
  { ...pointAt(40, 'guess'), id: 'cage', grows: true },
  { ...pointAt(20, 'claim'), id: 'seats', grows: true },
]
function pointAt(mass: number, grade: 'measured' | 'guess' | 'claim') {
  return { mass: known(mass, grade), sign: 1 as const, position: { x: 1.1, y: 0, z: 0.5 } }
}
const pads = (total: number, at: number) => ({
  at,
  corners: { frontLeft: total / 4, frontRight: total / 4, rearLeft: total / 4, rearRight: total / 4 },
})
const picture = {
  x: [
    { at: { x: 100, y: 400 }, value: 2000 },
    { at: { x: 500, y: 400 }, value: 7000 },
  ],
  y: [
    { at: { x: 100, y: 400 }, value: 0 },
    { at: { x: 100, y: 50 }, value: 300 },
  ],
}
const log = {
  speed: Float64Array.from(every(2000, 7000, 10), rpm),
  torque: Float64Array.from(every(2000, 7000, 10), (n) => 250 - ((n - 4500) / 250) ** 2 / 2),
}
const mapping = { torque: { column: 1, unit: 'N·m' }, speed: { column: 0, unit: 'rpm' }, decimal: '.' }
const unit = (symbol: string, factor: number, decimals: number) => ({ symbol, factor, decimals, aliases: [] })
const attitude = { sinkFront: 0.01, sinkRear: 0.012, pitch: 0.01, roll: 0.02, bump: 0.015 }
const plate = plateOf(SHEETS.aluminium, 0.004)

/** By file, what its examples call by a name. Values of a car that nobody would look at twice. */
/** A day on a dyno that repeats to 0.5 %. */
const dynoDay = { dyno: 'Hubs', kind: 'hub', date: '2026-05-02', repeatability: 0.005 }

export const EXAMPLE_VALUES: Readonly<Record<string, Readonly<Record<string, unknown>>>> = {
  'aero/aeroDraws': { elements },
  'aero/aeroSigma': { elements },
  'days/cornerMarks': { trace: squareTrace },
  'days/lapTrace': { log: squareLog, laps: logLaps(squareLog, square) },
  'days/logLaps': { log: squareLog, line: square },
  'days/gripShown': { log: squareLog },
  'days/gripUsed': { axleCar: carC, gripLimits },
  'days/logStretches': { log: squareLog },
  'days/rideOf': { log: squareLog },
  'days/brakesLogged': { log: squareLog },
  'days/gearsLogged': { log: squareLog },
  'days/workLogged': { log: squareLog, axleCar: carC },
  'days/cornerScatter': { trace: squareTrace },
  'days/joinLogs': { log: movingLog },
  'days/lapsByCounter': { log: countedLog },
  'days/logText': { table: logText(['time (s),speed (km/h)', '0,0', '0.1,36', '']) },
  'days/packLog': {
    log: {
      ...squareLog,
      channels: [{ name: 'speed', role: 'speed', values: new Float32Array(2) }],
      time: Float32Array.of(0, 1),
    },
  },
  'days/lapErrors': {
    columns: [Array.from({ length: 12 }, () => 1), Array.from({ length: 12 }, (_, i) => i)],
    times: Array.from({ length: 12 }, (_, i) => 90 + 0.1 * Math.sin(2.3 * i)),
    places: Array.from({ length: 12 }, (_, i) => ({ run: i < 6 ? '1' : '2', number: i + 1 })),
    offset: { seconds: 0.2, weight: 10 },
  },
  'days/changeEffect': {
    laps: Array.from({ length: 18 }, (_, i) => ({
      time: 90 + Math.exp(-i) - (i >= 6 && i < 12 ? 1 : 0) + 0.05 * (i % 2),
      on: i >= 6 && i < 12 ? 'B' : 'A',
      number: i + 1,
      session: 'one',
      run: String(Math.floor(i / 6)),
      fuel: null,
      air: null,
    })),
  },
  'aero/coastErrors': {
    stretches: stretchesOf(
      every(0, 40, 1).map((time) => ({ time, speed: 40 - time / 2, columns: [time], way: 30 * time })),
    ),
  },
  'aero/coastDown': {
    runs: (['out', 'back'] as const).map((direction) => ({
      direction,
      points: every(0, 40, 1).map((time) => ({ time, speed: 40 / (1 + 0.02 * time) - 0.1 * time })),
    })),
  },
  'aero/downforceFrom': { points: ridden, setup },
  'aero/elementAreas': { splitter },
  'aero/elementExtent': { wing, shape },
  'aero/pitchingMoment': { wing },
  'aero/regrade': { elements },
  'aero/steadyStretches': {
    rows: every(0, 20, 0.1).map((time) => ({ time, speed: time < 10 ? 30 : 45, front: 0.04, rear: 0.05 })),
  },
  'aero/trim': { elements },
  'course/lineFromPoints': {
    circlePoints: every(0, 39, 1).map((i) => ({
      x: 50 * Math.cos((i * Math.PI) / 20),
      y: 50 * Math.sin((i * Math.PI) / 20),
    })),
  },
  'course/lineFromBends': {
    circleReadings: every(0, 157, 1).map((i) => ({ time: i / 10, speed: 20, sideways: 8 })),
  },
  'course/crossingsOf': {
    figureOfEight: every(0, 59, 1).map((i) => ({
      distance: i,
      x: Math.sin(((i + 0.5) * Math.PI) / 30),
      y: Math.sin(((i + 0.5) * Math.PI) / 15),
    })),
  },
  'course/firstLap': {
    threeRounds: every(0, 120, 1).map((i) => ({
      x: 50 * Math.cos((i * Math.PI) / 20),
      y: 50 * Math.sin((i * Math.PI) / 20),
    })),
  },
  'course/cornersOf': {
    bends: [
      { distance: 0, curvature: 0 },
      { distance: 60, curvature: 0.02 },
      { distance: 100, curvature: 0 },
      { distance: 150, curvature: -0.01 },
      { distance: 190, curvature: 0 },
    ],
  },
  'lap/lapTime': { axleCar: carC },
  'lap/exchangeRates': { axleCar: carC },
  'lap/carOffBy': { axleCar: carC, doubts: doubtsC },
  'lap/drawnCar': { axleCar: carC, doubts: doubtsC },
  'mass/lineMass': { line: on(10) },
  'lap/lapSpread': {
    axleCar: carC,
    doubts: doubtsC,
    circle: { sections: [{ length: 188.5, radius: 30 }], closed: true },
  },
  'lap/rateDraws': {
    axleCar: carC,
    doubts: doubtsC,
    circle: { sections: [{ length: 188.5, radius: 30 }], closed: true },
  },
  'lap/lapParts': {
    lap: lapTime(carC, { sections: [{ length: 188.5, radius: 30 }], closed: true }),
  },
  'lap/LapCar': { car: run },
  'lap/gearPulls': { axleCar: carC },
  'lap/wheelForces': { axleCar: carC },
  'driveline/axleReactions': { axle },
  'driveline/slideRun': { axle, windows: [] },
  'driveline/compareGearings': { trial, gearing },
  'driveline/driftWindow': { gearing, curve, axle },
  'driveline/drivenAxle': { car: run },
  'driveline/gearing': {
    gearing: { ...gearing, ratios: [3.3, 1.9, 1.3, 1], rollingRadius: 0.6427 / 2, growth: 0 },
    curve,
    load,
  },
  'driveline/lapInGears': {
    gearing,
    points: [0, 10, 20].map((time, i) => ({ time, speed: [20, 50, 20][i] })),
  },
  'driveline/launch': { car: launched, speeds: every(3000, 6000, 500).map(rpm) },
  'driveline/shelf': { fitted: gearing, figures: { quarterMile: 13.2 } },
  'driveline/shiftPoints': { gearing, curve, load },
  'driveline/straightLine': { car: run },
  'driveline/weakLinks': {
    components: [
      {
        id: 'shafts',
        name: 'Half-shafts',
        kind: 'torque',
        shaft: 'halfshaft',
        rating: 2400,
        ratingSigma: 170,
      },
    ],
    load: {
      power: 250e3,
      torque: 400,
      ratios: [3.3, 1.9, 1],
      between: 1,
      finalDrive: 4.1,
      rollingRadius: 0.31,
      shock: 1,
      lockedDifferential: false,
      axles: { rear: { share: 1, tyreForces: [8000, 8000, 8000] } },
    },
  },
  'driveline/worthOfPower': { car: run },
  'forecast/forecastMass': { parts: forecast },
  'forecast/weighNext': { parts: forecast },
  'numeric/normalPair': { randomBits },
  'numeric/orWhy': {
    lapTime,
    axleCar: carC,
    circle: { sections: [{ length: 188.5, radius: 30 }], closed: true },
  },
  'gains/carChanges': {
    before: { mass: 1100, power: 180e3, run: null, course: null },
    changes: [
      { id: 'doors', mass: -50, power: null, run: {} },
      { id: 'tune', mass: 0, power: 200e3, run: {} },
    ],
  },
  'gains/gainSplit': {
    before: { mass: 1100, power: 180e3, run: null, course: null },
    changes: [
      { id: 'doors', mass: -50, power: null, run: {} },
      { id: 'tune', mass: 0, power: 200e3, run: {} },
    ],
  },
  'gains/shapley': { worth: (isIn: readonly boolean[]) => 100 + 2 * isIn.filter(Boolean).length },
  'life/lifeOf': {
    items: [{ id: 'pads', name: 'Pads', measure: 'trackDays', expected: 4, spread: 0.2, used: 3 }],
    outings: days('2026-04-01', '2026-05-01'),
  },
  'life/livesOf': {
    outings: days('2026-03-01', '2026-04-01', '2026-05-01', '2026-06-01'),
    events: [{ date: '2026-05-01', kind: 'failure', renewed: true }],
  },
  'mass/aboard': { carriers: { tank: { x: 2.6, y: 0, z: 0.4 }, seat: { x: 1.3, y: 0.35, z: 0.5 } } },
  'mass/creditOfSwap': { line: on(1) },
  'mass/whereKilosWent': { line: on(1) },
  'mass/drawDown': {
    on,
    allowance: (mass: number) => on(mass, { role: 'allowance', grade: 'guess', fitted: false }),
  },
  'power/checkPull': {
    pull: {
      points: [{ speed: rpm(7400), torque: 200 }],
      channels: null,
      peakPower: null,
      peakPowerSpeed: null,
      peakTorque: null,
      peakTorqueSpeed: null,
    },
    usualLimits,
    gears: { limiter: rpm(7000), overall: 4.1, overalls: [], rollingRadius: 0.31 },
  },
  'power/compareCurves': { stock: curve, long: curve.map((p) => ({ ...p, torque: p.torque + 6 })) },
  'power/curveFigures': { points: curve },
  'power/pulledPower': { day: dynoDay },
  'power/speedScatter': { points: curve },
  'power/guessColumns': { mapping, header: ['rpm', 'Run 1 Nm'] },
  'power/pull': { observed: curve, ambient: { temperature: 308.15, pressure: 95_000, humidity: 0 } },
  'power/readPicture': { axes: picture },
  'power/resamplePull': log,
  'power/printedPower': { air: { temperature: 308.15, pressure: 95_000, humidity: 0 } },
  'power/smoothCurve': { points: curve },
  'power/torqueTable': { curve },
  'rules/classEnvelope': {
    rules: [rule('wing', { measure: 'wingAboveRoof', limit: 0.15 })],
    outline: { wheelbase: 2.5, roofHeight: 1.3, bumperFront: 0.7, bumperRear: 0.6 },
  },
  'rules/classReport': {
    rules: [rule('mass', { measure: 'massWithDriver', comparator: 'atLeast', limit: 1000 })],
    known: known(1020, 'measured', 2),
    club: [rule('power', {})],
    open: [rule('power', { limit: 120e3 })],
  },
  'rules/costOfChange': { rules: [rule('power', {})], values: { wheelPower: known(145e3, 'proven', 1e3) } },
  'scales/ballast': {
    car: {
      mass: 770,
      centre: { x: 1.2, y: 0 },
      wheelbase: 2.4,
      track: 1.45,
      spots: [{ id: 'footwell', at: { x: 0.9, y: -0.4 }, limit: 25 }],
      plates: [{ mass: 5, count: 4 }],
    },
    solve: () => ({ n0_0: 2 }),
  },
  'scales/carriedBy': { car: springs },
  'scales/checklistCost': { facts: { springs, mass: 1050, level: 0.0015, driver } },
  'scales/cornerSprings': { car: springs },
  'scales/explainMissing': {
    missing: {
      mass: known(8, 'measured', 1),
      x: known(-0.2, 'measured', 0.2),
      y: known(0, 'measured', 0.2),
      region: [],
      canPlace: true,
    },
    open: [],
    names: ['Engine'],
  },
  'scales/fourPadWeighIn': { pad: { resolution: 0.5, accuracy: 0.003 } },
  'scales/moveInCar': {
    sprungCar: { wheelbase: 2.4, trackFront: 1.45, trackRear: 1.45, springs: null, mass: 880, x: 1.15, y: 0 },
  },
  'scales/levelCost': { car: springs },
  'scales/locateMissing': {
    books860at1150: foldMass(EMPTY_FOLD, [
      { mass: known(860, 'measured', 3), sign: 1, position: { x: 1.15, y: 0, z: 0.5 } },
    ]),
    scales872front5150: foldMass(EMPTY_FOLD, [
      { mass: known(872, 'measured', 1), sign: 1, position: { x: 1.164, y: 0, z: 0.5 } },
    ]),
  },
  'scales/padsSettled': { lastTwoSeconds: every(0, 2000, 100).map((at) => pads(880.2, at)) },
  'scales/perchTurns': {
    car: {
      springs,
      corners: { frontLeft: 232, frontRight: 218, rearLeft: 204, rearRight: 226 },
      motionRatio: { frontLeft: 1, frontRight: 1, rearLeft: 1, rearRight: 1 },
      pitch: { frontLeft: 0.002, frontRight: 0.002, rearLeft: 0.002, rearRight: 0.002 },
      step: 0.25,
    },
  },
  'scales/readScales': { pad: { resolution: 0.5, accuracy: 0.003 } },
  'scales/springsOf': { build: { wheelbase: 2.4, trackFront: 1.45, trackRear: 1.45, springs: null } },
  'sizing/airSystem': { system: air, demand: { ...demand, ethanol: 0 }, island },
  'sizing/compareOptions': {
    options: [
      {
        id: 'turbo',
        name: 'Turbo',
        items: [],
        power: 240e3,
        powerGrade: 'claim',
        workTime: 72_000,
        forces: [],
      },
    ],
    marks: [],
  },
  'sizing/cooling': { system: cooling },
  'sizing/electrics': { fuelPump, circuits: [fuelPump], supply },
  'sizing/fuelPump': { pump },
  'sizing/fuelSystem': { system: fuel, demand },
  'sizing/injectors': { injectors },
  'stage/judgeMark': {
    target: { comparator: 'atMost', value: 1220, tolerance: 0 },
    summary: {
      openLinesSoFar: 0,
      mass: known(1236, 'measured', 5.1),
      massFrom: 'scales',
      planned: massState([{ mass: known(1190, 'measured', 5), sign: 1, position: { x: 1.1, y: 0, z: 0.5 } }]),
    },
  },
  'mass/cutShell': { line: { position: { x: 1.95, y: 0, z: 0.4 }, movedTo: null } },
  'stance/balanceEffects': { carS, sigmaS },
  'stance/cornerTravel': {
    corner: { ...cornerS, rubber: { gap: 0.013, points: [{ travel: 0.02, force: 3000 }] } },
  },
  'stance/stanceAtSpeed': { car: standingS },
  'brakes/brakeLines': { system: brakesOfHandbook },
  'brakes/padsAndDiscs': { discs: { mass: 1200, share: 0.65, discMass: 18, heatCapacity: 460 } },
  'stance/groundGap': { attitude },
  'stance/rollBalance': { carS },
  'structure/extraSupport': { plate },
  'structure/outlineFiles': {
    outline: panelOutline({ span: 1.6, rearWidth: 1.2, chord: 0.2, under: 0.3, cornerRadius: 0.08 }),
  },
  'structure/panelUnderLoad': { plate },
  'structure/wingFooting': {
    footing: { sheet: 'steel', thickness: 0.0008, spanAlong: 0.5, spanAcross: 1.1, plateRadius: 0.05 },
  },
  'structure/wingMount': {
    mount: {
      uprights: 2,
      height: 0.3,
      width: 0.1,
      thickness: 0.006,
      stiffness: 70e9,
      strength: 240e6,
      bolts: 4,
      boltDiameter: 0.008,
      boltSpacing: 0.06,
      topBolts: 2,
      topBoltDiameter: 0.006,
    },
  },
  'units/formatQuantity': { kg: unit('kg', 1, 1), lb: unit('lb', 0.45359237, 1) },
  'units/parsePlace': { mm: unit('mm', 0.001, 0) },
  'units/parseQuantity': { mm: unit('mm', 0.001, 0) },
  'wheels/checkSteering': { nothing: {} },
  'wheels/wheelFitment': {
    wheel,
    fitted: wheel,
    obstacles: [inside],
    front: { hub, wheel, obstacles: [] },
    rear: { hub, wheel, obstacles: [{ ...inside, gap: 0.002 }] },
  },
  'work/simulateWork': { fourJobs },
  'work/crewsOf': { crewsOf, fourJobsAlone },
  'work/durations': { drawDurations, durationsOf, fourJobs },
  'work/soonest': { fourJobsAlone, notBefore, soonest, startAnew, workSchedule },
  'work/takeNext': { fourJobsAlone, startAnew, takeNext, workSchedule },
  'work/WorkSchedule': {
    allowFollowers,
    arrive,
    fourJobs,
    fourJobsAlone,
    freeAgain,
    startAnew,
    workSchedule,
  },
  'work/joinOutcomes': { outcome: simulateWork(fourJobs, { draws: 10 }) },
  'work/planWork': { fourJobs, outcome: simulateWork(fourJobs, { draws: 10 }) },
}
