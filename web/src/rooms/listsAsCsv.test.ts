import { RECORDS, type Line } from '@bold-ballast/contract'
import { arbitraryOf } from '@bold-ballast/contract/testing/arbitraryOf'
import { METRIC, preferredUnit, US, type UnitPreferences } from '@bold-ballast/core'
import type { CsvRead } from '@bold-ballast/words'
import fc from 'fast-check'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import type * as z from 'zod'
import { ruleCsv, ruleRows } from './aero/class/ruleRows'
import { elementCsv, elementRows } from './aero/loads/elementRows'
import { componentCsv, componentRows } from './driveline/links/componentRows'
import { outingCsv, outingRows } from './driveline/life/outingRows'
import { loomCsv, loomRows } from './dyno/electrics/loomRows'
import { jobCsv, jobRows } from './shop/jobs/jobRows'
import { partCsv, partRows } from './shop/parts/partRows'
import { ledgerCsv } from './swaps/ledger/ledgerCsv'
import { guessRoles, pastedLines } from './swaps/ledger/pastedLines'
import { instrumentCsv, instrumentRows } from './scales/instruments/instrumentRows'

const newId = () => crypto.randomUUID()
const place = { stageId: newId(), order: 0 }

/** A figure as far as anybody measures one. */
const near = (value: unknown): unknown => {
  if (typeof value === 'number') return value === 0 ? 0 : Number(value.toPrecision(9))
  if (Array.isArray(value)) return value.map(near)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, near(inner)]))
}
const listed = (record: object, apart: readonly string[]) =>
  near(Object.fromEntries(Object.entries(record).filter(([key]) => !apart.includes(key))))

/** What is written comes back the same, but for what the list has no column for. */
function comesBack<T extends object>(
  schema: z.ZodType<T>,
  write: (records: readonly T[], units: UnitPreferences) => string,
  read: (text: string, units: UnitPreferences) => CsvRead<T>,
  apart: readonly (keyof T & string)[],
  made: (record: T) => T = (record) => record,
): void {
  fc.assert(
    fc.property(
      fc.array(arbitraryOf(schema).map(made), { minLength: 1, maxLength: 4 }),
      fc.constantFrom(METRIC, US),
      (records, units) => {
        const { records: back, bad } = read(write(records, units), units)
        expect(bad).toEqual([])
        expect(back.map((r) => listed(r, apart))).toEqual(records.map((r) => listed(r, apart)))
      },
    ),
    { numRuns: 150 },
  )
}

