import * as z from 'zod'
import { branchToWrite, triedEdits, type Edit } from '../edits/edit'
import {
  COLLECTION,
  PARENT,
  PART_KINDS,
  RECORDS,
  withoutVersion,
  type Branch,
  type BuildDocument,
  type PartKind,
} from '../records/kinds'
import { FORMAT_VERSION } from '../versions/formatVersion'

export const BUILD_FILE_FORMAT = 'bold-ballast/build'

/** A whole build as one file: the same records as in the document, without versions. */
export const buildFile = z
  .strictObject({
    format: z.literal(BUILD_FILE_FORMAT, `The file must say "format": "${BUILD_FILE_FORMAT}".`),
    formatVersion: z.literal(FORMAT_VERSION, `Only format versions up to ${FORMAT_VERSION} are known here.`),
    build: RECORDS.build,
    stages: z.array(RECORDS.stage).min(1, 'A build has at least one stage.').max(200),
    swaps: z.array(RECORDS.swap).max(5000),
    lines: z.array(RECORDS.line).max(20_000),
    weighIns: z.array(RECORDS.weighIn).max(2000),
    tiltTests: z.array(RECORDS.tiltTest).max(500),
    dynoDays: z.array(RECORDS.dynoDay).max(1000),
    pulls: z.array(RECORDS.pull).max(5000),
    marks: z.array(RECORDS.mark).max(2000),
    sizings: z.array(RECORDS.sizing).max(200),
    optionSets: z.array(RECORDS.optionSet).max(200),
    drivetrains: z.array(RECORDS.drivetrain).max(200),
    gearsets: z.array(RECORDS.gearset).max(200),
    courseSpeeds: z.array(RECORDS.courseSpeeds).max(100),
    components: z.array(RECORDS.component).max(500),
    outings: z.array(RECORDS.outing).max(2000),
    services: z.array(RECORDS.service).max(5000),
    jobs: z.array(RECORDS.job).max(2000),
    seals: z.array(RECORDS.seal).max(500),
    steerings: z.array(RECORDS.steering).max(200),
    fitments: z.array(RECORDS.fitment).max(200),
    aeroElements: z.array(RECORDS.aeroElement).max(500),
    coastDowns: z.array(RECORDS.coastDown).max(200),
    downforceTests: z.array(RECORDS.downforceTest).max(200),
    attitudes: z.array(RECORDS.attitude).max(200),
    sheetStocks: z.array(RECORDS.sheetStock).max(100),
    rulebooks: z.array(RECORDS.rulebook).max(50),
    scrutinies: z.array(RECORDS.scrutiny).max(200),
    loads: z.array(RECORDS.load).max(200),
    conditions: z.array(RECORDS.condition).max(200),
    courses: z.array(RECORDS.course).max(100),
    instruments: z.array(RECORDS.instrument).max(200),
    branches: z.array(branchToWrite).max(200),
  })
  .superRefine((file, context) => {
    const ids = new Map<PartKind, Set<string>>()
    const all = new Set([file.build.id])
    for (const kind of PART_KINDS) {
      const seen = new Set<string>()
      file[COLLECTION[kind]].forEach((record, i) => {
        if (all.has(record.id)) {
          context.addIssue({
            code: 'custom',
            path: [COLLECTION[kind], i, 'id'],
            message: 'This id stands twice in the file.',
          })
        }
        seen.add(record.id)
        all.add(record.id)
      })
      ids.set(kind, seen)
    }
    for (const kind of PART_KINDS) {
      const parent = PARENT[kind]
      if (!parent) continue
      file[COLLECTION[kind]].forEach((record, i) => {
        const value = (record as unknown as Record<string, string>)[parent.field]!
        if (!ids.get(parent.kind)!.has(value)) {
          context.addIssue({
            code: 'custom',
            path: [COLLECTION[kind], i, parent.field],
            message: `No ${parent.kind} with this id stands in the file.`,
          })
        }
      })
    }
  })
export type BuildFile = z.infer<typeof buildFile>

const byOrder = (a: { order: number; id: string }, b: { order: number; id: string }) =>
  a.order - b.order || a.id.localeCompare(b.id)
const byDate = (a: { date: string; id: string }, b: { date: string; id: string }) =>
  a.date.localeCompare(b.date) || a.id.localeCompare(b.id)
const byId = (a: { id: string }, b: { id: string }) => a.id.localeCompare(b.id)

