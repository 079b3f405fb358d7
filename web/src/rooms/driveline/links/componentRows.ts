import { RECORDS, type Component, type RecordOf } from '@bold-ballast/contract'
import type { UnitPreferences } from '@bold-ballast/core'
import { csvList, type CsvRead } from '@bold-ballast/words'

const LIST = csvList<RecordOf<'component'>>(RECORDS.component, {
  name: { title: 'component', reads: /^component|^name|^part/i, isWanted: true },
  kind: { title: 'rated in', reads: /rated in|^kind/i },
  shaft: { title: 'shaft', reads: /shaft/i },
  rating: { title: 'rating', reads: /^rating/i },
  grade: { title: 'known by', reads: /known|grade/i },
  demand: { title: 'asked of it', reads: /asked|demand/i },
  wantedMargin: { title: 'margin wanted', reads: /margin/i },
  mass: { title: 'mass (kg)', reads: /^mass|^weight/i, unit: 'kg' },
  'life.measure': { title: 'life in', reads: /life in|counted/i },
  'life.expected': { title: 'expected life', reads: /expected/i, unit: 'h' },
  'life.spread': { title: 'spread (%)', reads: /spread/i, unit: '%' },
  'life.usedBefore': { title: 'used before', reads: /used|before/i, unit: 'h' },
  'life.since': { title: 'fitted on', reads: /fitted|since/i },
  axle: { title: 'axle', reads: /^axle/i },
  flow: { title: 'flow', reads: /^flow/i },
  statedEthanol: { title: 'stated for ethanol (%)', reads: /ethanol/i, unit: '%' },
  spares: { title: 'spares', reads: /spares/i },
  note: { title: 'note', reads: /note/i },
})

/**
 * Reads components from a CSV: the room's own, or one with a name and a rating or a life on each row.
 *
 * @param place the stage they are fitted at, and the order that the first of them gets
 */
export const componentRows = (
  text: string,
  place: { readonly stageId: string; readonly order: number },
  units: UnitPreferences,
  newId: () => string,
): CsvRead<RecordOf<'component'>> =>
  LIST.read(text, { units }, ({ get, fields }, count) => ({
    id: newId(),
    stageId: place.stageId,
    order: place.order + count,
    kind: 'torque',
    axle: null,
    flow: null,
    statedEthanol: 0,
    rating: null,
    grade: 'claim',
    demand: null,
    wantedMargin: 1.2,
    mass: null,
    spares: 0,
    replacement: null,
    replaces: null,
    note: '',
    name: '',
    ...fields,
    // Only a torque is taken by a shaft.
    shaft: (get('kind') ?? 'torque') === 'torque' ? (get('shaft') ?? null) : null,
    life: get('life.measure')
      ? { spread: 0.3, usedBefore: 0, since: null, ...(fields['life'] as object | undefined) }
      : null,
  }))

/** The same columns, written. */
export const componentCsv = (components: readonly Component[], units: UnitPreferences): string =>
  LIST.write(components, { units })
