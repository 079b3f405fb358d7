import { FORMAT_VERSION, type AlreadyHere, type WorkshopImported } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { addBuildOfMany, readyBuild, type ReadyBuild } from '../builds/addBuild'
import { EditBatchRow } from '../database/models/EditBatchRow'
import { ROW_OF } from '../database/rowOf'
import { PhotoRow } from '../database/models/PhotoRow'
import { PictureFileRow } from '../database/models/PictureFileRow'
import { RunLogRow } from '../database/models/RunLogRow'
import { runLogMore } from '../logs/runLogMore'
import type { Ahead } from './oneAhead'
import { refuse, type CheckedLine, type NumberedLine } from './readWorkshopFile'

const NAMED = { photo: 'photograph', picture: 'picture', log: 'log' } as const

type BuildLine = Extract<CheckedLine, { kind: 'build' }>
type Report = WorkshopImported['builds'][number]
type ReadyBuildLine = BuildLine & { readonly ready: ReadyBuild }
/** A line as it is read; a build is made ready to be inserted, which it can be while the database is at another. */
export type ReadyLine = Omit<NumberedLine, 'line'> & {
  readonly line: Exclude<CheckedLine, BuildLine> | ReadyBuildLine
}

export async function* readyLines(
  lines: AsyncIterable<NumberedLine>,
  workshopId: string,
): AsyncGenerator<ReadyLine> {
  for await (const { at, line } of lines)
    yield { at, line: line.kind === 'build' ? { ...line, ready: readyBuild(workshopId, line.file) } : line }
}

/**
 * Takes the builds of a workshop file in, in one transaction: all or none.
 *
 * A build that isn't here comes under its own ids, with its history, so that codes on printed sheets still lead to it.
 * One that is here is left alone, or comes as a copy under new ids; a copy begins without a history.
 *
 * @param lines of the file, in order
 * @throws {Refusal} 422 that names the line
 */
export async function importWorkshop(
  trx: Knex,
  workshopId: string,
  lines: AsyncIterable<Ahead<ReadyLine>>,
  alreadyHere: AlreadyHere,
): Promise<Omit<WorkshopImported, 'isDone'>> {
  const reports = new Map<string, Report>()
  let head: Extract<CheckedLine, { kind: 'workshop' }> | null = null
  let isWhole = false

  const takeBuild = async ({ createdAt, file, history, ready }: ReadyBuildLine, meanwhile: () => void) => {
    const isHere = await ROW_OF.build.query(trx).findById(file.build.id).select('id')
    const report: Report = {
      name: file.build.name,
      stages: file.stages.length,
      lines: file.lines.length,
      photos: 0,
      pictures: 0,
      logs: 0,
      changes: 0,
      fate: !isHere ? 'new' : alreadyHere === 'copy' ? 'copied' : 'left',
    }
    reports.set(file.build.id, report)
    if (report.fate === 'left') return
    const { id } = await addBuildOfMany(trx, workshopId, ready, createdAt, meanwhile)
    if (id !== file.build.id) return void (report.fate = 'copied')
    for (const [place, { at: doneAt, edits, inverse, result, ...batch }] of history.entries()) {
      const row = { ...batch, workshopId, buildId: id, createdAt: doneAt, sequence: place + 1 }
      await EditBatchRow.query(trx).insert({
        ...row,
        formatVersion: FORMAT_VERSION,
        ...({ edits, inverse, result } as object),
      })
    }
    report.changes = history.length
  }

  for await (const { value, goOn } of lines) {
    const { at, line } = value
    if (isWhole) throw refuse(`Line ${at}: something follows the end.`)
    if (line.kind === 'workshop') head = line
    else if (!head) throw refuse('The first line must say whose workshop it is.')
    else if (line.kind === 'build') await takeBuild(line, goOn)
    else if (line.kind === 'end') isWhole = true
    else {
      const report = reports.get(line.buildId)
      if (!report) throw refuse(`Line ${at}: a ${NAMED[line.kind]} of a build that isn’t in the file.`)
      if (report.fate !== 'new') continue
      const bytes = Buffer.from(line.bytes)
      const of = { buildId: line.buildId, workshopId, bytes }
      if (line.kind === 'photo') {
        await PhotoRow.query(trx).insert({ ...of, lineId: line.lineId, type: line.type })
        report.photos += 1
      } else if (line.kind === 'picture') {
        await PictureFileRow.query(trx).insert({ ...of, pictureId: line.pictureId, type: line.type })
        report.pictures += 1
      } else {
        await RunLogRow.query(trx).insert({ ...of, runId: line.runId, ...(await runLogMore(bytes)) })
        report.logs += 1
      }
    }
  }
  if (!head || !isWhole) throw refuse('The file ends too early: it was cut off. Export it again.')
  const { name, exportedAt, builds } = head
  if (builds !== reports.size)
    throw refuse(`It should hold ${builds} builds and holds ${reports.size}. Export it again.`)
  return { name, exportedAt, builds: [...reports.values()] }
}
