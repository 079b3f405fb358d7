import { MEASURES } from '@bold-ballast/core'
import { sampleMark } from '@bold-ballast/model/testing/wholeCar'
import type { Step } from '@bold-ballast/model'
import { describe, expect, it } from 'vitest'
import { roomOf } from './roomOf'

const KINDS: readonly Step['kind'][] = [
  ...(['weighCar', 'weighCorners', 'weighPart', 'pull', 'logDownforce', 'sayPitch', 'drive'] as const),
  ...(['measureForClass', 'typeIn', 'finishSwap', 'bringForward', 'findKilos', 'findPower'] as const),
  ...(['strengthen', 'trim', 'support', 'mendRules', 'turnBar', 'turnBrakeBar'] as const),
]

describe('roomOf', () => {
  it.each(KINDS.flatMap((kind) => MEASURES.map((measure) => [kind, measure] as const)))(
    '%s for %s is done in a room that there is',
    (kind, measure) => {
      const step = {
        key: kind,
        kind,
        marks: [{ ...sampleMark('s', measure), version: 1 }],
        lineId: null,
        swapId: null,
        componentId: null,
        source: null,
        certainty: null,
        workTime: 7200,
        cost: null,
        kilograms: -12.5,
        watts: 8000,
        worth: 1,
      }
      expect(roomOf(step)).toMatch(
        /^(board|swaps|scales|dyno|driveline|aero|stance|course|days)(\?view=\w+)?$/,
      )
    },
  )
})
