import { OIL_COOLER_PLACES, USES } from '@bold-ballast/core'
import * as z from 'zod'
import * as f from './fields'

/** A number with the words for what is missing, too small and too large. */
const between = (says: string, low: number, high: number, range: string) =>
  z.number(says).min(low, `From ${range}: check the unit.`).max(high, `From ${range}: check the unit.`)

const angular = between('Type an engine speed, such as 7,000 rpm.', 10, 2700, '100 to 25,000 rpm')
const pressure = between('Type a pressure, such as 3 bar.', 1e4, 3e6, '0.1 to 30 bar')
const flow = between('Type a flow, such as 1,000 cc/min.', 1e-8, 5e-3, '1 cc/min to 300 l/min')
const price = z
  .number('Type an amount of money.')
  .min(-1e8, 'That is beyond counting.')
  .max(1e8, 'That is beyond counting.')
const temperature = between('Type a temperature, such as 20 °C.', 223, 343, '−50 to 70 °C')

const engine = z.strictObject({
  /** Brake specific fuel consumption on petrol, kg/J. */
  fuelUse: between('Type a consumption, such as 300 g/kWh or 0.5 lb/hp·h.', 4e-8, 3e-7, '150 to 1,000 g/kWh'),
  /** m³ */
  displacement: between('Type a displacement, such as 2.2 l.', 5e-5, 0.02, '0.05 to 20 l'),
  volumetricEfficiency: between('Type a share, such as 95 %.', 0.3, 1.4, '30 to 140 %'),
  lambda: between('Type a λ, such as 0.8.', 0.5, 1.5, 'λ 0.5 to 1.5'),
  /** Of peak power. */
  powerSpeed: angular,
  /** Manifold over the outside air, Pa. */
  boost: between('Type a pressure, such as 1.2 bar; 0 without boost.', -5e4, 6e5, '−0.5 to 6 bar'),
  ethanol: f.share,
})

const fuel = z.strictObject({
  injectors: z.strictObject({
    count: z.int('Type how many.').min(1, 'At least one.').max(24, 'At most 24.'),
    flow,
    ratedPressure: pressure,
    deadTime: between('Type a time, such as 0.0009 s.', 0, 0.01, '0 to 10 ms'),
    maxDuty: between('Type a share, such as 85 %.', 0.1, 1, '10 to 100 %'),
  }),
  pumps: z
    .array(
      z.strictObject({
        name: f.name,
        count: z.int('Type how many.').min(1, 'At least one.').max(6, 'At most six.'),
        curve: z
          .strictObject({
            voltage: between('Type a voltage, such as 13.5 V.', 5, 60, '5 to 60 V'),
            points: z
              .array(z.strictObject({ pressure, flow: flow.or(z.literal(0)) }))
              .min(2, 'A curve needs two points or more.')
              .max(20, 'At most 20 points.'),
          })
          .refine(({ points }) => points.every((p, i) => i === 0 || p.pressure > points[i - 1]!.pressure), {
            path: ['points'],
            message: 'Write the points from the lowest pressure to the highest, each once.',
          }),
      }),
    )
    .min(1, 'At least one pump.')
    .max(4, 'At most four kinds of pump.'),
  voltage: between('Type a voltage, such as 13.5 V.', 5, 60, '5 to 60 V'),
  railPressure: pressure,
  regulator: z.enum(['referenced', 'fixed'], 'Choose whether it follows the manifold.'),
  lineBore: between('Type a diameter, such as 8 mm.', 0.002, 0.04, '2 to 40 mm'),
  lineLength: between('Type a length, such as 4 m.', 0, 20, '0 to 20 m'),
  spare: between('Type a share, such as 15 %.', 0, 0.6, '0 to 60 %'),
})

const air = z.strictObject({
  outside: z.strictObject({
    pressure: between('Type a pressure, such as 101.3 kPa.', 50_000, 115_000, '50 to 115 kPa'),
    temperature,
  }),
  inletLoss: between('Type a pressure, such as 2 kPa.', 0, 30_000, '0 to 30 kPa'),
  intercooler: z
    .strictObject({
      effectiveness: f.share,
      pressureLoss: between('Type a pressure, such as 8 kPa.', 0, 1e5, '0 to 100 kPa'),
      rating: f.watts.nullable(),
    })
    .nullable(),
  compressor: z
    .strictObject({
      count: z.int('Type how many.').min(1, 'At least one.').max(4, 'At most four.'),
      island: z
        .array(
          z.strictObject({
            flow: between('Type a flow, such as 0.2 kg/s.', 0.001, 5, '0.001 to 5 kg/s'),
            ratio: between('Type a pressure ratio, such as 2.2.', 1, 8, '1 to 8'),
            efficiency: between('Type a share, such as 74 %.', 0.3, 0.9, '30 to 90 %'),
          }),
        )
        .max(40, 'At most 40 points.'),
      /** The air that its map was drawn for. */
      reference: z.strictObject({
        pressure: between('Type a pressure, such as 101.3 kPa.', 50_000, 115_000, '50 to 115 kPa'),
        temperature: between('Type a temperature, such as 15 °C.', 223, 343, '−50 to 70 °C'),
      }),
      rating: f.watts.nullable(),
    })
    .nullable(),
})

