import type { RecordOf } from '@bold-ballast/contract'

/** Nothing measured for a class, at a stage. */
export const blankScrutiny = (stageId: string): RecordOf<'scrutiny'> => ({
  id: crypto.randomUUID(),
  stageId,
  rulebookId: null,
  roofHeight: null,
  bumperFront: null,
  bumperRear: null,
  overallWidth: null,
  groundClearance: null,
  tyreWidth: null,
  cageOutside: null,
  cageWall: null,
  noise: null,
  note: '',
})
