import {
  blankLap,
  blankRun,
  blankSetup,
  blankSuspension,
  newBuild,
  buildDocument,
  COLLECTION,
  type AeroElement,
  type Brakes,
  type BuildDocument,
  type BuildFile,
  type Component,
  type Course,
  type Drive,
  type DynoDay,
  type Instrument,
  type Line,
  type NewBuildForm,
  type Pull,
  type Seal,
  type Outing,
  type Run,
  type Setup,
  type Suspension,
  type Swap,
  eachCollection,
} from '../index'

/** The answers of a person who starts the sample. */
export const sampleForm: NewBuildForm = {
  name: 'Sample',
  car: '',
  discipline: 'track',
  layout: 'rear',
  wheelbase: 2.4,
  trackFront: 1.45,
  trackRear: 1.45,
  baseMass: 5000,
  baseFuel: 0.04,
  baseGrade: 'measured',
  frontShare: 0.52,
  currency: '',
  unitSystem: 'metric',
}

/** A small build for tests: one stage, and as many swaps and lines as are asked for. */
export function sampleBuild(newId: () => string, { swaps = 1, linesEach = 2 } = {}): BuildFile {
  const file = newBuild(sampleForm, newId)
  for (let s = 0; s < swaps; s += 1) {
    const swap = sampleSwap(file.stages[0]!.id, newId(), s)
    file.swaps.push(swap)
    for (let l = 0; l < linesEach; l += 1) file.lines.push(sampleLine(swap.id, newId(), l))
  }
  return file
}

/** A file as the document that it becomes: every record at version 1. */
export const documentFrom = (file: BuildFile): BuildDocument =>
  buildDocument.parse({
    build: { ...file.build, version: 1 },
    ...eachCollection((kind) => file[COLLECTION[kind]].map((record) => ({ ...record, version: 1 }))),
  })

export const sampleSwap = (stageId: string, id: string, order = 0): Omit<Swap, 'version'> => ({
  id,
  stageId,
  name: `Swap ${order}`,
  order,
  workTime: null,
  cost: null,
  note: '',
})

export const sampleLine = (swapId: string, id: string, order = 0): Omit<Line, 'version'> => ({
  id,
  swapId,
  order,
  kind: order % 2 ? 'on' : 'off',
  name: `Part ${order}`,
  system: 'body',
  mass: 1 + order / 100,
  sigma: null,
  grade: 'measured',
  quantity: 1,
  fitted: true,
  changedOn: null,
  position: { x: 1, y: 0, z: 0.5 },
  movedTo: null,
  role: 'part',
  weighing: null,
  fate: 'unsaid',
  liesAt: '',
  soldFor: null,
  fromLine: null,
  said: null,
  source: '',
  alsoAt: [],
})

export const sampleDynoDay = (stageId: string, id: string): Omit<DynoDay, 'version'> => ({
  id,
  stageId,
  date: '2026-05-02',
  dyno: 'Sample hubs',
  kind: 'hub',
  repeatability: 0.01,
  fuel: '',
  ethanol: null,
  boostControl: 'none',
  gear: null,
  air: [],
  sheetCorrection: 'observed',
  limits: null,
  sheetColumns: null,
  note: '',
})

export const samplePull = (dynoDayId: string, id: string, order = 0): Omit<Pull, 'version'> => ({
  id,
  dynoDayId,
  name: `Pull ${order}`,
  configuration: '',
  time: null,
  source: 'peaks',
  order,
  grade: 'measured',
  standsForStage: false,
  points: null,
  channels: null,
  peakPower: 100e3,
  peakPowerSpeed: 650,
  peakTorque: 160,
  peakTorqueSpeed: 480,
  note: '',
})

/** Gears and grip of a car that one could meet. */
export const sampleDrive = (): Drive => ({
  ratios: [3.2, 1.9, 1.3, 1, 0.8],
  finalDrive: 4.1,
  between: 1,
  tyreSize: '',
  rollOut: null,
  tyreDiameter: null,
  rollingRadius: 0.3,
  growth: 0,
  limiter: 740,
  boostThreshold: null,
  shiftSpeed: null,
  shiftTime: 0.3,
  launchSpeed: 400,
  grip: 1.1,
  dragArea: 0.7,
  rollingResistance: 0.014,
  wheelInertia: 4,
  engineInertia: 0.15,
  propshaftInertia: 0.02,
  axleDownforce: 0,
  rearSplit: 0.5,
  clutchTorque: null,
  clutchMass: 9,
  lockedDifferential: false,
  launch: 'smooth',
  layout: null,
  slide: null,
  loss: null,
})

/** A gearbox good for 450 N·m by its maker's word. */
export const sampleComponent = (stageId: string, id: string, order = 0): Omit<Component, 'version'> => ({
  id,
  stageId,
  name: `Component ${order}`,
  order,
  kind: 'torque',
  shaft: 'gearbox',
  axle: null,
  flow: null,
  statedEthanol: 0,
  rating: 450,
  grade: 'claim',
  demand: null,
  wantedMargin: 1.2,
  mass: null,
  life: null,
  spares: 0,
  replacement: null,
  replaces: null,
  note: '',
})

/** A day of four laps. */
export const sampleOuting = (
  stageId: string,
  id: string,
  more: Partial<Outing> = {},
): Omit<Outing, 'version'> => ({
  id,
  stageId,
  name: 'Quarry Hill',
  date: '2026-05-01',
  planned: false,
  amounts: { hours: 0, laps: 4, launches: 0, trackDays: 1, heatCycles: 1 },
  bestLap: null,
  quarterMile: null,
  topSpeed: null,
  setupId: null,
  courseId: null,
  cost: null,
  result: null,
  take: [],
  fuelCost: null,
  tyreCost: null,
  note: '',
  ...more,
})

