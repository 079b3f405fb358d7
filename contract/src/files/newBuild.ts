import { METRIC, US, type Grade } from '@bold-ballast/core'
import type * as z from 'zod'
import { build } from '../records/build'
import { choice, field } from '../records/field'
import * as f from '../records/fields'
import { eachCollection, type COLLECTION, type PartKind } from '../records/kinds'
import { FORMAT_VERSION } from '../versions/formatVersion'
import { BUILD_FILE_FORMAT, type BuildFile } from './buildFile'

/** How the mass of a car as bought comes to be known. */
const BASE_GRADES = ['guess', 'claim', 'measured'] as const satisfies readonly Grade[]
const BASE_GRADE = { guess: 'guess', claim: 'claim (brochure)', measured: 'measured (weighed)' }

/** What a person is asked for when starting a build. Everything else has a default that can be changed. */
export const newBuildForm = build.record
  .pick({
    name: true,
    car: true,
    discipline: true,
    layout: true,
    wheelbase: true,
    trackFront: true,
    trackRear: true,
    baseMass: true,
    baseFuel: true,
    currency: true,
  })
  .extend({
    baseGrade: choice(BASE_GRADES, BASE_GRADE, 'Known how'),
    frontShare: field(f.share, {
      label: 'Front share of it',
      hint: '54 % is usual with the engine in front',
    }),
    unitSystem: choice(['metric', 'us'], { metric: 'metric', us: 'US' }, 'Units'),
  })
export type NewBuildForm = z.infer<typeof newBuildForm>

/**
 * A new build with one stage, "As bought". Places of the tank and the seat are a guess from the wheelbase.
 *
 * @param newId makes an id; handed in, because nothing here reads a random source
 */
export function newBuild(form: NewBuildForm, newId: () => string): BuildFile {
  const { frontShare, unitSystem, ...facts } = form
  const none: Record<string, object[]> = eachCollection(() => [])
  return {
    format: BUILD_FILE_FORMAT,
    formatVersion: FORMAT_VERSION,
    build: {
      ...facts,
      id: newId(),
      baseSigma: null,
      baseCentre: { x: (1 - frontShare) * form.wheelbase, y: 0, z: 0.5 },
      fuelDensity: 745,
      tank: { x: form.wheelbase, y: 0, z: 0.4 },
      seat: { x: form.wheelbase * 0.55, y: 0.35, z: 0.45 },
      driverMass: 85,
      // Stated as it was weighed, so that the figure that is shown is the one that was typed.
      reference: { fuel: form.baseFuel, driver: 0, amounts: {} },
      powerBasis: 'observed',
      springs: null,
      ballast: null,
      airLoads: { gust: 1.25, kerb: 1.2, wanted: 2 },
      bridges: [],
      growth: null,
      doubts: null,
      lean: null,
      units: unitSystem === 'us' ? US : METRIC,
      note: '',
    } as BuildFile['build'],
    ...(none as Pick<BuildFile, (typeof COLLECTION)[PartKind]>),
    stages: [stageNamed('As bought', 0, newId())],
  }
}

export const stageNamed = (name: string, order: number, id: string, grade: Grade = 'guess') => ({
  id,
  name,
  order,
  plannedWheelPower: null,
  plannedPowerGrade: grade,
  note: '',
})
