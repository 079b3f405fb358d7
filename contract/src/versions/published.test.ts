import { describe, expect, it } from 'vitest'
import { buildFileJsonSchema } from '../wire/openApi'
import { FORMAT_VERSION } from './formatVersion'
import published from './published/build-12.json' with { type: 'json' }
import { RECORD_STEPS } from './recordSteps'

/** A schema with the fields that have to be there in one order: theirs says nothing. */
const unordered = (schema: unknown): unknown =>
  JSON.parse(
    JSON.stringify(schema, (key, value: unknown) =>
      key === 'required' && Array.isArray(value) ? [...value].sort() : value,
    ),
  )

describe('the published shape of records', () => {
  it('is that of this version: where it changes, the version moves on, and a new shape is published', () => {
    expect(published.properties.formatVersion.const).toBe(FORMAT_VERSION)
    expect(unordered(buildFileJsonSchema())).toEqual(unordered(published))
  })
  it('has a step from each version to the next', () => {
    expect(RECORD_STEPS).toHaveLength(FORMAT_VERSION - 1)
  })
})
