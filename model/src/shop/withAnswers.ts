import type { JobLine, UnknownName } from './readJobLine'

/** What somebody says of a name that wasn't found: it is to be made, as what, or it is a part of the job's own. */
export interface NameAnswer {
  readonly name: string
  readonly as: UnknownName['kind'] | 'words'
  /** Of the part or the job that is made. */
  readonly id: string
}

/** What was answered of a name, by its letters. */
const answerOf = ({ name }: UnknownName, answers: readonly NameAnswer[]) =>
  answers.find((answer) => answer.name.toLowerCase() === name.toLowerCase())

/** A name as somebody writes it at the head of a thing. */
const titled = (name: string) => name.charAt(0).toUpperCase() + name.slice(1)

/**
 * A line as it is once its unknown names have been answered: who is made works on it, what is made is waited for.
 *
 * @example withAnswers(line, []) // the line as it is
 */
export function withAnswers(line: JobLine, answers: readonly NameAnswer[]): JobLine {
  const answered = line.unknown.flatMap((one) => answerOf(one, answers) ?? [])
  const of = (as: NameAnswer['as']) => answered.filter((answer) => answer.as === as)
  const made = (as: 'part' | 'job') => of(as).map(({ id, name }) => ({ id, name: titled(name) }))
  const who = [...line.who, ...of('person').map(({ name }) => name)]
  return {
    ...line,
    name: [line.name, ...of('words').map(({ name }) => name)].join(' '),
    who,
    hands: Math.max(line.hands, who.length),
    after: [...line.after, ...made('job')],
    parts: [...line.parts, ...made('part')],
    unknown: line.unknown.filter((one) => !answerOf(one, answers)),
  }
}

/** Parts or jobs that some lines ask to be made, each once. */
export const toMake = (
  lines: readonly JobLine[],
  answers: readonly NameAnswer[],
  as: 'part' | 'job',
): { readonly id: string; readonly name: string }[] =>
  answers
    .filter(
      (answer) =>
        answer.as === as && lines.some((line) => line.unknown.some((one) => answerOf(one, [answer]))),
    )
    .map(({ id, name }) => ({ id, name: titled(name) }))
