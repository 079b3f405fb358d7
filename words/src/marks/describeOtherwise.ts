import type { BuildDocument, Mark, SealedFigures } from '@bold-ballast/contract'
import { formatQuantity, type UnitPreferences } from '@bold-ballast/core'
import { chanceOfMark, carAt, foldBuild, otherwiseRead } from '@bold-ballast/model'
import { sealedFiguresOf } from '../proof/sealedFiguresOf'
import { describeMark } from './describeMark'
import { unitOfMeasure } from './measures'

type Measure = Mark['measure']

const GUESS = 'A guess or a maker’s figure meets and misses nothing any more: only what was measured does.'
const SHARED =
  'Figures that share a scale, a dyno, a day or a guess are known as what they share leaves them: a difference on one dyno is surer, one over two is less sure.'
const SCALES = 'Two weighings of one state that agree prove it, whatever the books guess.'
const LAP =
  'The differential counts in every corner, the last piece before a corner brakes, and the ± of a lap holds all that it rests on.'
const DRIVEN =
  'Laps of one run hang together, and runs differ for no reason: what a few runs show is less sure than it was said to be.'

/** Why a measure reads otherwise. */
const WHY: Partial<Record<Measure, string>> = {
  mass: SCALES,
  frontShare: SCALES,
  crossShare: SCALES,
  wheelPower: SHARED,
  meanPower: SHARED,
  powerToWeight: SHARED,
  quarterMile: SHARED,
  lapTime: LAP,
  sectorTime: LAP,
  cornerSpeed: LAP,
  lapBestThree: DRIVEN,
  lapMedian: DRIVEN,
}

/** Something that was said otherwise before, with why. */
export interface OtherwiseSaid {
  /** "Stage 3, Cage and tanks: mass, at most 1,220 kg" */
  readonly what: string
  readonly was: string
  readonly is: string
  readonly why: string
}

const lower = (text: string) =>
  /^[A-Z][a-z]/.test(text) ? text.charAt(0).toLowerCase() + text.slice(1) : text

/** What a signed sheet and the records of today say differently of its marks: records of a signed stage don't change. */
function sinceSigned(was: SealedFigures, is: SealedFigures, stage: string): OtherwiseSaid[] {
  const today = new Map(is.marks.map((mark) => [`${mark.name}, ${mark.target}`, mark]))
  return was.marks.flatMap((mark) => {
    const now = today.get(`${mark.name}, ${mark.target}`)
    if (!now || (now.verdict === mark.verdict && now.figure === mark.figure)) return []
    const said = ({ figure, says }: typeof mark) => `${figure}, ${says}`
    return [
      {
        what: `${stage}: ${lower(mark.name)}, ${mark.target}`,
        was: `${said(mark)}, as it was signed`,
        is: said(now),
        why:
          now.verdict === 'cantTell' && mark.verdict !== 'cantTell' && !WHY[mark.measure]
            ? GUESS
            : (WHY[mark.measure] ?? SHARED),
      },
    ]
  })
}

/**
 * What a build's marks read otherwise than before the reckoning changed, each with what it was and why: what a guess met,
 * and what signed sheets say.
 *
 * @example describeOtherwise(document)[0]?.is // 'points to met, 9 in 10'
 */
export function describeOtherwise(document: BuildDocument): OtherwiseSaid[] {
  const { stages } = foldBuild(document)
  const units: UnitPreferences = document.build.units
  const { currency } = document.build
  const called = (id: string) => {
    const at = stages.findIndex((stage) => stage.id === id)
    return `Stage ${at + 1}, ${stages[at]?.name ?? ''}`
  }
  const signed = document.seals
    .filter(({ reopened }) => reopened === null)
    .flatMap(({ stageId, figures }) =>
      sinceSigned(figures, sealedFiguresOf(document, stageId), called(stageId)),
    )
  const sealed = new Set(signed.map(({ what }) => what))
  const guessed = otherwiseRead(document).flatMap(({ stage, mark, was, reading }) => {
    const car = carAt(document, stage.id)
    const chance = chanceOfMark(car, mark, reading)
    const words = { units, currency, conditions: document.conditions, chance }
    const said = describeMark(mark, reading, car.summary, words, 0)
    const what = `${called(stage.id)}: ${lower(said.measure)}, ${said.target}`
    const figure = reading.value
      ? `${formatQuantity(reading.value.value, unitOfMeasure(mark.measure, units, currency))}, `
      : ''
    return sealed.has(what)
      ? []
      : [
          {
            what,
            was: `${figure}${was}`,
            is: [said.verdict, said.odds].filter(Boolean).join(', '),
            why: GUESS,
          },
        ]
  })
  return [...signed, ...guessed]
}

/**
 * What else is reckoned otherwise, of what a build has: figures that nothing keeps as they were.
 *
 * @example describeReckoning(document).length // 1
 */
export function describeReckoning(document: BuildDocument): string[] {
  const { marks, jobs, runs, pulls, coastDowns, courses } = document
  const has = (...measures: Measure[]) => marks.some(({ measure }) => measures.includes(measure))
  const timed = runs.filter(({ laps }) => laps.length > 0)
  const said: readonly (readonly [boolean, string])[] = [
    [marks.length > 0, GUESS],
    [pulls.length > 1, SHARED],
    [has('mass', 'powerToWeight', 'frontShare', 'crossShare'), SCALES],
    [courses.length > 0, LAP],
    [timed.length > 1, DRIVEN],
    [
      jobs.length > 0,
      'What is late already is reckoned as late, and builds slip as a whole: dates are later and wider than they were.',
    ],
    [
      coastDowns.length > 0,
      'A coast-down knows drag and rolling as well as gusts, hills and its sensor leave them: less well than it said.',
    ],
  ]
  return said.flatMap(([isThere, words]) => (isThere ? [words] : []))
}
