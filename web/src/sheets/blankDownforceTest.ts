import type { BuildDocument, RecordOf } from '@bold-ballast/contract'
import { springsOf } from '@bold-ballast/core'
import type { StageSummary } from '@bold-ballast/core'
import { today } from '../ui/today'

/** A log of downforce with what the build says of its springs. */
export function blankDownforceTest(
  id: string,
  stageId: string,
  build: BuildDocument['build'],
  summary: Pick<StageSummary, 'mass' | 'asFitted'>,
): RecordOf<'downforceTest'> {
  const { rates } = springsOf(build, summary.asFitted.centre.x.value, summary.mass.value)
  return {
    id,
    stageId,
    date: today(),
    name: '',
    sensor: 'damper',
    runs: [],
    motionRatio: {
      front: build.springs?.front.motionRatio ?? 0.9,
      rear: build.springs?.rear.motionRatio ?? 0.9,
    },
    wheelRate: { front: Math.round(rates.frontLeft), rear: Math.round(rates.rearLeft) },
    air: { temperature: 288.15, pressure: 101_300, humidity: 0.6 },
    speedFactor: 1,
    note: '',
  }
}
