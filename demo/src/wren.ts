import { METRIC } from '@bold-ballast/core'
import type { Build } from '@bold-ballast/contract'
import { demoBuild, engineCurve, type EngineData, type StageData } from './demoBuild'

const standard: EngineData = {
  from: 2000,
  to: 7100,
  torque: 121,
  torqueAt: 5100,
  width: 5200,
  droop: 0.1,
  seed: 11,
}
const tuned: EngineData = {
  from: 2400,
  to: 7700,
  torque: 136,
  torqueAt: 5700,
  width: 5200,
  droop: 0.07,
  seed: 14,
}

const stages: StageData[] = [
  {
    name: 'As bought',
    plannedKw: 74,
    plannedGrade: 'claim',
    swaps: [
      ['Loose things', [['off', 'Hood bag, tools and mats', 'interior', 7.4, 'measured', [1700, 0, 420]]]],
    ],
    weighIns: [
      {
        date: '2025-09-06',
        fuelLitres: 40,
        cross: 0.501,
        pressureBar: [1.9, 1.9],
        note: 'Four borrowed pads',
      },
    ],
    dynoDays: [
      {
        date: '2025-09-13',
        dyno: 'Harbour Street rollers',
        kind: 'rollerLoaded',
        repeatability: 0.02,
        fuel: '95 octane petrol',
        ethanol: 0.09,
        air: [18, 101.4, 0.6],
        pulls: [
          { name: 'As bought, first', stands: true, curve: engineCurve(standard) },
          { name: 'As bought, second', stands: true, curve: engineCurve({ ...standard, seed: 12 }) },
        ],
      },
    ],
  },
  {
    name: 'Hood off',
    swaps: [
      [
        'Soft hood for a hard bar',
        [
          ['off', 'Soft hood with frame', 'body', 19.8, 'measured', [1950, 0, 880]],
          ['on', 'Roll-over bar', 'safety', 15.6, 'measured', [1750, 0, 760]],
          ['on', 'Bar padding and bolts', 'safety', 1.1, 'measured', [1750, 0, 820]],
        ],
      ],
      [
        'Seats',
        [
          ['off', 'Seat', 'interior', 15.9, 'measured', [1400, 0, 400], { pcs: 2 }],
          ['on', 'Shell seat with rails', 'safety', 8.1, 'measured', [1420, 0, 370], { pcs: 2 }],
        ],
      ],
      [
        'Inside',
        [
          ['off', 'Carpet', 'interior', 8.6, 'measured', [1350, 0, 230]],
          ['off', 'Door trim and winders', 'interior', 3.3, 'measured', [1300, 0, 500], { pcs: 2 }],
          ['off', 'Radio and loudspeakers', 'electrics', 4.2, 'measured', [950, 0, 600]],
        ],
      ],
    ],
    marks: [['mass', 'atMost', 880]],
    weighIns: [
      { date: '2025-11-22', fuelLitres: 15, cross: 0.488, pressureBar: [1.8, 1.8], note: 'Without driver' },
    ],
  },
  {
    name: 'Light and loud',
    plannedKw: 88,
    plannedGrade: 'guess',
    note: 'Only two borrowed pads were to hand: one axle at a time, the other on blocks of the same height',
    swaps: [
      [
        'Exhaust',
        [
          ['off', 'Manifold and exhaust', 'exhaust', 24.7, 'measured', [1500, -150, 240]],
          ['on', 'Long runners', 'exhaust', 5.9, 'measured', [150, -200, 480]],
          ['on', 'Single silencer exhaust', 'exhaust', 7.8, 'measured', [1900, -150, 230]],
        ],
      ],
      [
        'Battery',
        [
          ['off', 'Lead battery', 'electrics', 12.6, 'measured', [2700, -400, 430]],
          ['on', 'Small battery', 'electrics', 3.4, 'measured', [1800, -300, 300]],
        ],
      ],
      [
        'Bumpers and bonnet',
        [
          ['off', 'Bumper beams', 'body', 5.6, 'measured', [1100, 0, 420], { pcs: 2 }],
          ['off', 'Steel bonnet', 'body', 12.1, 'measured', [-50, 0, 790]],
          ['on', 'Composite bonnet', 'body', 5.3, 'measured', [-50, 0, 795]],
        ],
      ],
      [
        'Wheels',
        [
          ['off', 'Wheel with road tyre', 'wheels', 13.9, 'measured', [1130, 0, 290], { pcs: 4 }],
          ['on', 'Wheel with track tyre', 'wheels', 12.1, 'measured', [1130, 0, 290], { pcs: 4 }],
        ],
      ],
      [
        'Heater',
        [
          ['off', 'Heater and ducts', 'interior', 6.2, 'measured', [620, 0, 640]],
          ['moved', 'Washer bottle', 'other', 0.9, 'measured', [-350, 420, 450], { to: [900, -450, 350] }],
        ],
      ],
    ],
    marks: [
      ['mass', 'atMost', 820],
      ['wheelPower', 'atLeast', 86_000],
    ],
    weighIns: [
      {
        date: '2026-02-28',
        fuelLitres: 12,
        cross: 0.5,
        accuracy: 0.005,
        resolution: 1,
        pressureBar: [1.8, 1.8],
        note: 'Two pads, one axle at a time, blocks under the other: cross share is only an indication',
      },
    ],
    dynoDays: [
      {
        date: '2026-03-07',
        dyno: 'Harbour Street rollers',
        kind: 'rollerLoaded',
        repeatability: 0.02,
        fuel: '98 octane petrol',
        ethanol: 0.05,
        air: [9, 100.2, 0.85],
        pulls: [
          { name: 'Standard manifold', curve: engineCurve({ ...standard, torque: 122, seed: 21 }) },
          { name: 'Long runners', stands: true, curve: engineCurve({ ...tuned, torque: 130, seed: 22 }) },
          {
            name: 'Long runners, again',
            stands: true,
            curve: engineCurve({ ...tuned, torque: 130.6, seed: 23 }),
          },
          {
            name: 'Long runners, +2° from 4,500 rpm',
            curve: engineCurve({ ...tuned, torque: 131.4, seed: 24 }),
          },
        ],
      },
    ],
  },
  {
    name: 'Corner balance',
    plannedKw: 92,
    plannedGrade: 'guess',
    note: 'Class minimum 780 kg; the driver is counted separately',
    swaps: [
      [
        'Glass and doors',
        [
          ['off', 'Door, complete', 'body', 17.9, 'measured', [1200, 0, 560], { pcs: 2 }],
          ['on', 'Composite door skin', 'body', 4.8, 'measured', [1200, 0, 560], { pcs: 2 }],
          ['carried', 'Hinges and latch', 'body', 1.4, 'measured', [1250, 0, 560], { pcs: 2 }],
        ],
      ],
      [
        'Screen',
        [
          ['off', 'Glass windscreen with frame', 'body', 14.4, 'measured', [780, 0, 980], { open: true }],
          ['on', 'Low polycarbonate screen', 'body', 4.5, 'claim', [780, 0, 900], { open: true }],
        ],
      ],
      [
        'Ballast',
        [
          [
            'on',
            'Steel plate under the passenger’s feet',
            'other',
            10,
            'guess',
            [1050, -350, 160],
            { open: true },
          ],
        ],
      ],
    ],
    marks: [
      ['mass', 'atMost', 795],
      ['powerToWeight', 'atLeast', 110],
    ],
    weighIns: [
      {
        date: '2026-06-20',
        fuelLitres: 10,
        driver: 74,
        cross: 0.4965,
        pressureBar: [1.8, 1.8],
        note: 'Four pads again, Ines in the seat, before the screen',
      },
    ],
  },
]

/** The light roadster: a mass ledger, a corner balance, and a class minimum. */
export const wren = () =>
  demoBuild(
    {
      name: 'Wren',
      car: 'Ostrel R16, 1.6 roadster',
      discipline: 'track',
      layout: 'rear',
      wheelbase: 2.265,
      trackFront: 1.405,
      trackRear: 1.42,
      baseMass: 948,
      baseGrade: 'measured',
      baseSigma: 2,
      baseCentre: { x: 1.08, y: 0.004, z: 0.46 },
      baseFuel: 0.04,
      fuelDensity: 745,
      tank: { x: 1.95, y: 0, z: 0.42 },
      seat: { x: 1.42, y: 0.33, z: 0.42 },
      driverMass: 74,
      reference: { fuel: 0.01, driver: 0 },
      powerBasis: 'observed',
      units: METRIC as Build['units'],
      note: 'Varrow Club Sprint 2026',
    },
    stages,
  )
