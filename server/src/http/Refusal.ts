import type { Problem, ProblemType } from '@bold-ballast/contract'

/** A request that can't be done, in the words that the person should read. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly type: ProblemType,
    readonly title: string,
    readonly detail: string,
    readonly more: Partial<Pick<Problem, 'errors' | 'conflicts' | 'file'>> = {},
  ) {
    super(detail)
  }

  toProblem(): Problem {
    const { status, type, title, detail, more } = this
    return { type: `/problems/${type}`, title, status, detail, ...more }
  }
}

export const notFound = (what: string) =>
  new Refusal(404, 'not-found', 'Not here', `There is no ${what} with this id. It may have been removed.`)
