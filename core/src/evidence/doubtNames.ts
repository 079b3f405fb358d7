import { nameKey } from '../lists/nameKey'

/** A dyno as its days name it: capitals and blanks don't tell two apart, what kind it is does. */
export interface NamedDyno {
  readonly dyno: string
  readonly kind: string
}

/** Figures that runs and laps of a car are worked out with. */
export type CarFigure =
  | 'mass'
  | 'height'
  | 'power'
  | 'grip'
  | 'radius'
  | 'drag'
  | 'downforce'
  | 'downforceFront'
  | 'downforceRear'
  | 'transferShare'
  | 'brakeFront'
  | 'sensitivity'

/** Where a doubt comes from. */
export type DoubtSource =
  /** What a dyno is off by itself, in all that is ever pulled on it. */
  | { readonly of: 'dyno'; readonly dyno: string; readonly kind: string }
  /** What all pulls of one day on a dyno are off by together. */
  | { readonly of: 'day'; readonly dyno: string; readonly kind: string; readonly date: string }
  /** How far off one pull is. */
  | { readonly of: 'pull'; readonly id: string }
  /** What the car weighed as it was bought. */
  | { readonly of: 'bought' }
  /** What one line of the ledger was weighed, claimed or guessed at. */
  | { readonly of: 'line'; readonly id: string }
  /** What lines of the ledger share: all that is a guess, a scale, one weighing that was shared out. */
  | { readonly of: 'shared'; readonly with: string }
  /** How far off one weighing of the whole car is, its gauge of fuel with it. */
  | { readonly of: 'weighing'; readonly id: string }
  /** A figure of the car that runs and laps are worked out with, off whatever it is known by. */
  | { readonly of: 'figure'; readonly figure: CarFigure }
  /** What was typed of one wing, panel or body. */
  | { readonly of: 'element'; readonly id: string }
  /** A figure of the whole car that somebody typed with its gears. */
  | { readonly of: 'typed'; readonly figure: 'drag' | 'downforce' }
  /** What figures that a model works out are off by themselves: runs and laps, top speeds, slides. */
  | { readonly of: 'model'; readonly model: 'run' | 'topSpeed' | 'slide' }
  /** The power that a stage is planned to have. */
  | { readonly of: 'planned'; readonly stage: string }
  /** What is aboard beside the car: its fuel, whoever sits in it, a load. */
  | { readonly of: 'aboard'; readonly what: string }

const nameOf = (source: DoubtSource): string => JSON.stringify(source)
const keyOf = ({ dyno, kind }: NamedDyno) => ({ dyno: nameKey(dyno), kind })

/** What lines and cars off one scale share. */
export const sharedByScale = (scale: string): string => `scale ${nameKey(scale)}`

/** The names of doubts: one source has one name, wherever it enters. */
export const doubtName = {
  dyno: (dyno: NamedDyno): string => nameOf({ of: 'dyno', ...keyOf(dyno) }),
  day: (day: NamedDyno & { readonly date: string }): string =>
    nameOf({ of: 'day', ...keyOf(day), date: day.date }),
  pull: (id: string): string => nameOf({ of: 'pull', id }),
  bought: nameOf({ of: 'bought' }),
  line: (id: string): string => nameOf({ of: 'line', id }),
  shared: (what: string): string => nameOf({ of: 'shared', with: what }),
  weighing: (id: string): string => nameOf({ of: 'weighing', id }),
  /** What a scale is off by in all that is weighed on it; scales that nobody named are taken for one. */
  scale: (scale: string): string => nameOf({ of: 'shared', with: sharedByScale(scale) }),
  figure: (figure: CarFigure): string => nameOf({ of: 'figure', figure }),
  element: (id: string): string => nameOf({ of: 'element', id }),
  typed: (figure: 'drag' | 'downforce'): string => nameOf({ of: 'typed', figure }),
  model: (model: 'run' | 'topSpeed' | 'slide'): string => nameOf({ of: 'model', model }),
  planned: (stage: string): string => nameOf({ of: 'planned', stage }),
  aboard: (what: string): string => nameOf({ of: 'aboard', what }),
} as const

/**
 * The source that a name is of, for words about it.
 *
 * @example doubtSource(doubtName.pull('seven')) // { of: 'pull', id: 'seven' }
 */
export const doubtSource = (name: string): DoubtSource => JSON.parse(name) as DoubtSource
