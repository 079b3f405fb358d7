import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'
import { air } from './sizingAir'
import { cooling } from './sizingCooling'
import { electrics } from './sizingElectrics'
import { engine } from './sizingEngine'
import { fuel } from './sizingFuel'

/** What feeds, fills, cools and wires the engine for the power that a stage is after. */
export const sizing = defineKind({
  name: 'sizing',
  within: 'stage',
  isCarriedOn: true,
  words: { one: 'sizing', many: 'sizings' },
  sortedBy: 'id',
  most: 200,
  fields: {
    engine: field(engine.nullable(), { label: 'Engine' }),
    fuel: field(fuel.nullable(), { label: 'Fuel' }),
    air: field(air.nullable(), { label: 'Air' }),
    cooling: field(cooling.nullable(), { label: 'Cooling' }),
    electrics: field(electrics.nullable(), { label: 'Electrics' }),
    note: f.note,
  },
})
