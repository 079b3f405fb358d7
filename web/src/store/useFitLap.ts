import { blankLapBasis, putEdit, type RecordOf } from '@bold-ballast/contract'
import { formatNumber, type LapCar } from '@bold-ballast/core'
import type { Fitted } from '@bold-ballast/model'
import { useBuild } from './useBuild'
import { useCarried } from './useCarried'

const round = (value: number) => Math.round(value * 1000) / 1000
const factor = ({ value, doubt }: Fitted): NonNullable<RecordOf<'lapBasis'>['gripFactor']> => ({
  value: round(value),
  doubt: round(doubt),
})

/** Has laps of this stage worked out with factors that were found; a null one stays as it was. */
export function useFitLap(): (
  label: string,
  run: Pick<LapCar, 'brakeUsed'>,
  found: { readonly grip: Fitted; readonly power: Fitted | null },
) => void {
  const { view, stage, saveSaying } = useBuild()
  const { record } = useCarried('lapBasis')
  return (label, run, { grip, power }) => {
    // The first one says what was taken for granted till now: only the factors are new.
    const before = record ?? { ...blankLapBasis(stage.id, crypto.randomUUID()), brakingUsed: run.brakeUsed }
    saveSaying(
      label,
      [
        putEdit(view, 'lapBasis', {
          ...before,
          gripFactor: factor(grip),
          powerFactor: power ? factor(power) : before.powerFactor,
        }),
      ],
      `Grip times ${formatNumber(grip.value, 3)}, ±${formatNumber(grip.doubt, 3)}, from here on.`,
    )
  }
}
