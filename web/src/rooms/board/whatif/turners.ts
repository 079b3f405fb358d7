import { readAt } from '@bold-ballast/contract'
import { KILOS_TRIED, type Tweak } from '@bold-ballast/model'
import { unitOf, type Quantity, type Unit } from '@bold-ballast/core'
import type { Tried } from './useTried'

/** Something that can be turned: where it stands, how far it goes, and what it means. SI. */
export interface Turner {
  readonly key: string
  readonly says: string
  readonly value: number
  readonly low: number
  readonly high: number
  readonly step: number
  readonly quantity: Quantity | null
  readonly tweak: (value: number) => Tweak
}

export const PLAIN: Unit = { symbol: '', factor: 1, decimals: 2, aliases: [] }
const RPM = unitOf('engineSpeed', 'rpm').factor

/** The main things to turn on a car as a branch has it; none for what it doesn't have. */
export function turners({ branch, read }: Tried): Turner[] {
  const { document, car } = read
  const { summary } = car
  const stageId = readAt(branch)
  const swap = document.swaps.find((s) => s.stageId === stageId && s.name === KILOS_TRIED)
  const line = document.lines.find((l) => l.swapId === swap?.id)
  const { x, y, z } = summary.planned.centre
  const at = line?.position ?? { x: x.value, y: y.value, z: z.value }
  const found: Turner[] = [
    {
      key: 'kilos',
      says: 'Kilos on or off',
      quantity: 'mass',
      low: -100,
      high: 100,
      step: 0.5,
      value: line ? (line.kind === 'off' ? -line.mass : line.mass) : 0,
      tweak: (mass) => ({ what: 'kilos', mass, at }),
    },
  ]
  const power = summary.plannedPower?.value
  if (power)
    found.push({
      key: 'power',
      says: 'Wheel power',
      quantity: 'power',
      value: power,
      step: 500,
      low: Math.max(5000, power - 60_000),
      high: power + 100_000,
      tweak: (watts) => ({ what: 'power', watts }),
    })
  const drive = car.gears?.value
  if (drive)
    found.push(
      {
        key: 'finalDrive',
        says: 'Final drive',
        quantity: null,
        value: drive.finalDrive,
        low: 2.4,
        high: 6,
        step: 0.01,
        tweak: (value) => ({ what: 'finalDrive', value }),
      },
      {
        key: 'rollingRadius',
        says: 'Rolling radius of the driven tyres',
        quantity: 'length',
        value: drive.rollingRadius,
        low: 0.24,
        high: 0.38,
        step: 0.0005,
        tweak: (value) => ({ what: 'rollingRadius', value }),
      },
      {
        key: 'grip',
        says: 'Grip of the tyres',
        quantity: null,
        value: drive.grip,
        low: 0.6,
        high: 2,
        step: 0.01,
        tweak: (value) => ({ what: 'grip', value }),
      },
      {
        key: 'boostThreshold',
        says: 'Boost from',
        quantity: 'engineSpeed',
        step: 25 * RPM,
        value: drive.boostThreshold ?? drive.limiter / 2,
        low: 1000 * RPM,
        high: drive.limiter,
        tweak: (value) => ({ what: 'boostThreshold', value }),
      },
    )
  for (const element of car.aero.elements)
    if (element.wing) {
      const { from, to, step } = element.wing.holes
      found.push({
        key: `wing ${element.name}`,
        says: `Angle of ${element.name}`,
        quantity: 'angle',
        value: element.wing.angle,
        low: from,
        high: to,
        step,
        tweak: (angle) => ({ what: 'wing', elementId: element.id, angle }),
      })
    }
  return found
}
