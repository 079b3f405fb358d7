import { OIL_COOLER_PLACES } from '@bold-ballast/core'
import * as z from 'zod'
import { OIL_COOLER_PLACE } from './choices'
import { choice, field } from './field'
import * as f from './fields'
import { outsideTemperature } from './sizingAir'

/** Radiator, oil cooler, and what goes through them. */
export const cooling = z.strictObject({
  coolantShare: field(f.between('Type a share, such as 45 %.', 0.05, 1.5, '5 to 150 %'), {
    quantity: 'share',
    label: 'Heat into coolant',
    hint: 'Of crank power: 35 to 55 %',
  }),
  oilShare: field(f.between('Type a share, such as 8 %.', 0, 1, '0 to 100 %'), {
    quantity: 'share',
    label: 'Heat into oil',
    hint: '5 to 12 %',
  }),
  dutyCycle: field(f.between('Type a share, such as 60 %.', 0.01, 1, '1 to 100 %'), {
    quantity: 'share',
    label: 'Power over a lap',
    hint: 'Drift 40 %, circuit 60 to 75 %',
  }),
  coreArea: field(f.between('Type an area, such as 0.24 m².', 0.005, 3, '0.005 to 3 m²'), {
    quantity: 'area',
    unit: 'm²',
    label: 'Radiator core, frontal',
    hint: '600 × 400 mm is 0.24 m²',
  }),
  /** W for each m² and kelvin. */
  coreTransfer: field(f.between('Type a figure, such as 3500.', 200, 20_000, '200 to 20,000 W/(m²·K)'), {
    quantity: 'number',
    label: 'Transfer, W/(m²·K)',
    hint: '2,500 to 4,500 by thickness',
  }),
  ratedAirSpeed: field(f.between('Type a speed, such as 6 m/s.', 0.5, 40, '0.5 to 40 m/s'), {
    quantity: 'velocity',
    unit: 'm/s',
    label: 'At an air speed of',
  }),
  ductShare: field(f.between('Type a share, such as 25 %.', 0.01, 1, '1 to 100 %'), {
    quantity: 'share',
    label: 'Air speed in the core',
    hint: 'Of road speed: 15 % open, 30 % well ducted',
  }),
  oilCoolerArea: field(f.between('Type an area, such as 0.04 m².', 0, 1, '0 to 1 m²'), {
    quantity: 'area',
    unit: 'm²',
    label: 'Oil cooler core',
    hint: '0 for none',
  }),
  /** Where the oil cooler gets its air. */
  oilCoolerPlace: choice(
    OIL_COOLER_PLACES,
    OIL_COOLER_PLACE,
    'The oil cooler stands',
    'Choose where it stands.',
  ),
  /** Heat that other cores put into the air ahead of the radiator, W. */
  heatAhead: field(f.between('Type a power, such as 12 kW; 0 for none.', 0, 5e5, '0 to 500 kW'), {
    quantity: 'power',
    label: 'Other cores heat its air by',
    hint: 'Intercooler, condenser; 0 for none',
  }),
  coolantVolume: field(f.between('Type a volume, such as 8 l.', 0, 0.08, '0 to 80 l'), {
    quantity: 'volume',
    label: 'Coolant',
  }),
  coolantDensity: field(f.between('Type a density, such as 1050 kg/m³.', 700, 1300, '700 to 1,300 kg/m³'), {
    quantity: 'density',
    label: 'It weighs',
  }),
  thermostat: field(f.between('Type a temperature, such as 82 °C.', 303, 403, '30 to 130 °C').nullable(), {
    quantity: 'temperature',
    label: 'Thermostat opens at',
    hint: 'Empty for none',
  }),
  blanking: field(f.between('Type a share, 0 % for none.', 0, 0.95, '0 to 95 %'), {
    quantity: 'share',
    label: 'Blanked off',
  }),
  radiatorMass: field(f.mass, { label: 'Radiator, dry' }),
  radiatorX: field(f.metres, {
    label: 'It sits behind the axle',
    hint: 'Below zero: ahead of the front axle',
  }),
  /** Mean over a lap, m/s. */
  roadSpeed: field(f.between('Type a speed, such as 110 km/h.', 1, 120, '4 to 430 km/h'), {
    quantity: 'velocity',
    label: 'Mean speed of a lap',
  }),
  airTemperature: field(outsideTemperature, { label: 'Outside air' }),
  /** Where the radiator might go instead, and what its hoses would weigh. */
  move: field(
    z.strictObject({
      to: field(f.metres, { label: 'It might move to' }),
      hoses: field(f.mass, { label: 'With hoses of' }),
    }),
    { label: 'Move' },
  ),
})
