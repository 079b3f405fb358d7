import type { BuildDocument } from '@bold-ballast/contract'
import { doubtSource } from '@bold-ballast/core'
import { isSameName } from '@bold-ballast/model'

const sayDate = (date: string): string =>
  new Date(`${date}T12:00:00Z`).toLocaleDateString('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  })

/**
 * What a doubt is, in words.
 *
 * @param name as it stands among a figure's doubts
 * @example describeDoubt(name, document) // 'the day on Yard hubs, 2 May 2026'
 */
export function describeDoubt(
  name: string,
  { dynoDays, pulls }: Pick<BuildDocument, 'dynoDays' | 'pulls'>,
): string {
  const source = doubtSource(name)
  if (source.of === 'pull') {
    const pull = pulls.find((p) => p.id === source.id)
    return pull ? `the pull “${pull.name}”` : 'a pull'
  }
  const dyno = dynoDays.find((d) => isSameName(d.dyno, source.dyno))?.dyno ?? source.dyno
  return source.of === 'day' ? `the day on ${dyno}, ${sayDate(source.date)}` : `what ${dyno} is off by itself`
}
