import type { BuildDocument, Job, Line, PartToCome, Wait } from '@bold-ballast/contract'

/** What a build tells of how work goes in its workshop. */
export interface WorkOfBuild {
  readonly buildId: string
  readonly build: string
  readonly jobs: readonly Omit<Job, 'version'>[]
  readonly waits: readonly Omit<Wait, 'version'>[]
  readonly parts: readonly Omit<PartToCome, 'version'>[]
  /** What came off and was kept. */
  readonly stored: readonly Omit<Line, 'version'>[]
}

/**
 * An open build as it stands in the workshop's record, instead of what the server last knew of it.
 *
 * @example withOwnWork([], document)[0].build // 'Sample'
 */
export function withOwnWork(others: readonly WorkOfBuild[], document: BuildDocument): WorkOfBuild[] {
  const { build, jobs, waits, parts, lines } = document
  const own: WorkOfBuild = {
    buildId: build.id,
    build: build.name,
    jobs,
    waits,
    parts,
    stored: lines.filter((line) => line.kind === 'off' && line.fate === 'stored'),
  }
  return [own, ...others.filter((other) => other.buildId !== build.id)]
}
