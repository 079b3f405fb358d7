import { METRIC } from '@bold-ballast/core'
import type { Build } from '@bold-ballast/contract'
import { demoBuild, engineCurve, type EngineData, type StageData } from './demoBuild'

const standard: EngineData = {
  from: 2200,
  to: 6900,
  torque: 172,
  torqueAt: 4300,
  width: 3900,
  boost: [1.72, 2950, 260],
  droop: 0.2,
  seed: 41,
}
const bigTurbo: EngineData = {
  from: 2400,
  to: 7400,
  torque: 176,
  torqueAt: 4900,
  width: 4300,
  boost: [2.42, 3550, 300],
  droop: 0.14,
  seed: 43,
}

const stages: StageData[] = [
  {
    name: 'As bought',
    plannedKw: 150,
    plannedGrade: 'claim',
    swaps: [
      [
        'Left in it by the last owner',
        [
          ['off', 'Loudspeaker box', 'interior', 14.2, 'measured', [3100, 0, 620]],
          ['off', 'Jack, wheel brace and tools', 'other', 6.8, 'measured', [3050, 250, 480]],
        ],
      ],
    ],
    weighIns: [
      {
        date: '2025-10-11',
        fuelLitres: 50,
        cross: 0.497,
        pressureBar: [2.2, 2.1],
        note: 'Lantern Yard floor, shimmed to 1 mm',
      },
    ],
    dynoDays: [
      {
        date: '2025-10-18',
        dyno: 'Harbour Street rollers',
        kind: 'rollerLoaded',
        repeatability: 0.02,
        fuel: '98 octane petrol',
        ethanol: 0.05,
        air: [14, 100.9, 0.72],
        note: 'Fourth gear, two straps a side',
        pulls: [
          { name: 'As bought, first', stands: true, curve: engineCurve({ ...standard, torque: 171 }) },
          { name: 'As bought, second', stands: true, curve: engineCurve({ ...standard, seed: 42 }) },
        ],
      },
    ],
  },
  {
    name: 'Bare shell',
    swaps: [
      [
        'Interior out',
        [
          ['off', 'Front seat', 'interior', 19.4, 'measured', [1450, 0, 520], { pcs: 2 }],
          ['off', 'Rear bench and backrest', 'interior', 21.3, 'measured', [2150, 0, 560]],
          ['off', 'Carpet and underlay', 'interior', 13.7, 'measured', [1500, 0, 290]],
          ['off', 'Headlining and pillar trim', 'interior', 6.1, 'measured', [1600, 0, 1250]],
          ['off', 'Door cards', 'interior', 2.6, 'measured', [1550, 0, 640], { pcs: 4 }],
          ['off', 'Centre console and ashtrays', 'interior', 5.2, 'measured', [1250, 0, 480]],
          ['off', 'Boot lining and spare wheel', 'interior', 24.9, 'measured', [3150, 0, 470]],
        ],
      ],
      [
        'Sound deadening scraped',
        [
          ['off', 'Bitumen sheet, floor', 'body', 17.6, 'measured', [1600, 0, 250]],
          ['off', 'Seam sealer and foam', 'body', 5.4, 'measured', [1700, 0, 420]],
        ],
      ],
      [
        'Comfort systems out',
        [
          ['off', 'Air conditioning compressor and pipes', 'engine', 13.8, 'measured', [-250, 180, 480]],
          ['off', 'Condenser and fan', 'cooling', 6.2, 'measured', [-620, 0, 470]],
          ['off', 'Heater box', 'interior', 8.9, 'measured', [640, 0, 720]],
          ['on', 'Small demister', 'interior', 1.9, 'measured', [640, 150, 760]],
          ['off', 'Airbags', 'safety', 5.1, 'measured', [900, 100, 830]],
        ],
      ],
      [
        'Body trim off',
        [
          ['off', 'Impact beams and bumper foam', 'body', 15.3, 'measured', [-720, 0, 450]],
          ['off', 'Rear wiper, tow hook, badges', 'body', 4.4, 'measured', [3300, 0, 850]],
          ['off', 'Wheel arch liners', 'body', 1.35, 'measured', [400, 0, 520], { pcs: 4 }],
        ],
      ],
    ],
    marks: [['mass', 'atMost', 1170]],
    weighIns: [
      {
        date: '2025-12-06',
        fuelLitres: 22,
        cross: 0.494,
        pressureBar: [2.2, 2.1],
        note: 'Seats out, weighed with 22 l aboard',
      },
    ],
  },
  {
    name: 'Cage and tanks',
    swaps: [
      [
        'Cage',
        [
          ['on', 'Six-point cage, tube', 'safety', 34.6, 'measured', [1500, 0, 820]],
          ['on', 'Door bars and gussets', 'safety', 8.2, 'measured', [1420, 0, 480]],
          ['on', 'Paint and weld', 'safety', 1.5, 'guess', [1500, 0, 780]],
        ],
      ],
      [
        'Seats and belts',
        [
          ['on', 'Shell seat, driver, with rails', 'safety', 9.8, 'measured', [1500, 350, 430]],
          ['on', 'Six-point belts', 'safety', 2.9, 'measured', [1700, 350, 480]],
          ['on', 'Window net and extinguisher', 'safety', 6.3, 'measured', [1350, -250, 300]],
        ],
      ],
      [
        'Fuel system',
        [
          ['off', 'Standard tank with pump', 'fuel', 12.4, 'measured', [2420, 0, 350]],
          ['on', 'Foam-filled cell, 45 l', 'fuel', 11.7, 'measured', [3050, 0, 430]],
          ['on', 'Surge tank and two pumps', 'fuel', 4.1, 'measured', [2950, -320, 420]],
          ['on', 'Braided lines and fittings', 'fuel', 3.2, 'measured', [1700, -300, 260]],
          ['on', 'Cell frame and firewall', 'fuel', 6.8, 'measured', [2900, 0, 500]],
        ],
      ],
      [
        'Wiring reduced',
        [
          ['off', 'Standard loom', 'wiring', 25.4, 'measured', [900, 0, 600]],
          ['on', 'Motorsport loom', 'wiring', 4.94, 'measured', [850, 0, 610]],
          ['on', 'Power box and switches', 'electrics', 1.6, 'measured', [1050, 0, 700]],
        ],
      ],
      [
        'Battery behind the seat',
        [
          ['off', 'Lead battery', 'electrics', 17.8, 'measured', [-150, -520, 620]],
          ['on', 'Small battery with box', 'electrics', 7.3, 'measured', [1950, -300, 330]],
          ['on', 'Cable to the front', 'electrics', 2.1, 'measured', [900, -300, 300]],
        ],
      ],
      [
        'Washer bottle',
        [['moved', 'Washer bottle', 'other', 1.2, 'measured', [-420, 480, 420], { to: [2600, 420, 420] }]],
      ],
    ],
    marks: [['mass', 'atMost', 1225]],
    weighIns: [
      {
        date: '2026-02-14',
        fuelLitres: 20,
        cross: 0.498,
        pressureBar: [1.9, 1.8],
        note: 'Cage in, on slicks',
      },
    ],
  },
  {
    name: 'First fire',
    plannedKw: 250,
    note: 'Turbo system in, first pulls on hubs',
    swaps: [
      [
        'Turbo system',
        [
          ['off', 'Standard turbo and manifold', 'engine', 17.9, 'measured', [-220, -220, 580]],
          ['on', 'Larger turbo', 'engine', 9.6, 'measured', [-200, -220, 640]],
          ['on', 'Tubular manifold', 'engine', 6.4, 'measured', [-210, -160, 600]],
          ['on', 'External wastegate', 'engine', 1.3, 'measured', [-150, -260, 620]],
          ['off', 'Exhaust system', 'exhaust', 27.4, 'measured', [1900, 150, 250]],
          ['on', 'Side-exit exhaust', 'exhaust', 9.1, 'measured', [900, -450, 230]],
        ],
      ],
      [
        'Charge cooling',
        [
          ['off', 'Top-mount intercooler', 'cooling', 5.7, 'measured', [-280, 0, 820]],
          ['on', 'Front-mount intercooler', 'cooling', 8.8, 'measured', [-680, 0, 400]],
          ['on', 'Charge pipes and hoses', 'cooling', 5.2, 'measured', [-400, 0, 480]],
        ],
      ],
      [
        'Engine and driveline',
        [
          ['off', 'Dual-mass flywheel and clutch', 'driveline', 21.6, 'measured', [180, 0, 400]],
          ['on', 'Single flywheel and paddle clutch', 'driveline', 12.3, 'measured', [180, 0, 400]],
          ['on', 'Oil cooler and lines, filled', 'cooling', 6.5, 'measured', [-600, 420, 380]],
          ['on', 'Catch tank', 'engine', 1.4, 'measured', [50, 420, 680]],
        ],
      ],
      [
        'Panels',
        [
          ['off', 'Steel bonnet', 'body', 19.6, 'measured', [-150, 0, 930]],
          ['on', 'Composite bonnet with pins', 'body', 6.7, 'measured', [-150, 0, 940]],
          ['off', 'Front wing, steel', 'body', 8, 'measured', [0, 0, 680], { pcs: 2 }],
          ['on', 'Front wing, composite', 'body', 4, 'measured', [0, 0, 680], { pcs: 2 }],
        ],
      ],
    ],
    marks: [
      ['mass', 'atMost', 1192],
      ['wheelPower', 'atLeast', 240_000],
      ['powerToWeight', 'atLeast', 205],
    ],
    weighIns: [
      // Two tool boxes and a tyre pump rode along above the rear axle; nobody had booked them.
      {
        date: '2026-04-25',
        fuelLitres: 20,
        cross: 0.491,
        unbooked: [9, [2480, 60, 520]],
        pressureBar: [1.9, 1.8],
        accuracy: 0.002,
        note: 'After the first fire, bars disconnected',
      },
    ],
    dynoDays: [
      {
        date: '2026-05-02',
        dyno: 'Port Varrow hubs',
        kind: 'hub',
        repeatability: 0.008,
        fuel: 'E85 from the pump',
        ethanol: 0.79,
        air: [19, 101.2, 0.55],
        note: 'Fourth gear, 1.35 bar above ambient',
        pulls: [
          {
            name: 'Wastegate spring',
            curve: engineCurve({ ...bigTurbo, boost: [1.9, 3300, 280], seed: 50 }),
          },
          { name: '1.35 bar, first', stands: true, curve: engineCurve({ ...bigTurbo, seed: 51 }) },
          { name: '1.35 bar, second', stands: true, curve: engineCurve({ ...bigTurbo, seed: 52 }) },
          {
            name: '1.35 bar, third',
            stands: true,
            curve: engineCurve({ ...bigTurbo, torque: 175.2, seed: 53 }),
          },
        ],
      },
    ],
  },
  {
    name: 'Big wing',
    plannedKw: 250,
    plannedGrade: 'claim',
    note: 'Splitter and wing to the edge of the class envelope',
    swaps: [
      [
        'Front aero',
        [
          ['on', 'Splitter, plywood 15 mm', 'aero', 14.8, 'claim', [-900, 0, 110], { open: true }],
          ['on', 'Splitter frame and struts', 'aero', 5.2, 'guess', [-700, 0, 220], { open: true }],
          ['on', 'Dive planes', 'aero', 0.7, 'guess', [-780, 0, 480], { pcs: 4, open: true }],
          ['on', 'Canvas seal and fixings', 'aero', 1.4, 'guess', [-800, 0, 200], { open: true }],
        ],
      ],
      [
        'Rear aero',
        [
          ['on', 'Two-element wing, 1.7 m', 'aero', 9.4, 'claim', [3420, 0, 1380], { open: true }],
          ['on', 'Uprights to the chassis', 'aero', 4.6, 'measured', [3250, 0, 1050], { open: true }],
          ['on', 'Diffuser and side skirts', 'aero', 11.5, 'guess', [2600, 0, 160], { open: true }],
          ['off', 'Steel boot lid', 'body', 12.9, 'measured', [3150, 0, 900], { open: true }],
          ['on', 'Composite boot skin', 'body', 3.4, 'claim', [3150, 0, 910], { open: true }],
        ],
      ],
    ],
    marks: [
      ['mass', 'atMost', 1220],
      ['powerToWeight', 'atLeast', 200],
    ],
    dynoDays: [
      {
        date: '2026-10-03',
        dyno: 'Harbour Street rollers',
        kind: 'rollerLoaded',
        repeatability: 0.02,
        fuel: 'E85 from the pump',
        ethanol: 0.71,
        air: [16, 100.4, 0.8],
        note: 'A second dyno in autumn fuel: not to be laid over the hubs',
        pulls: [
          {
            name: 'Rollers, 1.35 bar',
            stands: true,
            curve: engineCurve({ ...bigTurbo, torque: 165, seed: 61 }),
          },
          {
            name: 'Rollers, 1.35 bar again',
            stands: true,
            curve: engineCurve({ ...bigTurbo, torque: 166, seed: 62 }),
          },
        ],
      },
    ],
  },
  {
    name: 'Diet',
    plannedKw: 265,
    plannedGrade: 'guess',
    swaps: [
      [
        'Doors',
        [
          ['off', 'Front door, complete', 'body', 27.8, 'measured', [1250, 0, 640], { pcs: 2, open: true }],
          ['on', 'Composite door skin', 'body', 6.2, 'claim', [1250, 0, 640], { pcs: 2, open: true }],
          [
            'carried',
            'Latch, hinges and handle',
            'body',
            3.1,
            'measured',
            [1350, 0, 640],
            { pcs: 2, open: true },
          ],
          ['off', 'Rear door, complete', 'body', 22.6, 'measured', [2050, 0, 650], { pcs: 2, open: true }],
          ['on', 'Rear door skin, fixed', 'body', 5.1, 'guess', [2050, 0, 650], { pcs: 2, open: true }],
        ],
      ],
      [
        'Glass',
        [
          ['off', 'Rear glass', 'body', 9.7, 'guess', [2700, 0, 1120], { open: true }],
          ['on', 'Polycarbonate, 4 mm', 'body', 4.2, 'guess', [2700, 0, 1120], { open: true }],
          ['off', 'Side glass', 'body', 3.6, 'guess', [1650, 0, 1080], { pcs: 4, open: true }],
          ['on', 'Polycarbonate, 3 mm', 'body', 1.5, 'guess', [1650, 0, 1080], { pcs: 4, open: true }],
        ],
      ],
      [
        'Wheels',
        [
          ['off', 'Cast wheel, 17 in', 'wheels', 9.9, 'measured', [1290, 0, 310], { pcs: 4, open: true }],
          ['on', 'Forged wheel, 17 in', 'wheels', 7.6, 'claim', [1290, 0, 310], { pcs: 4, open: true }],
        ],
      ],
    ],
    marks: [
      ['mass', 'atMost', 1125],
      ['powerToWeight', 'atLeast', 230],
    ],
  },
]

/** The all-wheel-drive time attack car: six stages, and nine kilos that the books don't know of. */
export const nightjar = () =>
  demoBuild(
    {
      name: 'Nightjar',
      car: 'Brennick Four 2.2 turbo saloon',
      discipline: 'timeAttack',
      layout: 'all',
      wheelbase: 2.575,
      trackFront: 1.48,
      trackRear: 1.475,
      baseMass: 1412,
      baseGrade: 'measured',
      baseSigma: 2.5,
      baseCentre: { x: 1.075, y: 0.006, z: 0.53 },
      baseFuel: 0.05,
      fuelDensity: 775,
      tank: { x: 2.75, y: 0, z: 0.4 },
      seat: { x: 1.5, y: 0.35, z: 0.5 },
      driverMass: 82,
      reference: { fuel: 0.02, driver: 0 },
      powerBasis: 'observed',
      units: METRIC as Build['units'],
      note: 'Open Hatch & Saloon 2026',
    },
    stages,
  )
