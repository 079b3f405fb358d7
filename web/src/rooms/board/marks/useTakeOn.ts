import { itemAt, itemWhere } from '@bold-ballast/core'
import {
  newLine,
  planReplacements,
  withoutVersion,
  type Component,
  type Edit,
  putEdit,
} from '@bold-ballast/contract'
import { type Step } from '@bold-ballast/model'
import { newJob } from '../../../store/newJob'
import { useBuild } from '../../../store/useBuild'
import { useSettledSummaries } from '../../../store/useSettledSummaries'
import { nameOfStep } from '@bold-ballast/words'

const MEASUREMENTS: ReadonlySet<Step['kind']> = new Set([
  ...([
    'weighCar',
    'weighCorners',
    'weighPart',
    'pull',
    'checkInstrument',
    'logDownforce',
    'measureForClass',
    'drive',
  ] as const),
])

interface Plan {
  readonly edits: readonly Edit[]
  /** What became of it. */
  readonly says: string
}

/** Takes a step on: as a planned swap where it changes the car, else as a measurement or a job. */
export function useTakeOn(): (step: Step) => void {
  const { view, ledger, stage, units, saveSaying } = useBuild()
  const summaries = useSettledSummaries()
  const summary = itemAt(summaries, ledger.stages.indexOf(stage))
  const newId = () => crypto.randomUUID()

  const planned = (step: Step): Plan | null => {
    if (step.kind === 'findKilos' && step.kilograms !== null) {
      const swapId = newId()
      const { x, y, z } = summary.planned.centre
      const swap = {
        id: swapId,
        stageId: stage.id,
        name: 'Kilos to find',
        workTime: step.workTime,
        cost: null,
        order: (ledger.swapsOf(stage.id).at(-1)?.swap.order ?? -1) + 1,
        note: '',
      }
      const line = newLine({
        id: newId(),
        swapId,
        kind: 'off',
        name: 'Still to be found',
        system: 'other',
        order: 0,
        mass: Number((-step.kilograms).toFixed(2)),
        grade: 'guess',
        position: { x: x.value, y: y.value, z: z.value },
      })
      return { edits: [putEdit(view, 'swap', swap), putEdit(view, 'line', line)], says: 'planned in Swaps' }
    }
    if (step.kind === 'bringForward') {
      const swap = itemWhere(view.swaps, (s) => s.id === step.swapId)
      const order = (ledger.swapsOf(stage.id).at(-1)?.swap.order ?? -1) + 1
      const record = { ...withoutVersion(swap), stageId: stage.id, order }
      return { edits: [putEdit(view, 'swap', record)], says: `planned in ${stage.name}` }
    }
    const part = view.components.find((c) => c.id === step.componentId)
    if (step.kind === 'strengthen' && part?.replacement && part.rating !== null) {
      const weak = part as Component & { rating: number }
      const { target, edits } = planReplacements(view, [weak], ledger.stages, stage, newId)
      return { edits, says: `planned in ${target.name}, under “Weak links”` }
    }
    return null
  }
  return (step) => {
    const name = nameOfStep(step, view, units).slice(0, 120)
    const job = newJob(view, stage.id, {
      name,
      workTime: step.workTime,
      kind: MEASUREMENTS.has(step.kind) ? 'measurement' : 'work',
      from: step.key.slice(0, 200),
    })
    const { edits, says } = planned(step) ?? { edits: [putEdit(view, 'job', job)], says: 'taken on' }
    saveSaying(`Take on: ${name}`, edits, `${name}: ${says}.`)
  }
}
