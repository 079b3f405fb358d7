import type { Build, BuildDocument, Load, Stage } from '@bold-ballast/contract'
import { centreAfterCut, movedByCut, motionRatio, type ShellCut } from '@bold-ballast/core'
import { carriedAt } from './carriedAt'
import { setupAt } from './setupAt'
import { stagesUpTo } from './stagesUpTo'

type Said = Pick<BuildDocument, 'build' | 'loads'> &
  Partial<Pick<BuildDocument, 'geometries' | 'suspensions' | 'setups'>>

/** A build as a stage has it, with what may be aboard where it sits then. Never to be saved as the build. */
export type BuiltAt = Build & { readonly loads: readonly Load[] }

/** A build as its stages have it. */
export interface GeometryOf {
  /** The build with the geometry and springs that a stage has, what sits behind a cut moved. */
  readonly buildOf: (stageId: string) => BuiltAt
  readonly cutOf: (stageId: string) => ShellCut | null
  /** Where something of a stage sits at another that came after it, behind the front axle, m. */
  readonly movedTo: (x: number, from: string, to: string) => number
}

type StageRef = Pick<Stage, 'id'>

/**
 * What geometry and springs each stage of a build has.
 *
 * @param stages in order
 * @returns `null` where all stages have what the build has
 * @example geometryOf(document, stages)?.buildOf(stageId).wheelbase
 */
export function geometryOf(document: Said, stages: readonly StageRef[]): GeometryOf | null {
  const { geometries = [], suspensions = [], setups = [] } = document
  if (geometries.length + suspensions.length + setups.length === 0) return null
  const built = new Map<string, BuiltAt>()
  const cutOf = (stageId: string) => geometries.find((g) => g.stageId === stageId)?.cut ?? null
  const cutsUpTo = (stageId: string) =>
    stagesUpTo(stages, stageId).flatMap((s) => {
      const cut = cutOf(s.id)
      return cut ? [{ cut, stageId: s.id }] : []
    })
  const buildOf = (stageId: string): BuiltAt => {
    const before = built.get(stageId)
    if (before) return before
    const made = buildAt(document, stages, stageId, cutsUpTo(stageId))
    built.set(stageId, made)
    return made
  }
  return {
    buildOf,
    cutOf,
    movedTo: (x, from, to) => {
      const place = stages.findIndex((s) => s.id === from)
      return cutsUpTo(to)
        .filter(({ stageId }) => stages.findIndex((s) => s.id === stageId) > place)
        .reduce((at, { cut }) => movedByCut(at, cut), x)
    },
  }
}

function buildAt(
  document: Said,
  stages: readonly StageRef[],
  stageId: string,
  cuts: readonly { readonly cut: ShellCut; readonly stageId: string }[],
): BuiltAt {
  const { build, loads, geometries = [], suspensions = [], setups = [] } = document
  const geometry = carriedAt(geometries, stages, stageId)
  const suspension = carriedAt(suspensions, stages, stageId)
  const setup = setupAt(setups, stages, stageId)
  let { baseCentre, ballast } = build
  let moved: readonly Load[] = loads
  for (const { cut, stageId: at } of cuts) {
    const wheelbase = wheelbaseBefore(document, stages, at)
    const x = centreAfterCut({ mass: build.baseMass, x: baseCentre.x }, wheelbase, cut)
    baseCentre = { ...baseCentre, x }
    moved = moved.map((load) => ({
      ...load,
      position: { ...load.position, x: movedByCut(load.position.x, cut) },
    }))
    ballast = ballast && {
      ...ballast,
      spots: ballast.spots.map((spot) => ({ ...spot, x: movedByCut(spot.x, cut) })),
    }
  }
  const axle = (end: 'front' | 'rear') => {
    const said = suspension?.[end]
    const main = setup?.springs[end].main ?? null
    if (!said) {
      const own = build.springs?.[end]
      return own && { ...own, springRate: main ?? own.springRate }
    }
    return {
      springRate: main ?? said.springRate,
      motionRatio: said.pairs.length > 0 ? motionRatio(said.pairs).atRest : said.motionRatio,
      tyreRate: said.tyreRate,
      threadPitch: said.threadPitch,
    }
  }
  const [front, rear] = [axle('front'), axle('rear')]
  const turnStep = suspension?.turnStep ?? build.springs?.turnStep ?? 0.25
  return {
    ...build,
    ...(geometry && {
      wheelbase: geometry.wheelbase,
      trackFront: geometry.trackFront,
      trackRear: geometry.trackRear,
      tank: geometry.tank,
      seat: geometry.seat,
    }),
    baseCentre,
    ballast,
    springs: front && rear ? { front, rear, turnStep } : null,
    loads: moved,
  }
}

/** The wheelbase of the stage before one; the build's where it is the first. */
function wheelbaseBefore(document: Said, stages: readonly StageRef[], stageId: string): number {
  const before = stages[stages.findIndex((s) => s.id === stageId) - 1]
  const geometry = before && carriedAt(document.geometries ?? [], stages, before.id)
  return geometry?.wheelbase ?? document.build.wheelbase
}
