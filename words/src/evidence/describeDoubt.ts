import { GRADE, type BuildDocument } from '@bold-ballast/contract'
import {
  doubtSource,
  FUEL,
  isSameName,
  SEAT,
  sharedByScale,
  type CarFigure,
  type DoubtSource,
} from '@bold-ballast/core'

const sayDate = (date: string): string =>
  new Date(`${date}T12:00:00Z`).toLocaleDateString('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  })

/** Figures of a car that a run or a lap is worked out with. */
const CAR_FIGURE: Record<CarFigure, string> = {
  mass: 'what the car weighs',
  height: 'how high its mass sits',
  power: 'its power',
  grip: 'the grip of its tyres',
  radius: 'how far a turn of the tyres goes',
  drag: 'its drag',
  downforce: 'its downforce',
  downforceFront: 'downforce on the front axle',
  downforceRear: 'downforce on the rear axle',
  transferShare: 'how its axles share load transfer',
  brakeFront: 'how its axles share the braking',
  sensitivity: 'how its tyres lose grip under load',
}
const MODEL: Record<Extract<DoubtSource, { of: 'model' }>['model'], string> = {
  run: 'how near worked-out runs come to driven ones',
  topSpeed: 'how near a worked-out top speed comes to a driven one',
  slide: 'the angle of a slide, and how near worked-out slides come to driven ones',
}

/**
 * What a doubt is, in words.
 *
 * @param name as it stands among a figure's doubts
 * @example describeDoubt(name, document) // 'the day on Yard hubs, 2 May 2026'
 */
export function describeDoubt(
  name: string,
  { dynoDays, pulls, lines = [], loads = [], weighIns = [], aeroElements = [], stages = [] }: Named,
): string {
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
    case 'weighing': {
      const on = weighIns.find((one) => one.id === source.id)?.date
      return on ? `the weighing of ${sayDate(on)}` : 'a weighing'
    }
    case 'figure':
      return CAR_FIGURE[source.figure]
    case 'element': {
      const element = called(aeroElements, source.id)
      return element ? `what was typed of “${element}”` : 'what was typed of a wing or panel'
    }
    case 'typed':
      return source.figure === 'drag' ? 'the drag area as it was typed' : 'the downforce as it was typed'
    case 'model':
      return MODEL[source.model]
    case 'planned': {
      const stage = called(stages, source.stage)
      return stage ? `the power that is planned for ${stage}` : 'the power that is planned'
    }
    case 'aboard':
      if (source.what === FUEL) return 'the fuel aboard'
      if (source.what === SEAT) return 'whoever sits in it'
      return `“${called(loads, source.what) ?? 'a load'}” aboard`
  }
}

type Named = Pick<BuildDocument, 'dynoDays' | 'pulls'> &
  Partial<Pick<BuildDocument, 'lines' | 'loads' | 'aeroElements' | 'stages'>> & {
    readonly weighIns?: readonly { readonly id: string; readonly date: string }[]
  }

const dynoNamed = (dyno: string, days: Named['dynoDays']) =>
  days.find((d) => isSameName(d.dyno, dyno))?.dyno ?? dyno

/** What lines share, as `countedLines` names it. */
function saySharing(what: string): string {
  if (what === sharedByScale(''))
    return 'what the scales are off by themselves, taken for one set as none is named'
  if (what.startsWith('scale ')) return `what the scale “${what.slice(6)}” is off by itself`
  if (what.startsWith('together ')) return 'one weighing that was shared out'
  return `what all ${what === 'all that is a claim' ? 'claims' : 'guesses'} lean by together`
}
