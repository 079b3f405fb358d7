import { METRIC } from '@bold-ballast/core'
import type { Build } from '@bold-ballast/contract'
import { demoBuild, engineCurve, type EngineData, type StageData } from './demoBuild'

const standard: EngineData = {
  from: 1800,
  to: 6400,
  torque: 168,
  torqueAt: 3800,
  width: 4100,
  boost: [1.6, 2500, 240],
  droop: 0.18,
  seed: 71,
}
// A large turbine housing: plenty at the top, nothing below 4,300 rpm, and a limiter soon after.
const peaky: EngineData = {
  from: 2500,
  to: 7000,
  torque: 174,
  torqueAt: 5200,
  width: 3900,
  boost: [2.35, 4350, 210],
  droop: 0.1,
  seed: 73,
}

const stages: StageData[] = [
  {
    name: 'As bought',
    plannedKw: 126,
    plannedGrade: 'claim',
    swaps: [
      ['Cleared out', [['off', 'Load cover, mats and spare', 'interior', 23.5, 'measured', [3000, 0, 520]]]],
    ],
    weighIns: [
      {
        date: '2025-08-16',
        fuelLitres: 55,
        cross: 0.502,
        pressureBar: [2.3, 2.3],
        note: 'Four pads at the yard',
      },
    ],
    dynoDays: [
      {
        date: '2025-08-23',
        dyno: 'Port Varrow hubs',
        kind: 'hub',
        repeatability: 0.008,
        fuel: '98 octane petrol',
        ethanol: 0.05,
        air: [24, 100.8, 0.5],
        pulls: [
          { name: 'As bought, first', stands: true, curve: engineCurve(standard) },
          { name: 'As bought, second', stands: true, curve: engineCurve({ ...standard, seed: 72 }) },
        ],
      },
    ],
  },
  {
    name: 'Strip and cage',
    swaps: [
      [
        'Inside out',
        [
          ['off', 'Front seat', 'interior', 21.2, 'measured', [1500, 0, 540], { pcs: 2 }],
          ['off', 'Rear bench', 'interior', 26.8, 'measured', [2350, 0, 570]],
          ['off', 'Carpet and deadening', 'interior', 21.9, 'measured', [1700, 0, 270]],
          ['off', 'Trim and headlining', 'interior', 17.3, 'measured', [2000, 0, 900]],
          ['off', 'Tailgate trim and wiper', 'interior', 5.6, 'measured', [3550, 0, 950]],
        ],
      ],
      [
        'Cage and seats',
        [
          ['on', 'Six-point cage', 'safety', 41.5, 'measured', [1650, 0, 800]],
          ['on', 'Shell seat with rails', 'safety', 10.1, 'measured', [1500, 0, 430], { pcs: 2 }],
          ['on', 'Belts, net and extinguisher', 'safety', 9.6, 'measured', [1700, 0, 420]],
        ],
      ],
      [
        'Air conditioning out',
        [
          ['off', 'Compressor, pipes, condenser', 'cooling', 18.9, 'measured', [-400, 100, 480]],
          ['off', 'Loudspeakers and amplifier', 'electrics', 7.7, 'measured', [2900, 300, 500]],
        ],
      ],
    ],
    marks: [['mass', 'atMost', 1270]],
    weighIns: [
      { date: '2025-11-08', fuelLitres: 25, cross: 0.495, pressureBar: [2.1, 2.1], note: 'Cage in' },
    ],
  },
  {
    name: 'Big turbo',
    plannedKw: 250,
    plannedGrade: 'guess',
    note: 'Power enough, in too narrow a window: second is over at once, third falls below the boost threshold',
    swaps: [
      [
        'Turbo',
        [
          ['off', 'Standard turbo and manifold', 'engine', 16.4, 'measured', [-150, -240, 560]],
          ['on', 'Turbo, large turbine housing', 'engine', 11.8, 'measured', [-140, -250, 620]],
          ['on', 'Cast twin-entry manifold', 'engine', 9.3, 'measured', [-150, -180, 590]],
          ['on', 'Front-mount intercooler and pipes', 'cooling', 13.4, 'measured', [-620, 0, 430]],
        ],
      ],
      [
        'Exhaust and noise',
        [
          ['off', 'Exhaust system', 'exhaust', 29.2, 'measured', [2100, 100, 250]],
          ['on', '76 mm exhaust with two silencers', 'exhaust', 18.7, 'measured', [2150, 100, 250]],
        ],
      ],
      [
        'Steering and arms',
        [
          ['off', 'Front arm', 'suspension', 4.6, 'measured', [20, 0, 230], { pcs: 2 }],
          ['on', 'Long front arm with more lock', 'suspension', 3.9, 'measured', [20, 0, 230], { pcs: 2 }],
          ['on', 'Hydraulic handbrake', 'brakes', 3.2, 'measured', [1250, 0, 480]],
        ],
      ],
      [
        'Radiator to the rear',
        [
          ['off', 'Front radiator and fan', 'cooling', 9.8, 'measured', [-560, 0, 480]],
          ['on', 'Rear radiator with two fans', 'cooling', 10.9, 'measured', [3350, 0, 620]],
          ['on', 'Pipes and 9 l more coolant', 'cooling', 14.6, 'claim', [1500, 250, 250]],
        ],
      ],
    ],
    marks: [
      ['wheelPower', 'atLeast', 245_000],
      ['powerToWeight', 'atLeast', 185],
    ],
    weighIns: [
      { date: '2026-03-14', fuelLitres: 25, cross: 0.497, pressureBar: [2.1, 2.4], note: 'Rear radiator in' },
    ],
    dynoDays: [
      {
        date: '2026-03-21',
        dyno: 'Port Varrow hubs',
        kind: 'hub',
        repeatability: 0.008,
        fuel: 'E85 from the pump',
        ethanol: 0.74,
        air: [11, 99.6, 0.75],
        pulls: [
          { name: 'Large housing, first', stands: true, curve: engineCurve(peaky) },
          { name: 'Large housing, second', stands: true, curve: engineCurve({ ...peaky, seed: 74 }) },
          {
            name: 'Large housing, third',
            stands: true,
            curve: engineCurve({ ...peaky, torque: 174.6, seed: 75 }),
          },
          {
            name: 'Smaller housing, on loan',
            curve: engineCurve({ ...peaky, torque: 170, boost: [2.2, 3700, 210], droop: 0.2, seed: 76 }),
          },
        ],
      },
    ],
  },
  {
    name: 'Wider window',
    plannedKw: 235,
    plannedGrade: 'guess',
    note: 'Smaller housing, shorter final drive, a stronger centre joint',
    swaps: [
      [
        'Driveline',
        [
          [
            'off',
            'Propeller shaft with centre joint',
            'driveline',
            11.7,
            'measured',
            [1500, 0, 280],
            { open: true },
          ],
          ['on', 'One-piece propeller shaft', 'driveline', 9.4, 'claim', [1500, 0, 280], { open: true }],
          ['off', 'Final drive 3.54', 'driveline', 27.5, 'measured', [2700, 0, 330], { open: true }],
          ['on', 'Final drive 3.92', 'driveline', 27.9, 'claim', [2700, 0, 330], { open: true }],
        ],
      ],
      [
        'Turbine housing',
        [
          ['off', 'Large turbine housing', 'engine', 5.3, 'measured', [-140, -260, 600], { open: true }],
          ['on', 'Smaller turbine housing', 'engine', 4.6, 'claim', [-140, -260, 600], { open: true }],
        ],
      ],
      [
        'Panels',
        [
          ['off', 'Tailgate', 'body', 28.4, 'measured', [3500, 0, 950], { open: true }],
          ['on', 'Composite tailgate', 'body', 11.5, 'guess', [3500, 0, 950], { open: true }],
        ],
      ],
    ],
    marks: [
      ['mass', 'atMost', 1260],
      ['wheelPower', 'atLeast', 230_000],
    ],
  },
]

/** The drift estate: power enough, a window too narrow, and a centre joint that is the weak link. */
export const ember = () =>
  demoBuild(
    {
      name: 'Ember',
      car: 'Tolva Meridian estate, 2.3 turbo',
      discipline: 'drift',
      layout: 'rear',
      wheelbase: 2.7,
      trackFront: 1.5,
      trackRear: 1.495,
      baseMass: 1386,
      baseGrade: 'measured',
      baseSigma: 2.5,
      baseCentre: { x: 1.24, y: -0.003, z: 0.54 },
      baseFuel: 0.055,
      fuelDensity: 760,
      tank: { x: 2.45, y: 0, z: 0.38 },
      seat: { x: 1.52, y: 0.36, z: 0.5 },
      driverMass: 79,
      reference: { fuel: 0.025, driver: 0 },
      powerBasis: 'observed',
      units: METRIC as Build['units'],
      note: 'Dockside Drift Tech 2026; the venue limits noise',
    },
    stages,
  )
