import { balanceEffects } from '@bold-ballast/core'
import { sampleSuspension } from '@bold-ballast/contract/sampleBuild'
import { demo } from '@bold-ballast/demo'
import { balanceChanges, brakeFigures, carAt, gapsAlong } from '@bold-ballast/model'
import type { BuildDocument } from '@bold-ballast/contract'
import { median, say } from './median'

/** A set-up sheet worked out whole with 2,000 draws, and the gap to the ground over 100 speeds, of the demo's Nightjar. */
const document = demo.builds().find((b) => b.build.name === 'Nightjar') as unknown as BuildDocument
const stage = document.stages.find((s) => s.name === 'Big wing')!
const car = carAt(document, stage.id)
const suspension = car.suspension?.value ?? { ...sampleSuspension(stage.id, stage.id), version: 1 }
const changes = balanceChanges(car.stance, suspension).map((asked) => asked.change)
say(
  `Set-up sheet with ${changes.length} changes, 2,000 draws`,
  median(() => balanceEffects(car.stance.rollCar, car.stance.rollSigma, changes)),
  'goal 50 ms',
)
const speeds = Array.from({ length: 100 }, (_, i) => i * 0.85)
say(
  'Gap to the ground over 100 speeds',
  median(() => gapsAlong(car, speeds)),
  'goal 10 ms',
)
if (car.brakes) {
  const { value } = car.brakes
  say(
    'Brakes: balance with 200 draws, heat over a lap',
    median(() => brakeFigures(car, value, 0)),
    '',
  )
}
