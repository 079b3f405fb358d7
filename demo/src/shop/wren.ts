import { BEA, INES, TOMASZ } from './crew'
import type { ShopData } from './ShopData'

/** Fourteen months of small jobs, hours promised and hours taken; stripping promised as a day took a week of evenings. */
export const wrenShop: ShopData = {
  hands: [
    {
      ...INES,
      week: [
        { day: 'tue', from: '18:00', until: '21:00' },
        { day: 'sat', from: '09:00', until: '12:00' },
      ],
    },
    { ...TOMASZ, week: [{ day: 'wed', from: '18:30', until: '21:30' }] },
    BEA,
  ],
  dates: [
    {
      name: 'Quarry Hill, frost sprint',
      date: '2026-12-06',
      time: '08:00',
      kind: 'round',
      upTo: 'Corner balance',
      outing: 'Quarry Hill, frost sprint',
    },
    {
      name: 'Trailer from the harbour',
      date: '2026-12-05',
      time: '17:00',
      kind: 'transport',
      jobs: ['Wheel bearing, front left'],
    },
  ],
  store: {
    'Soft hood with frame': ['stored', 'Loft, wrapped in a sheet'],
    Seat: ['sold', 45],
    Carpet: ['scrapped'],
    'Radio and loudspeakers': ['sold', 30],
    'Manifold and exhaust': ['stored', 'Rafters'],
    'Lead battery': ['scrapped'],
    'Steel bonnet': ['stored', 'Loft'],
    'Wheel with road tyre': ['stored', 'Rack, upper'],
    'Bumper beams': ['scrapped'],
  },
  stages: {
    'As bought': {
      jobs: [
        ['Look it over on the lift', 'measurement', 'Ines', 2, 3, '2025-09-04'],
        ['Weigh it as it came, on borrowed pads', 'measurement', 'Bea', 2, 2.5, '2025-09-06'],
      ],
      guesses: [
        ['mass', 'Ines', 790, '2025-09-06'],
        ['mass', 'Tomasz', 760, '2025-09-06'],
        ['hours', 'Ines', 200 * 3600, '2025-09-06'],
      ],
    },
    'Hood off': {
      jobs: [
        [
          'Strip the inside',
          'stripping',
          'Ines',
          8,
          38,
          '2025-10-11',
          {
            note: 'Promised as one day; it was a week of evenings. Glue, broken clips, six lost trim screws',
          },
        ],
        ['Hood and its frame out', 'stripping', 'Ines', 2, 9, '2025-10-18'],
        ['Seat brackets', 'cutting', 'Ines', 4, 7, '2025-11-01'],
        ['Hard bar in', 'fitting', 'Ines', 5, 8.5, '2025-11-15'],
        ['Seats and belts in', 'fitting', 'Tomasz', 3, 7, '2025-11-20'],
      ],
    },
    'Light and loud': {
      jobs: [
        ['Exhaust off, and the heat shields', 'stripping', 'Tomasz', 1, 4.5, '2025-12-13'],
        ['Heater out, hoses looped', 'plumbing', 'Tomasz', 2, 4, '2026-01-10'],
        ['Bumper beams and bonnet', 'fitting', 'Ines', 4, 6, '2026-01-24'],
        ['Battery moved behind the seat', 'wiring', 'Tomasz', 2.5, 6.5, '2026-02-07'],
        ['Exhaust and silencer hung', 'fitting', 'Tomasz', 3, 5, '2026-02-21'],
        ['Dyno day, straps and all', 'measurement', 'Bea', 4, 6, '2026-03-07'],
        ['Rear bar off, toe again', 'setUp', 'Bea', 1.5, 2, '2026-05-01', { operation: 'Toe by string' }],
        ['Bar and pads changed, brakes bled', 'plumbing', 'Tomasz', 2, 3.5, '2026-05-14'],
      ],
    },
    'Corner balance': {
      jobs: [
        ['Doors without their glass', 'stripping', 'Ines', 2, 11, '2026-06-06'],
        ['Plastic screen cut and fitted', 'bodywork', 'Ines', 4, 9, '2026-06-13'],
        ['Ballast tray', 'cutting', 'Ines', 2, 3, '2026-06-18'],
        ['Corner balance on four pads', 'setUp', 'Bea', 3, 3.5, '2026-06-20'],
        ['Toe again after the perches', 'setUp', 'Bea', 1, 1.5, '2026-06-21', { operation: 'Toe by string' }],
        ['Oil and filter', 'engine', 'Tomasz', 0.75, 1, '2026-06-27'],
        ['Underside looked at after the kerb', 'measurement', 'Bea', 1, 1, '2026-08-01'],
        ['Toe before the autumn', 'setUp', 'Bea', 1, 1.25, '2026-10-24', { operation: 'Toe by string' }],
        [
          'Wheel bearing, front left',
          'engine',
          'Tomasz',
          2,
          null,
          null,
          { who: ['Tomasz'], parts: ['Wheel bearing'], note: 'Hums since round 4' },
        ],
        [
          'Wet set-up: bars soft, toe out',
          'setUp',
          'Bea',
          1.5,
          null,
          null,
          { who: ['Bea'], after: ['Wheel bearing, front left'] },
        ],
        [
          'Warm box for the tyres',
          'cutting',
          'Ines',
          3,
          null,
          null,
          { who: ['Ines'], canWait: true, place: 'bench' },
        ],
        [
          'Weigh it again with the bearing in',
          'measurement',
          'Bea',
          0.75,
          null,
          null,
          { after: ['Wet set-up: bars soft, toe out'], canWait: true },
        ],
      ],
      parts: [
        [
          'Wheel bearing',
          'suspension',
          'Pier Bearings',
          48,
          'ordered',
          {
            purpose: 'replacement',
            priceGrade: 'claim',
            orderedOn: '2026-11-17',
            promisedFor: '2026-11-26',
            promisedFirst: '2026-11-24',
          },
        ],
        [
          'Wet tyres',
          'wheels',
          'Rubber loft',
          96,
          'arrived',
          {
            purpose: 'consumable',
            quantity: 4,
            priceGrade: 'measured',
            orderedOn: '2026-10-20',
            promisedFor: '2026-10-30',
            arrivedOn: '2026-11-03',
            condition: 'used',
            findings: [{ what: 'wear', where: 'inner shoulder, one of them', cost: null, time: null }],
          },
        ],
      ],
      budgets: [[null, 900]],
    },
  },
}