/** A document as a file, in a settled order, so that exporting twice gives the same bytes. */
export function fileOf(document: BuildDocument): BuildFile {
  return {
    format: BUILD_FILE_FORMAT,
    formatVersion: FORMAT_VERSION,
    build: withoutVersion(document.build),
    stages: document.stages.map(withoutVersion).sort(byOrder),
    swaps: document.swaps.map(withoutVersion).sort(byOrder),
    lines: document.lines.map(withoutVersion).sort(byOrder),
    weighIns: document.weighIns.map(withoutVersion).sort(byDate),
    tiltTests: document.tiltTests.map(withoutVersion).sort(byDate),
    dynoDays: document.dynoDays.map(withoutVersion).sort(byDate),
    pulls: document.pulls.map(withoutVersion).sort(byOrder),
    marks: document.marks.map(withoutVersion).sort(byId),
    sizings: document.sizings.map(withoutVersion).sort(byId),
    optionSets: document.optionSets.map(withoutVersion).sort(byOrder),
    drivetrains: document.drivetrains.map(withoutVersion).sort(byId),
    gearsets: document.gearsets.map(withoutVersion).sort(byOrder),
    courseSpeeds: document.courseSpeeds.map(withoutVersion).sort(byOrder),
    components: document.components.map(withoutVersion).sort(byOrder),
    outings: document.outings.map(withoutVersion).sort(byDate),
    services: document.services.map(withoutVersion).sort(byDate),
    jobs: document.jobs.map(withoutVersion).sort(byOrder),
    seals: document.seals.map(withoutVersion).sort(byId),
    steerings: document.steerings.map(withoutVersion).sort(byId),
    fitments: document.fitments.map(withoutVersion).sort(byId),
    aeroElements: document.aeroElements.map(withoutVersion).sort(byOrder),
    coastDowns: document.coastDowns.map(withoutVersion).sort(byDate),
    downforceTests: document.downforceTests.map(withoutVersion).sort(byDate),
    attitudes: document.attitudes.map(withoutVersion).sort(byId),
    sheetStocks: document.sheetStocks.map(withoutVersion).sort(byOrder),
    rulebooks: document.rulebooks.map(withoutVersion).sort(byOrder),
    scrutinies: document.scrutinies.map(withoutVersion).sort(byId),
    loads: document.loads.map(withoutVersion).sort(byOrder),
    conditions: document.conditions.map(withoutVersion).sort(byOrder),
    courses: document.courses.map(withoutVersion).sort(byOrder),
    instruments: document.instruments.map(withoutVersion).sort(byOrder),
    branches: document.branches.map(withoutVersion).sort(byOrder),
  }
}

/** Fields by which a record names another that it doesn't hang from. */
const LINKS = [
  'fromLine',
  'replaces',
  'componentId',
  'offStageId',
  'rulebookId',
  'lineId',
  'conditionId',
] as const

/**
 * The same file under new ids, for a second copy in the same place.
 *
 * @param newId makes an id; handed in, because nothing here reads a random source
 */
export function withNewIds(file: BuildFile, newId: () => string): BuildFile {
  const renamed = new Map<string, string>()
  const rename = (old: string) => renamed.get(old) ?? (renamed.set(old, newId()), renamed.get(old)!)
  /** Amounts are kept by the load's id, wherever a condition stands. */
  const inCondition = <T extends { amounts: Record<string, number> }>(condition: T): T => ({
    ...condition,
    amounts: Object.fromEntries(
      Object.entries(condition.amounts).map(([id, amount]) => [rename(id), amount]),
    ),
  })
  const renamedField = <T extends object>(holder: T, field: keyof T): T => {
    const to = holder[field] as string | null
    return { ...holder, [field]: to === null ? null : rename(to) }
  }
  const renamedLinks = (kind: PartKind, record: object): object => ({
    // Only a condition's amounts go by loads; an outing's are its own.
    ...(kind === 'condition' ? inCondition(record as { amounts: Record<string, number> }) : record),
    ...('condition' in record
      ? { condition: inCondition(record.condition as { amounts: Record<string, number> }) }
      : {}),
    ...('panel' in record && record.panel
      ? { panel: renamedField(record.panel as { stockId: string | null }, 'stockId') }
      : {}),
    ...(kind === 'downforceTest'
      ? { runs: (record as { runs: { wingId: string | null }[] }).runs.map((r) => renamedField(r, 'wingId')) }
      : {}),
    ...(kind === 'branch' ? inBranch(record as { stepId: string | null; edits: unknown }) : {}),
    ...Object.fromEntries(
      LINKS.filter((link) => link in record).map((link) => {
        const to = (record as Record<string, unknown>)[link] as string | null
        return [link, to === null ? null : rename(to)]
      }),
    ),
  })
  const renamedPart = (kind: PartKind, record: { id: string }): object => {
    const parent = PARENT[kind]
    const link = parent
      ? { [parent.field]: rename((record as unknown as Record<string, string>)[parent.field]!) }
      : {}
    return { ...renamedLinks(kind, record), id: rename(record.id), ...link }
  }
  const renamedBuild = <T extends BuildFile['build']>(build: T): T => ({
    ...build,
    id: rename(build.id),
    reference: inCondition(build.reference),
    bridges: build.bridges.map((bridge) => ({
      ...bridge,
      id: rename(bridge.id),
      firstDayId: rename(bridge.firstDayId),
      secondDayId: rename(bridge.secondDayId),
    })),
  })
  const renamedEdit = (edit: Edit): unknown => {
    if (edit.op === 'remove') return { ...edit, id: rename(edit.id) }
    return {
      ...edit,
      record: edit.kind === 'build' ? renamedBuild(edit.record) : renamedPart(edit.kind, edit.record),
    }
  }
  const inBranch = (branch: { stepId: string | null; edits: unknown }) => ({
    stepId: branch.stepId === null ? null : rename(branch.stepId),
    edits: triedEdits(branch as Pick<Branch, 'edits'>).map(renamedEdit),
  })
  const parts = PART_KINDS.map((kind) => [
    COLLECTION[kind],
    (file[COLLECTION[kind]] as { id: string }[]).map((record) => renamedPart(kind, record)),
  ])
  return {
    ...file,
    build: renamedBuild(file.build),
    ...Object.fromEntries(parts),
  } as BuildFile
}
