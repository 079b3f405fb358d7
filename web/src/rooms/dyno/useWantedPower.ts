import { crankFor, fromSi, toSi, usualLoss } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useDrive } from '../../store/useDrive'
import { useBuild, useLiveBuild } from '../../store/useBuild'

export interface WantedPower {
  /** At the wheels, W. */
  readonly wheel: number
  readonly from: 'mark' | 'plan' | 'pulls'
  /** At the crank: the least and most it may take, W. */
  readonly crank: readonly [number, number]
  readonly loss: readonly [number, number]
}

/** The power that a stage is after, at the wheels and what it takes at the crank; null when nobody said. */
export function useWantedPower(): WantedPower | null {
  const { view, stage, unit } = useBuild()
  const { summary } = useLiveBuild()
  const drive = useDrive()
  return useMemo(() => {
    const mark = view.marks.find((m) => m.stageId === stage.id && m.measure === 'wheelPower')
    const day = view.dynoDays.find((d) => d.id === summary.measuredPower?.dynoDayId)
    const loss = drive?.loss
      ? ([drive.loss.least, drive.loss.most] as const)
      : usualLoss(view.build.layout, day?.kind ?? 'rollerLoaded')
    const [wheel, from] = mark
      ? ([mark.value, 'mark'] as const)
      : summary.plannedPower
        ? ([summary.plannedPower.value, 'plan'] as const)
        : ([summary.measuredPower?.power.value ?? null, 'pulls'] as const)
    if (wheel === null) return null
    // Nobody sizes a fuel system for a fraction of a kilowatt.
    const whole = (power: number) => toSi(Math.ceil(fromSi(power, unit('power'))), unit('power'))
    const [least, most] = crankFor(wheel, loss)
    return { wheel, from, crank: [whole(least), whole(most)], loss }
  }, [view.marks, view.dynoDays, view.build.layout, drive, stage.id, summary, unit])
}
