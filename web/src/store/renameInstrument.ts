import {
  withoutVersion,
  type BuildDocument,
  type Edit,
  type Instrument,
  putEdit,
} from '@bold-ballast/contract'
import { isSameName } from '@bold-ballast/core'

/**
 * What has to follow an instrument under a new name: the records that go by it.
 *
 * @example renameInstrument(view, rollers, 'Harbour Street') // a put for each of its dyno days
 */
export function renameInstrument(view: BuildDocument, instrument: Instrument, name: string): Edit[] {
  if (instrument.kind === 'dyno')
    return view.dynoDays
      .filter((day) => isSameName(day.dyno, instrument.name))
      .map((day) => putEdit(view, 'dynoDay', { ...withoutVersion(day), dyno: name }))
  const weighIns = view.weighIns
    .filter((w) => isSameName(w.scale, instrument.name))
    .map((w) => putEdit(view, 'weighIn', { ...withoutVersion(w), scale: name }))
  const lines = view.lines.flatMap((line) =>
    line.weighing && isSameName(line.weighing.scale, instrument.name)
      ? [putEdit(view, 'line', { ...withoutVersion(line), weighing: { ...line.weighing, scale: name } })]
      : [],
  )
  return [...weighIns, ...lines]
}
