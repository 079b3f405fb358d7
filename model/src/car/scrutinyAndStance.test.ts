import { SHEETS, USUAL_CORE_SHEAR } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import type { AeroElement, Attitude, Scrutiny, SheetStock } from '@bold-ballast/contract'
import { sampleElement } from '@bold-ballast/contract/sampleBuild'
import { ruleValues } from '../marks/ruleValues'
import { sheetMaterialOf } from './sheetMaterialOf'
import { stanceAt } from './stanceAt'
import { figuresOf, wholeCar } from '../testing/wholeCar'

const newId = () => crypto.randomUUID()
const scrutiny = (more: Partial<Scrutiny> = {}): Omit<Scrutiny, 'version'> => ({
  id: newId(),
  stageId: newId(),
  rulebookId: null,
  roofHeight: 1.3,
  bumperFront: 0.7,
  bumperRear: 0.6,
  overallWidth: 1.75,
  groundClearance: 0.11,
  tyreWidth: 0.265,
  cageOutside: 0.04,
  cageWall: 0.0025,
  noise: 97,
  note: '',
  ...more,
})
const element = (more: Partial<AeroElement>): AeroElement => ({
  ...sampleElement(newId(), newId()),
  version: 1,
  ...more,
})

describe('ruleValues', () => {
  const { car, summaries } = figuresOf(wholeCar().file)
  const { build } = car
  const values = (
    elements: readonly AeroElement[],
    of: Omit<Scrutiny, 'version'> | null = scrutiny(),
    ethanol: number | null = 0.79,
  ) =>
    ruleValues({
      ...car,
      aero: { ...car.aero, elements },
      scrutiny: of && { value: { ...of, version: 1 }, from: car.stage },
      ethanol,
    })

  it('measures what stands out of the outline: ahead, behind and above', () => {
    const splitter = element({ kind: 'splitter', x: -0.8, chord: 0.3, z: 0.06, span: 1.6 })
    const wing = element({ kind: 'wing', x: build.wheelbase + 0.7, chord: 0.3, z: 1.42, span: 1.9 })
    const found = values([splitter, wing])
    // By hand: the nose is 0.8 + 0.15 m ahead of the axle, the tail 0.7 + 0.15 m behind the other.
    expect(found.frontBeyondBumper!.value).toBeCloseTo(0.25, 9)
    expect(found.rearBeyondBumper!.value).toBeCloseTo(0.25, 9)
    expect(found.wingAboveRoof!.value).toBeCloseTo(0.12, 9)
    expect(found.overallWidth!.value).toBe(1.9)
    expect(found.groundClearance!.value).toBe(0.06)
  })
  it('leaves the body out of what stands out, and width and clearance to what was measured', () => {
    const found = values([element({ kind: 'body', x: 1.2, chord: 4.4, z: 0.5, span: 3 })])
    expect(found.frontBeyondBumper).toBeUndefined()
    expect(found.overallWidth!.value).toBe(1.75)
    expect(found.groundClearance!.value).toBe(0.11)
  })
  it('knows mass with and without a driver, and power to mass with what both are off by', () => {
    const found = values([], null)
    const mass = summaries[0]!.mass
    expect(found.massWithDriver!.value - found.massWithoutDriver!.value).toBeCloseTo(
      Math.max(build.driverMass, build.reference.driver),
      9,
    )
    const power = summaries[0]!.measuredPower!.power
    expect(found.powerToMass!.value).toBeCloseTo(power.value / found.massWithDriver!.value, 9)
    expect(found.powerToMass!.sigma / found.powerToMass!.value).toBeCloseTo(
      Math.hypot(power.sigma / power.value, mass.sigma / found.massWithDriver!.value),
      9,
    )
    expect(found.noise).toBeUndefined()
    expect(found.ethanol!.value).toBe(0.79)
  })
  it('says nothing of what nobody measured', () => {
    const none = scrutiny({ noise: null, tyreWidth: null, cageWall: null, roofHeight: null })
    const found = values([element({})], none)
    for (const measure of ['noise', 'tyreWidth', 'cageWall', 'wingAboveRoof'] as const)
      expect(found[measure]).toBeUndefined()
    expect(values([], none, null).ethanol).toBeUndefined()
  })
})

