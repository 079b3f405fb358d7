import { nextOrder } from './nextOrder'
import { stageNamed } from '../files/newBuild'
import { newLine } from '../files/newLine'
import type { BuildDocument, Component, RecordOf, Stage } from '../records/kinds'
import type { Edit } from './edit'
import { putEdit } from './putEdit'

type Part = Component & { readonly rating: number }

/**
 * Parts that are too weak, swapped for the replacements noted with them: planned in the stage after, which is made
 * where there is none.
 *
 * @param parts with their replacements; those without one are left out
 * @param stages in order
 * @param stage that they are too weak for
 * @param newId makes an id; handed in, because nothing here reads a random source
 * @returns the stage they are planned in, and the edits
 */
export function planReplacements(
  document: BuildDocument,
  parts: readonly Part[],
  stages: readonly Stage[],
  stage: Stage,
  newId: () => string,
): { readonly target: Pick<Stage, 'id' | 'name'>; readonly edits: Edit[] } {
  const next = stages[stages.findIndex((s) => s.id === stage.id) + 1] ?? null
  const target = next ?? stageNamed(`After ${stage.name}`, (stages.at(-1)?.order ?? -1) + 1, newId())
  const swapId = newId()
  const line = (own: Pick<RecordOf<'line'>, 'kind' | 'name' | 'mass' | 'grade' | 'order'>) =>
    putEdit(document, 'line', newLine({ id: newId(), swapId, system: 'driveline', ...own }))
  const ready = parts.flatMap((part) => (part.replacement ? [{ part, by: part.replacement }] : []))
  const swaps = document.swaps.filter((s) => s.stageId === target.id)
  const firstOrder = nextOrder(document.components)
  const edits = ready.flatMap(({ part, by }, i) => {
    const successor: RecordOf<'component'> = {
      id: newId(),
      stageId: target.id,
      name: by.name,
      replaces: part.id,
      order: firstOrder + i,
      kind: part.kind,
      shaft: part.shaft,
      axle: part.axle,
      flow: part.flow,
      statedEthanol: part.statedEthanol,
      rating: by.rating,
      grade: 'claim',
      demand: part.demand,
      wantedMargin: part.wantedMargin,
      mass: by.mass,
      life: null,
      spares: 0,
      replacement: null,
      note: '',
    }
    return [
      putEdit(document, 'component', successor),
      // Nobody knows the mass of what comes off: that is said by leaving its line out, not by a zero.
      ...(part.mass === null
        ? []
        : [line({ kind: 'off', name: part.name, mass: part.mass, grade: 'guess', order: 2 * i })]),
      line({ kind: 'on', name: by.name, mass: by.mass, grade: by.massGrade, order: 2 * i + 1 }),
    ]
  })
  const swap: RecordOf<'swap'> = {
    id: swapId,
    stageId: target.id,
    name: 'Weak links',
    note: `Planned for ${target.name}`,
    order: nextOrder(swaps),
    workTime: ready.reduce((sum, { by }) => sum + by.workTime, 0),
    cost: ready.reduce((sum, { by }) => sum + by.price, 0),
  }
  return {
    target,
    edits: [
      ...(next ? [] : [putEdit(document, 'stage', target as RecordOf<'stage'>)]),
      putEdit(document, 'swap', swap),
      ...edits,
    ],
  }
}
