import { RECORDS, type AeroElement, type RecordOf } from '@bold-ballast/contract'
import { METRIC, USUAL_ELEMENT, type ElementKind } from '@bold-ballast/core'
import { csvList, type CsvRead } from '@bold-ballast/words'
import { blankWing, USUAL } from './elementForm'

const LIST = csvList<RecordOf<'aeroElement'>>(RECORDS.aeroElement, {
  name: { title: 'element', reads: /^element|^name/i, isWanted: true },
  kind: { title: 'kind', reads: /^kind|^what/i, isWanted: true },
  x: { title: 'behind front axle (m)', reads: /axle|^x\b/i, unit: 'm', isWanted: true },
  z: { title: 'up (m)', reads: /^up|^z\b|above/i, unit: 'm', isWanted: true },
  span: { title: 'width (m)', reads: /width|span/i, unit: 'm', isWanted: true },
  chord: { title: 'length (m)', reads: /length|chord/i, unit: 'm', isWanted: true },
  lift: { title: 'C_L', reads: /c_?l\b|lift/i },
  drag: { title: 'C_D', reads: /c_?d\b|drag/i },
  'wing.foils': { title: 'foils', reads: /foils/i },
  'wing.angle': { title: 'angle (°)', reads: /angle/i, unit: '°' },
  'wing.endPlate': { title: 'end plate (m)', reads: /end plate/i, unit: 'm' },
  'wing.gurney': { title: 'lip (m)', reads: /lip|gurney/i, unit: 'm' },
  grade: { title: 'known by', reads: /known|grade/i },
  spread: { title: 'spread (%)', reads: /spread|off by/i, unit: '%' },
  from: { title: 'from', reads: /^from|source/i },
  sealed: { title: 'closed against the bumper', reads: /closed|sealed/i },
  note: { title: 'note', reads: /note/i },
})

/**
 * Reads aero elements from a CSV: the room's own, or one with name, kind, place and size on each row. What isn't said
 * is taken as usual for the kind. Bare lengths are metres.
 *
 * @param place the stage they are fitted at, and the order that the first of them gets
 */
export const elementRows = (
  text: string,
  place: { readonly stageId: string; readonly order: number },
  newId: () => string,
): CsvRead<RecordOf<'aeroElement'>> =>
  LIST.read(text, { units: METRIC }, ({ get, fields }, count) => {
    const kind = get<ElementKind>('kind')
    const usual = kind === undefined ? undefined : USUAL_ELEMENT[kind]
    return {
      id: newId(),
      stageId: place.stageId,
      name: '',
      order: place.order + count,
      kind: '',
      lift: usual?.lift,
      drag: usual?.drag,
      sealed: true,
      panel: null,
      mount: null,
      grade: 'guess',
      spread: usual?.spread,
      from: get('lift') === undefined || get('drag') === undefined ? USUAL : '',
      replaces: null,
      offStageId: null,
      correction: null,
      lineId: null,
      note: '',
      ...fields,
      wing: kind === 'wing' ? { ...blankWing(), gurney: 0, ...(fields['wing'] as object | undefined) } : null,
    }
  })

/** The same columns, written. */
export const elementCsv = (elements: readonly AeroElement[]): string =>
  LIST.write(elements, { units: METRIC })
