import { fileOf, type BuildDocument } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { notFound } from '../http/Refusal'
import { readBuildText } from './readBuildText'

/** A build's file as JSON, with its name. */
export async function buildFileText(
  db: Knex,
  owner: { workshopId: string; buildId: string },
): Promise<{ name: string; text: string }> {
  const read = await readBuildText(db, owner)
  if (!read) throw notFound('build')
  const file = fileOf(JSON.parse(read.text) as BuildDocument)
  return { name: file.build.name, text: JSON.stringify(file) }
}
