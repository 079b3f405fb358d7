import { aeroBalance, atAngle, placedAreas, type Position } from '@bold-ballast/core'
import {
  newLine,
  nextOrder,
  putEdit,
  removalOf,
  withoutVersion,
  type BuildDocument,
  type Drive,
  type Edit,
  type Stage,
} from '@bold-ballast/contract'
import { carriedAt } from '../car/carriedAt'
import { fittedAt } from '../car/fittedAt'
import { setupAt } from '../car/setupAt'

/** One thing turned to see what it does. SI. */
export type Tweak =
  | { readonly what: 'kilos'; readonly mass: number; readonly at: Position }
  | { readonly what: 'power'; readonly watts: number | null }
  | { readonly what: 'finalDrive' | 'rollingRadius' | 'grip' | 'boostThreshold'; readonly value: number }
  | { readonly what: 'wing'; readonly elementId: string; readonly angle: number }

/** The swap that stands for kilos of which nobody has said yet where they come from. */
export const KILOS_TRIED = 'Kilos tried'
const LEAST_MASS = 0.05

/**
 * The edits that turn one thing at a stage: that stage gets its own gears or its own wing where it had them from
 * before. A wing that is turned takes its drag and its load on the driven axle with it into gears and grip.
 *
 * @param stages in order
 * @param newId makes an id; handed in, because nothing here reads a random source
 * @returns nothing where there is nothing to turn: no gears, no such wing
 * @example whatIfEdits(document, ledger.stages, stage.id, { what: 'finalDrive', value: 4.1 }, newId)
 */
export function whatIfEdits(
  document: BuildDocument,
  stages: readonly Stage[],
  stageId: string,
  tweak: Tweak,
  newId: () => string,
): Edit[] {
  switch (tweak.what) {
    case 'kilos':
      return kilos(document, stageId, tweak, newId)
    case 'power': {
      return stages
        .filter((s) => s.id === stageId)
        .map((stage) =>
          putEdit(document, 'stage', { ...withoutVersion(stage), plannedWheelPower: tweak.watts }),
        )
    }
    case 'wing':
      return turned(document, stages, stageId, tweak, newId)
    default: {
      const { what, value } = tweak
      // A radius that is tried is no tyre of a size any more.
      const tyre = what === 'rollingRadius' ? { tyreSize: '', rollOut: null, tyreDiameter: null } : {}
      return ownGears(document, stages, stageId, { ...tyre, [what]: value }, newId)
    }
  }
}

function kilos(
  document: BuildDocument,
  stageId: string,
  { mass, at }: Extract<Tweak, { what: 'kilos' }>,
  newId: () => string,
): Edit[] {
  const swap = document.swaps.find((s) => s.stageId === stageId && s.name === KILOS_TRIED)
  if (Math.abs(mass) < LEAST_MASS) return swap ? removalOf(document, 'swap', swap.id) : []
  const swapId = swap?.id ?? newId()
  const line = document.lines.find((l) => l.swapId === swapId)
  const own = newLine({
    id: line?.id ?? newId(),
    swapId,
    name: KILOS_TRIED,
    system: 'other',
    order: 0,
    kind: mass < 0 ? 'off' : 'on',
    mass: Math.abs(mass),
    grade: 'guess',
    position: at,
  })
  const holder = {
    id: swapId,
    stageId,
    name: KILOS_TRIED,
    order: nextOrder(document.swaps.filter((s) => s.stageId === stageId)),
    workTime: null,
    cost: null,
    note: '',
  }
  return [...(swap ? [] : [putEdit(document, 'swap', holder)]), putEdit(document, 'line', own)]
}

function ownGears(
  document: BuildDocument,
  stages: readonly Stage[],
  stageId: string,
  change: Partial<Drive>,
  newId: () => string,
): Edit[] {
  const found = carriedAt(document.drivetrains, stages, stageId)
  if (!found) return []
  const id = found.stageId === stageId ? found.id : newId()
  return [
    putEdit(document, 'drivetrain', {
      ...withoutVersion(found),
      id,
      stageId,
      drive: { ...found.drive, ...change },
    }),
  ]
}

function turned(
  document: BuildDocument,
  stages: readonly Stage[],
  stageId: string,
  { elementId, angle }: Extract<Tweak, { what: 'wing' }>,
  newId: () => string,
): Edit[] {
  const { build } = document
  const elements = fittedAt(document.aeroElements, stages, stageId)
  const wing = elements.find((e) => e.id === elementId)
  if (!wing?.wing) return []
  const isOwn = wing.stageId === stageId
  const set = {
    ...withoutVersion(wing),
    ...(!isOwn && { id: newId(), stageId, replaces: wing.id }),
    wing: { ...wing.wing, angle },
  }
  const of = (all: Parameters<typeof placedAreas>[0]) => aeroBalance(placedAreas(all), build.wheelbase)
  const before = of(elements)
  const after = of(elements.map((e) => (e.id === elementId ? atAngle(e, angle) : e)))
  const axle = ({ front, rear, total }: typeof before) => ({ front, rear, all: total })[build.layout]
  const drive = carriedAt(document.drivetrains, stages, stageId)?.drive
  const gears = drive
    ? ownGears(
        document,
        stages,
        stageId,
        {
          dragArea: Math.max(0, drive.dragArea + after.drag - before.drag),
          axleDownforce: Math.max(-1, drive.axleDownforce + axle(after) - axle(before)),
        },
        newId,
      )
    : []
  // Where a set-up sheet says the hole, it is the sheet that is written otherwise.
  const sheet = setupAt(document.setups, stages, stageId)
  const onSheet =
    isOwn && sheet?.wings.some((w) => w.elementId === wing.id && w.angle !== null)
      ? [
          putEdit(document, 'setup', {
            ...withoutVersion(sheet),
            wings: sheet.wings.map((w) => (w.elementId === wing.id ? { ...w, angle } : w)),
          }),
        ]
      : []
  return [putEdit(document, 'aeroElement', set), ...onSheet, ...gears]
}
