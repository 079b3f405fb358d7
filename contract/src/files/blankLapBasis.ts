import type { LapBasis } from '../records/kinds'

/** What laps are worked out with while nobody says otherwise. */
export const blankLapBasis = (stageId: string, id: string): Omit<LapBasis, 'version'> => ({
  id,
  stageId,
  sensitivity: 0.1,
  tyreLoad: 3000,
  differential: 'locked',
  lock: null,
  driveFront: null,
  brakeFront: null,
  brakingUsed: 0.95,
  gripFactor: null,
  powerFactor: null,
  note: '',
})