const cooling = z.strictObject({
  coolantShare: between('Type a share, such as 45 %.', 0.05, 1.5, '5 to 150 %'),
  oilShare: between('Type a share, such as 8 %.', 0, 1, '0 to 100 %'),
  dutyCycle: between('Type a share, such as 60 %.', 0.01, 1, '1 to 100 %'),
  coreArea: between('Type an area, such as 0.24 m².', 0.005, 3, '0.005 to 3 m²'),
  /** W for each m² and kelvin. */
  coreTransfer: between('Type a figure, such as 3500.', 200, 20_000, '200 to 20,000 W/(m²·K)'),
  ratedAirSpeed: between('Type a speed, such as 6 m/s.', 0.5, 40, '0.5 to 40 m/s'),
  ductShare: between('Type a share, such as 25 %.', 0.01, 1, '1 to 100 %'),
  oilCoolerArea: between('Type an area, such as 0.04 m².', 0, 1, '0 to 1 m²'),
  /** Where the oil cooler gets its air. */
  oilCoolerPlace: z.enum(OIL_COOLER_PLACES, 'Choose where it stands.'),
  /** Heat that other cores put into the air ahead of the radiator, W. */
  heatAhead: between('Type a power, such as 12 kW; 0 for none.', 0, 5e5, '0 to 500 kW'),
  coolantVolume: between('Type a volume, such as 8 l.', 0, 0.08, '0 to 80 l'),
  coolantDensity: between('Type a density, such as 1050 kg/m³.', 700, 1300, '700 to 1,300 kg/m³'),
  thermostat: between('Type a temperature, such as 82 °C.', 303, 403, '30 to 130 °C').nullable(),
  blanking: between('Type a share, 0 % for none.', 0, 0.95, '0 to 95 %'),
  radiatorMass: f.mass,
  radiatorX: f.metres,
  /** Mean over a lap, m/s. */
  roadSpeed: between('Type a speed, such as 110 km/h.', 1, 120, '4 to 430 km/h'),
  airTemperature: temperature,
  /** Where the radiator might go instead, and what its hoses would weigh. */
  move: z.strictObject({ to: f.metres, hoses: f.mass }),
})

const amps = between('Type a current, such as 12 A.', 0, 2000, '0 to 2,000 A')
const electrics = z
  .strictObject({
    voltage: between('Type a voltage, such as 13.8 V.', 5, 60, '5 to 60 V'),
    allowedDrop: between('Type a share, such as 3 %.', 0.001, 0.3, '0.1 to 30 %'),
    alternatorIdle: amps,
    alternatorSpeed: amps,
    /** A·s */
    batteryCharge: between('Type a capacity, such as 20 Ah.', 3600, 3.6e6, '1 to 1,000 Ah'),
    batteryMass: f.mass,
    classes: z
      .array(
        z.strictObject({
          name: f.name,
          count: z.int('Type how many outputs.').min(1, 'At least one.').max(64, 'At most 64.'),
          limit: amps,
          inrushLimit: amps,
        }),
      )
      .max(12, 'At most 12 classes.'),
    circuits: z
      .array(
        z.strictObject({
          id: f.id,
          name: f.name,
          current: amps.refine((a) => a > 0, 'A load draws something.'),
          inrush: amps,
          duty: f.share,
          use: z.enum(USES, 'Choose when it draws.'),
          length: between('Type a length, such as 3.5 m.', 0.01, 30, '1 cm to 30 m'),
          returnWire: z.boolean(),
          wireArea: between('Type an area, such as 2.5 mm².', 1e-7, 2e-4, '0.1 to 200 mm²').nullable(),
          fuse: amps.nullable(),
          channel: f.name.nullable(),
        }),
      )
      .max(200, 'At most 200 circuits.'),
  })
  .refine((e) => new Set(e.classes.map((c) => c.name)).size === e.classes.length, {
    path: ['classes'],
    message: 'Each class has a name of its own.',
  })

/** What feeds, fills, cools and wires the engine for the power that a stage is after; carried on until it is changed. */
export const sizingRecord = z.strictObject({
  id: f.id,
  stageId: f.id,
  engine: engine.nullable(),
  fuel: fuel.nullable(),
  air: air.nullable(),
  cooling: cooling.nullable(),
  electrics: electrics.nullable(),
  note: f.note,
})

const watts = z
  .number('Type a power, 0 for none.')
  .min(-3e6, 'Check the unit.')
  .max(3e6, 'That is over 3,000 kW: check the unit.')
/** Alternatives for one job, each with everything that has to be bought with it. */
export const optionSetRecord = z.strictObject({
  id: f.id,
  stageId: f.id,
  name: f.name,
  order: f.order,
  options: z
    .array(
      z.strictObject({
        id: f.id,
        name: f.name,
        /** Wheel power it brings, W. */
        power: watts,
        powerGrade: f.grade,
        workTime: z
          .number('Type a time, such as 6 h.')
          .min(0, 'A time can’t be below zero.')
          .max(3.6e7, 'Over 10,000 hours: check the unit.'),
        forces: z.string().trim().max(500, 'Keep it under 500 characters.'),
        items: z
          .array(
            z.strictObject({
              name: f.name,
              price,
              /** kg onto the car; below zero for what comes off. */
              mass: z
                .number('Type a mass, 0 for none.')
                .min(-2000, 'Check the unit.')
                .max(2000, 'Over 2 t: check the unit.'),
              massGrade: f.grade,
              needed: z.boolean(),
              wanted: z.boolean(),
            }),
          )
          .max(40, 'At most 40 items.'),
      }),
    )
    .min(1, 'At least one alternative.')
    .max(8, 'At most eight alternatives.'),
  note: f.note,
})
