import type { Hand } from '@bold-ballast/contract'

type Of = Pick<Hand, 'name' | 'week' | 'can'> & Partial<Hand>

const evenings = (days: readonly Hand['week'][number]['day'][], from: string, until: string): Hand['week'] =>
  days.map((day) => ({ day, from, until }))

/** The workshop's three, with the hours that each of them gives to one of its builds. */
export const INES: Of = {
  name: 'Ines',
  week: [...evenings(['tue', 'thu'], '18:00', '22:00'), { day: 'sat', from: '09:00', until: '16:00' }],
  can: [],
}
export const TOMASZ: Of = {
  name: 'Tomasz',
  week: [...evenings(['mon', 'wed', 'thu'], '18:30', '21:30'), { day: 'sat', from: '10:00', until: '15:00' }],
  can: ['work', 'measurement', 'stripping', 'fitting', 'plumbing', 'wiring', 'engine', 'setUp'],
}
export const BEA: Of = {
  name: 'Bea',
  week: [...evenings(['tue', 'thu'], '18:00', '21:30'), { day: 'sat', from: '10:00', until: '14:00' }],
  can: ['work', 'measurement', 'setUp', 'fitting'],
}
