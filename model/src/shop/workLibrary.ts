import type { BuildDocument, WorkOfBuild } from '@bold-ballast/contract'

/**
 * An open build as it stands in the workshop's record, instead of what the server last knew of it.
 *
 * @example withOwnWork([], document).length // 1
 */
export function withOwnWork(others: readonly WorkOfBuild[], document: BuildDocument): WorkOfBuild[] {
  const { build, stages, jobs, waits, parts, lines } = document
  const own: WorkOfBuild = {
    buildId: build.id,
    build: build.name,
    stages: stages.map(({ id, name }) => ({ id, name })),
    jobs,
    waits,
    parts,
    stored: lines.filter((line) => line.kind === 'off' && line.fate === 'stored' && line.fitted),
  }
  return [own, ...others.filter((other) => other.buildId !== build.id)]
}