/** A run of laps that count, one driver's on one set of tyres. */
export const sampleRun = (
  outingId: string,
  id: string,
  times: readonly number[],
  more: Partial<Run> = {},
): Omit<Run, 'version'> => ({
  ...blankRun(outingId, id, 1),
  driver: 'Ines',
  tyres: 'Set 1',
  laps: times.map(blankLap),
  ...more,
})

/** A set-up sheet on which nothing stands. */
export const sampleSetup = (stageId: string, id: string, order = 0): Omit<Setup, 'version'> => ({
  ...blankSetup(stageId, id, order),
  date: '2026-05-02',
})

/** A suspension with a bar at each end, as plainly as it can be said. */
export const sampleSuspension = (stageId: string, id: string): Omit<Suspension, 'version'> => {
  const { front, rear, ...rest } = blankSuspension(stageId, id, null, 1200)
  const bar = {
    diameter: 0.022,
    bore: 0,
    length: 0.9,
    motionRatio: 0.6,
    grade: 'measured' as const,
    settings: [
      { name: '1', arm: 0.25, stiffness: null },
      { name: '2', arm: 0.2, stiffness: null },
    ],
  }
  return { ...rest, front: { ...front, bar }, rear: { ...rear, bar } }
}

/** A course that comes round: two straights and two bends to the right. */
export const sampleCourse = (id: string, more: Partial<Course> = {}): Omit<Course, 'version'> => ({
  id,
  name: 'Loop',
  order: 0,
  sections: [
    { length: 400, radius: null },
    { length: 60 * Math.PI, radius: -60 },
    { length: 400, radius: null },
    { length: 60 * Math.PI, radius: -60 },
  ],
  line: null,
  corners: [],
  sectors: [],
  stretches: [],
  width: null,
  closed: true,
  note: '',
  ...more,
})

/** Brakes of a light car with a bar in its middle. */
export const sampleBrakes = (stageId: string, id: string): Omit<Brakes, 'version'> => {
  const axle = (piston: number, radius: number): Brakes['front'] => ({
    pistons: [{ diameter: piston }],
    radius,
    pad: 'Sample pad',
    friction: [{ temperature: 573, friction: 0.42 }],
    padFrom: 373,
    padTo: 873,
    discMass: 7,
    cooling: 90,
    padNew: 0.015,
    padLeast: 0.004,
  })
  return {
    id,
    stageId,
    pedalRatio: 5,
    servo: 1,
    barShare: 0.5,
    barLeast: 0.4,
    barMost: 0.6,
    cylinderFront: 0.01905,
    cylinderRear: 0.01905,
    valve: null,
    front: axle(0.054, 0.13),
    rear: axle(0.034, 0.12),
    wheelRadius: { front: 0.3, rear: 0.3 },
    grip: 1.2,
    air: 293,
    stops: [
      { from: 50, to: 20, after: 30 },
      { from: 40, to: 15, after: 20 },
    ],
    alternatives: [],
    note: '',
  }
}

/** A splitter on struts, said as plainly as a splitter can be; its mount is there to have one. */
export const sampleElement = (stageId: string, id: string, order = 0): Omit<AeroElement, 'version'> => ({
  id,
  stageId,
  name: `Element ${order}`,
  order,
  kind: 'splitter',
  x: -0.6,
  z: 0.08,
  span: 1.6,
  chord: 0.3,
  lift: 0.8,
  drag: 0.05,
  wing: null,
  sealed: true,
  grade: 'guess',
  spread: 0.4,
  from: '',
  panel: {
    sheet: 'plywood',
    stockId: null,
    thickness: 0.012,
    lay: 'strong',
    spanAlong: 0.3,
    spanAcross: 0.5,
    overhang: 0.1,
    under: 0,
    rearWidth: null,
    cornerRadius: 0,
    struts: { kind: 'strut', count: 2, outside: 0.008, wall: 0.001, length: 0.3, angle: 0.5, share: 0.5 },
  },
  mount: {
    on: 'chassis',
    retention: true,
    uprights: 2,
    height: 0.3,
    width: 0.08,
    thickness: 0.008,
    bolts: 4,
    boltDiameter: 0.008,
    boltSpacing: 0.06,
    topBolts: 2,
    topBoltDiameter: 0.006,
    spar: null,
    footing: null,
  },
  replaces: null,
  offStageId: null,
  correction: null,
  lineId: null,
  note: '',
})

/** A frozen stage whose sheet says nothing. */
export const sampleSeal = (stageId: string, id: string): Omit<Seal, 'version'> => ({
  id,
  stageId,
  at: '2026-11-24T08:00:00Z',
  author: 'A. Builder',
  reopened: null,
  note: '',
  figures: {
    facts: [],
    ticket: null,
    marks: [],
    curve: [],
    dyno: '',
    gears: [],
    finalDrive: null,
    links: [],
    changed: [],
    expectedWrong: null,
    risks: [],
  },
})

/** Pads as they come out of the box. */
export const sampleInstrument = (id: string, order = 0): Omit<Instrument, 'version'> => ({
  id,
  name: 'Sample pads',
  order,
  kind: 'pads',
  resolution: 0.5,
  repeatability: 0.003,
  ownError: 0.001,
  betweenDays: null,
  checkedOn: null,
  checkedAgainst: '',
  note: '',
})
