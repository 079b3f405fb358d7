import { withoutVersion, type BuildDocument, type Edit, type Instrument } from '@bold-ballast/contract'
import { put } from './commit'

const isNamed = (name: string, instrument: Pick<Instrument, 'name'>) =>
  name.trim().toLowerCase() === instrument.name.trim().toLowerCase()

/**
 * What has to follow an instrument under a new name: the records that go by it.
 *
 * @example renameInstrument(view, rollers, 'Harbour Street') // a put for each of its dyno days
 */
export function renameInstrument(view: BuildDocument, instrument: Instrument, name: string): Edit[] {
  if (instrument.kind === 'dyno')
    return view.dynoDays
      .filter((day) => isNamed(day.dyno, instrument))
      .map((day) => put(view, 'dynoDay', { ...withoutVersion(day), dyno: name }))
  const weighIns = view.weighIns
    .filter((w) => isNamed(w.scale, instrument))
    .map((w) => put(view, 'weighIn', { ...withoutVersion(w), scale: name }))
  const lines = view.lines.flatMap((line) =>
    line.weighing && isNamed(line.weighing.scale, instrument)
      ? [put(view, 'line', { ...withoutVersion(line), weighing: { ...line.weighing, scale: name } })]
      : [],
  )
  return [...weighIns, ...lines]
}
