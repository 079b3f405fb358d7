import * as z from 'zod'
import { field } from './field'
import * as f from './fields'

/** What the engine asks of fuel, air and cooling for its power. */
export const engine = z.strictObject({
  /** Brake specific fuel consumption on petrol, kg/J. */
  fuelUse: field(
    f.between('Type a consumption, such as 300 g/kWh or 0.5 lb/hp·h.', 4e-8, 3e-7, '150 to 1,000 g/kWh'),
    {
      quantity: 'fuelUse',
      label: 'Fuel use on petrol',
      hint: '300 g/kWh (0.5 lb/hp·h) is usual; boosted 320',
    },
  ),
  /** m³ */
  displacement: field(f.between('Type a displacement, such as 2.2 l.', 5e-5, 0.02, '0.05 to 20 l'), {
    quantity: 'volume',
    unit: 'l',
    label: 'Displacement',
  }),
  volumetricEfficiency: field(f.between('Type a share, such as 95 %.', 0.3, 1.4, '30 to 140 %'), {
    quantity: 'share',
    label: 'Volumetric efficiency',
    hint: '85 to 105 % at peak power',
  }),
  lambda: field(f.between('Type a λ, such as 0.8.', 0.5, 1.5, 'λ 0.5 to 1.5'), {
    quantity: 'lambda',
    label: 'Mixture',
  }),
  /** Of peak power. */
  powerSpeed: field(f.between('Type an engine speed, such as 7,000 rpm.', 10, 2700, '100 to 25,000 rpm'), {
    quantity: 'engineSpeed',
    label: 'Peak power at',
  }),
  /** Manifold over the outside air, Pa. */
  boost: field(f.between('Type a pressure, such as 1.2 bar; 0 without boost.', -5e4, 6e5, '−0.5 to 6 bar'), {
    quantity: 'pressure',
    label: 'Boost now',
    hint: 'Over the outside air; 0 for none',
  }),
  ethanol: field(f.share, { label: 'Ethanol, measured' }),
})
