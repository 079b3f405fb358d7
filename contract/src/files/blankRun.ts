import { perCorner } from '@bold-ballast/core'
import type { Run } from '../records/kinds'

/** A run of which nothing is known yet. */
export const blankRun = (outingId: string, id: string, order: number): Omit<Run, 'version'> => ({
  id,
  outingId,
  order,
  session: '',
  kind: 'laps',
  purpose: 'baseLine',
  planned: false,
  lasts: null,
  time: null,
  driver: '',
  setupId: null,
  change: '',
  tyres: '',
  tyreLaps: null,
  fuel: null,
  air: null,
  track: 'dry',
  laps: [],
  cold: perCorner(() => null),
  hot: perCorner(() => null),
  treads: perCorner(() => null),
  discs: perCorner(() => null),
  bottle: null,
  words: { braking: null, entry: null, middle: null, exit: null, traction: null },
  readings: [],
  fault: '',
  added: [],
  checks: [],
  corners: [],
  note: '',
})

/** A lap that counts and of which nothing but its time is known. */
export const blankLap = (time: number | null): Run['laps'][number] => ({
  time,
  is: 'counts',
  sectors: [],
  entry: null,
  angle: null,
  judged: null,
})