describe('stanceAt', () => {
  const { car } = figuresOf(wholeCar().file)
  const balance = { front: 0.4, rear: 0.6, total: 1, drag: 0.7, frontShare: 0.4 }
  const record = (more: Partial<Attitude> = {}): Omit<Attitude, 'version'> => ({
    id: newId(),
    stageId: newId(),
    wheelRate: null,
    pitch: 0.01,
    roll: 0.02,
    bump: 0.015,
    braking: 9.80665,
    cornering: 9.80665,
    note: '',
    ...more,
  })
  const held = (said: Omit<Attitude, 'version'> | null) => ({
    stance: car.stance,
    attitude: said && { value: { ...said, version: 1 }, from: car.stage },
    aero: { balance },
  })
  it('sinks by load over rate: half the axle’s load on each wheel’s spring', () => {
    const wheelRate = { front: 60_000, rear: 80_000 }
    const { attitude, rates } = stanceAt(held(record({ wheelRate })), 2000)
    expect(rates).toBe('stated')
    expect(attitude.sinkFront).toBeCloseTo((0.4 * 2000) / (2 * 60_000), 6)
    expect(attitude.sinkRear).toBeCloseTo((0.6 * 2000) / (2 * 80_000), 6)
    expect([attitude.pitch, attitude.roll, attitude.bump]).toEqual([0.01, 0.02, 0.015])
  })
  it('takes typed springs, or 2 Hz where there are none, and says which', () => {
    expect(stanceAt(held(null), 2000)).toMatchObject({
      rates: 'assumed',
      pitchFrom: 'nobody',
    })
    const axle = { springRate: 80_000, motionRatio: 1, tyreRate: null, threadPitch: 0.002 }
    const { file } = wholeCar()
    file.build.springs = { front: axle, rear: axle, turnStep: 0.25 }
    const sprung = figuresOf(file).car
    const stance = stanceAt({ ...held(record()), stance: sprung.stance }, 2000)
    expect(stance.rates).toBe('springs')
    expect(stance.attitude.sinkFront).toBeCloseTo((0.4 * 2000) / (2 * 80_000), 6)
    // Where nobody typed pitch and roll, the springs say them.
    const worked = stanceAt({ ...held(null), stance: sprung.stance }, 2000)
    expect(worked.pitchFrom).toBe('springs')
    const { mass, centre, wheelbase } = sprung.stance.rollCar
    const moved = (mass * 0.7 * 9.80665 * centre.z) / wheelbase
    expect(worked.attitude.pitch).toBeCloseTo(moved / 80_000 / wheelbase, 5)
    expect(worked.attitude.roll).toBeGreaterThan(0)
  })
})

describe('sheetMaterialOf', () => {
  const stock: SheetStock = {
    id: newId(),
    name: 'Poplar ply',
    order: 0,
    build: 'solid',
    stiffness: 8e9,
    strength: 4.8e7,
    version: 1,
    density: 700,
    coreDensity: null,
    coreShear: null,
    skin: null,
    thicknesses: [0.009],
    across: 0.65,
    note: '',
    price: { base: 6, perMillimetre: 2.9 },
  }
  it('is the build’s own sheet where it names one that is still there, else the usual one', () => {
    expect(sheetMaterialOf({ sheet: 'plywood', stockId: stock.id }, [stock])).toMatchObject({
      thicknesses: [0.009],
      build: { kind: 'solid', density: 700 },
    })
    expect(sheetMaterialOf({ sheet: 'plywood', stockId: newId() }, [stock])).toBe(SHEETS.plywood)
    expect(sheetMaterialOf({ sheet: 'abs', stockId: null }, [stock])).toBe(SHEETS.abs)
  })
  it('tells skins from core in a sandwich', () => {
    const sandwich: SheetStock = { ...stock, build: 'sandwich', skin: 0.0005, coreDensity: 60, density: 2700 }
    expect(sheetMaterialOf({ sheet: 'plywood', stockId: stock.id }, [sandwich]).build).toEqual({
      kind: 'sandwich',
      skin: 0.0005,
      stiffness: 8e9,
      strength: 4.8e7,
      skinDensity: 2700,
      coreDensity: 60,
      coreShear: USUAL_CORE_SHEAR,
    })
    const stiff = { ...sandwich, coreShear: 45e6 }
    expect(sheetMaterialOf({ sheet: 'plywood', stockId: stock.id }, [stiff]).build).toMatchObject({
      coreShear: 45e6,
    })
  })
})
