import { GRADE, type BuildDocument } from '@bold-ballast/contract'
import { doubtSource, FUEL, SEAT } from '@bold-ballast/core'
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
export function describeDoubt(name: string, { dynoDays, pulls, lines = [], loads = [] }: Named): string {
  const source = doubtSource(name)
  const called = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
    list.find((one) => one.id === id)?.name
  switch (source.of) {
    case 'pull': {
      const pull = called(pulls, source.id)
      return pull ? `the pull “${pull}”` : 'a pull'
    }
    case 'day':
      return `the day on ${dynoNamed(source.dyno, dynoDays)}, ${sayDate(source.date)}`
    case 'dyno':
      return `what ${dynoNamed(source.dyno, dynoDays)} is off by itself`
    case 'bought':
      return 'the car as bought'
    case 'line': {
      const line = lines.find((one) => one.id === source.id)
      return line ? `“${line.name}”, ${GRADE[line.grade].toLowerCase()}` : 'a line of the ledger'
    }
    case 'shared':
      return saySharing(source.with)
    case 'aboard':
      if (source.what === FUEL) return 'the fuel aboard'
      if (source.what === SEAT) return 'whoever sits in it'
      return `“${called(loads, source.what) ?? 'a load'}” aboard`
  }
}

type Named = Pick<BuildDocument, 'dynoDays' | 'pulls'> & Partial<Pick<BuildDocument, 'lines' | 'loads'>>

const dynoNamed = (dyno: string, days: Named['dynoDays']) =>
  days.find((d) => isSameName(d.dyno, dyno))?.dyno ?? dyno

/** What lines share, as `countedLines` names it. */
function saySharing(what: string): string {
  if (what.startsWith('scale ')) return `what the scale “${what.slice(6)}” is off by itself`
  if (what.startsWith('together ')) return 'one weighing that was shared out'
  return `what all ${what === 'all that is a claim' ? 'claims' : 'guesses'} lean by together`
}
