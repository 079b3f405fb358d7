import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'

/** An ordered step of a build. Its state is the base car plus all swaps up to it. */
export const stage = defineKind({
  name: 'stage',
  within: 'build',
  isFrozen: true,
  words: { one: 'stage', many: 'stages' },
  sortedBy: 'order',
  most: 200,
  fields: {
    name: f.name,
    order: f.order,
    /** Planned wheel power, W; `null` carries the last plan on. */
    plannedWheelPower: field(f.watts.nullable(), {
      label: 'Planned wheel power',
      hint: 'Left empty, the plan of the stage before goes on.',
    }),
    plannedPowerGrade: field(f.grade, { label: 'How the plan is known' }),
    note: f.note,
  },
})
