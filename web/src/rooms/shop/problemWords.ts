import type { BuildDocument } from '@bold-ballast/contract'
import type { ItemSource, WorkProblem } from '@bold-ballast/model'

/** What an item of the network is called. */
export const nameOfSource = (source: ItemSource): string =>
  source.kind === 'job' ? source.job.name : source.kind === 'wait' ? source.wait.name : source.part.name

type Named = Pick<BuildDocument, 'jobs' | 'waits' | 'parts'>

/** What stands in the way of a date being reckoned as it was written down, and what was done instead. */
export function problemWords(problem: WorkProblem, { jobs, waits, parts }: Named): string {
  const nameOf = (id: string) => [...jobs, ...waits, ...parts].find((r) => r.id === id)?.name ?? 'something'
  switch (problem.kind) {
    case 'ring': {
      // Told from the job that shouldn’t wait, round to it again.
      const at = problem.ring.indexOf(problem.cut.job)
      const round = [...problem.ring.slice(at), ...problem.ring.slice(0, at), problem.cut.job]
        .map(nameOf)
        .join(', then ')
      return `These wait for each other in a ring: ${round}. It is reckoned as if “${nameOf(problem.cut.job)}” didn’t wait for “${nameOf(problem.cut.before)}”.`
    }
    case 'dropped':
      return `“${problem.job.name}” comes after “${problem.before.name}”, which was dropped: it is reckoned as if it waited for nothing there.`
    case 'nobody':
      return `“${problem.job.name}” is for ${problem.names.join(' and ')}, whose hours nobody noted: whoever can does it.`
    case 'hands':
      return `“${problem.job.name}” takes ${problem.job.hands} pairs of hands, and only ${problem.there} can do it.`
    case 'apart':
      return `“${problem.job.name}” needs ${problem.job.who.join(' and ')} together, and they are never there at the same time.`
    case 'past':
      return `“${problem.date.name}” was on ${problem.date.date}, and jobs for it are open: take the date away, or put it off.`
    case 'overdue': {
      const { days } = problem
      const when = days < 1 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`
      return `“${nameOfSource(problem.source)}” was promised for ${when} and isn’t here: it is reckoned with what such promises come to once they are late. Ask, and type the new day.`
    }
    case 'unguessed':
      return problem.count === 1
        ? 'One job has no guess of its hours: two are taken, half an hour to eight.'
        : `${problem.count} jobs have no guess of their hours: two are taken for each, half an hour to eight.`
    case 'noHours':
      return 'Nobody’s hours are noted: one pair of hands is taken, each weekday from six to nine and Saturdays from nine to five.'
  }
}