describe('every list that is written as CSV and read from it', () => {
  it('of components', () =>
    comesBack(
      RECORDS.component,
      (components, units) =>
        componentCsv(
          components.map((c) => ({ ...c, version: 1 })),
          units,
        ),
      (text, units) => componentRows(text, place, units, newId),
      ['id', 'stageId', 'order', 'replacement', 'replaces'],
      (c) => ({ ...c, shaft: c.kind === 'torque' ? c.shaft : null }),
    ))
  it('of jobs, but for what they hang from: what comes after what is told by name', () =>
    comesBack(
      RECORDS.job,
      (jobs) =>
        jobCsv(
          jobs.map((j) => ({ ...j, version: 1 })),
          [],
        ),
      (text) => jobRows(text, place, [], newId),
      ['id', 'stageId', 'order', 'after', 'waits', 'parts', 'swapId', 'markId', 'spells'],
    ))
  it('of parts to come, but for what they hang from and what was found on them', () =>
    comesBack(
      RECORDS.part,
      (parts) => partCsv(parts.map((p) => ({ ...p, version: 1 }))),
      (text) => partRows(text, place, newId),
      ['id', 'stageId', 'order', 'lineId', 'componentId', 'findings'],
    ))
  it('of days', () =>
    comesBack(
      RECORDS.outing,
      (outings) => outingCsv(outings.map((o) => ({ ...o, version: 1 }))),
      (text) => outingRows(text, place.stageId, newId),
      // Links and what is packed belong to one build, not to a list.
      ['id', 'stageId', 'setupId', 'courseId', 'take'],
    ))
  it('of scales and dynos', () =>
    comesBack(
      RECORDS.instrument,
      instrumentCsv,
      (text) => instrumentRows(text, 0, newId),
      ['id', 'order'],
      (i) =>
        i.kind === 'dyno'
          ? { ...i, resolution: null, betweenDays: i.betweenDays ?? 0.01 }
          : { ...i, betweenDays: null },
    ))
  it('of circuits', () =>
    comesBack(
      RECORDS.sizing.shape.electrics.unwrap().shape.circuits.element,
      (circuits) => loomCsv(circuits, { titles: ['drop (V)'], cells: () => ['0.1'] }),
      (text) => loomRows(text, newId),
      ['id'],
    ))
  it('of rules', () =>
    comesBack(
      RECORDS.rulebook.shape.rules.element,
      (rules, units) => ruleCsv({ rules: [...rules] }, units),
      (text, units) => ruleRows(text, units, newId),
      ['id'],
    ))
  it('of aero elements, but for how they are held and shaped', () =>
    comesBack(
      RECORDS.aeroElement,
      (elements) => elementCsv(elements.map((e) => ({ ...e, version: 1 }))),
      (text) => elementRows(text, place, newId),
      ['id', 'stageId', 'order', 'wing', 'panel', 'mount', 'replaces', 'offStageId', 'correction', 'lineId'],
    ))
  it('of the ledger, whatever its reader weighs and measures in, and in whatever order its columns are', () => {
    const columns = [
      'kind',
      'name',
      'system',
      'quantity',
      'mass',
      'grade',
      'source',
      'fitted',
      'position',
      'movedTo',
    ] as const
    const told = (line: object) => near(Object.fromEntries(columns.map((c) => [c, (line as Line)[c]])))
    fc.assert(
      fc.property(
        fc.array(arbitraryOf(RECORDS.line), { minLength: 1, maxLength: 4 }),
        fc.constantFrom(METRIC, US),
        fc.boolean(),
        (lines, person, isReversed) => {
          const units = { mass: preferredUnit('mass', person), length: preferredUnit('length', person) }
          const text = ledgerCsv(lines, () => 'Bare shell')
          const table = Papa.parse<string[]>(text.trim()).data.map((row) =>
            isReversed ? row.toReversed() : row,
          )
          const { roles, hasHeader } = guessRoles(table)
          expect([hasHeader, roles.includes('ignore')]).toEqual([true, false])
          const usual = { kind: 'on', system: 'other', grade: 'guess', fitted: false } as const
          const read = pastedLines(table.slice(1), roles, units, usual, table[0])
          expect(read.flatMap((r) => r.problems)).toEqual([])
          expect(read.map((r) => r.swap)).toEqual(lines.map(() => 'Bare shell'))
          expect(read.map((r) => told(r.line ?? {}))).toEqual(lines.map(told))
        },
      ),
      { numRuns: 200 },
    )
  })
})

it('a list of jobs says by name what comes after what, above and below, and among what is here', () => {
  const here = [{ id: newId(), name: 'Exhaust off' }]
  const text = 'job,after,who\nSubframe out,exhaust off; Bolts soaked,"Ines;""A; B"""\nBolts soaked,,\n'
  const { records, bad } = jobRows(text, place, here, newId)
  expect(bad).toEqual([])
  expect(records[0]!.after).toEqual([here[0]!.id, records[1]!.id])
  expect(records[0]!.who).toEqual(['Ines', 'A; B'])
  const written = jobCsv(
    records.map((job) => ({ ...job, version: 1 })),
    [...here, ...records],
  )
  expect(jobRows(written, place, here, newId).records[0]!.after).toHaveLength(2)
  expect(jobRows('job,after\nA,the moon\n', place, here, newId).bad).toEqual([
    { line: 2, problem: 'after: nothing is called “the moon”' },
  ])
})

it('two jobs of one name in a list are two jobs', () => {
  const { records } = jobRows('job\nBleed\nBleed\n', place, [], newId)
  expect(new Set(records.map((job) => job.id)).size).toBe(2)
})
