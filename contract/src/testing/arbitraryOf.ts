import fc from 'fast-check'
import * as z from 'zod'
import { bareSchema, isArray, isKeyed, isLiteral, isObject, isTuple, isUnion } from '../records/field'

interface Bounds {
  readonly least?: number
  readonly most?: number
}

/** What the checks of a schema leave: of a number its range, of a text or a list its length. */
function boundsOf(schema: z.core.$ZodType): Bounds {
  let bounds: Bounds = {}
  for (const { _zod } of schema._zod.def.checks ?? []) {
    const { def } = _zod
    if ('value' in def && typeof def.value === 'number') {
      if (def.check === 'greater_than') bounds = { ...bounds, least: def.value }
      if (def.check === 'less_than') bounds = { ...bounds, most: def.value }
    }
    if ('minimum' in def && typeof def.minimum === 'number') bounds = { ...bounds, least: def.minimum }
    if ('maximum' in def && typeof def.maximum === 'number') bounds = { ...bounds, most: def.maximum }
  }
  return bounds
}

const isInteger = ({ _zod: { def } }: z.core.$ZodType) => 'format' in def && def.format === 'safeint'

/** Evenly over the range: over all that a double can say, nearly everything would be next to nothing. */
function numbers(schema: z.core.$ZodType): fc.Arbitrary<number> {
  const { least = -1e6, most = 1e6 } = boundsOf(schema)
  if (isInteger(schema)) return fc.integer({ min: Math.ceil(least), max: Math.floor(most) })
  const steps = 100_000
  return fc.oneof(
    { weight: 1, arbitrary: fc.constantFrom(least, most, 0) },
    {
      weight: 9,
      arbitrary: fc
        .integer({ min: 0, max: steps })
        .map((step) => Number((least + ((most - least) * step) / steps).toPrecision(6))),
    },
  )
}

function texts(schema: z.core.$ZodType): fc.Arbitrary<string> {
  const { def } = schema._zod
  const format = 'format' in def ? String(def.format) : ''
  if (format === 'uuid') return fc.uuid()
  if (format === 'date')
    return fc
      .date({ min: new Date('2000-01-01'), max: new Date('2099-12-31'), noInvalidDate: true })
      .map((day) => day.toISOString().slice(0, 10))
  if (format === 'datetime')
    return fc
      .date({ min: new Date('2000-01-01'), max: new Date('2099-12-31'), noInvalidDate: true })
      .map((day) => day.toISOString())
  const pattern = def.checks?.map(({ _zod }) => _zod.def).find((check) => 'pattern' in check)?.pattern
  if (pattern instanceof RegExp) return fc.stringMatching(pattern)
  const most = Math.min(boundsOf(schema).most ?? 30, 30)
  // What spreadsheets, lists and quotes stumble over comes often.
  const piece = fc.oneof(
    fc.string({ maxLength: 6 }),
    fc.constantFrom('=', "'", '"', ',', ';', '\n', '\t', ' ', '-1', '@'),
  )
  return fc.array(piece, { maxLength: 6 }).map((pieces) => pieces.join('').slice(0, most))
}

/**
 * Any value that a schema takes, for properties over whole kinds of records: what its own rules refuse is left out.
 *
 * @example fc.assert(fc.property(arbitraryOf(RECORDS.line), (line) => …))
 */
export const arbitraryOf = <T>(schema: z.ZodType<T>): fc.Arbitrary<T> =>
  anyOf(schema).map((value) => schema.parse(value))

/** The rules of a schema are asked where it stands: asked of the whole record, hardly any would pass. */
const anyOf = (schema: z.core.$ZodType): fc.Arbitrary<unknown> =>
  made(schema).filter((value) => z.core.safeParse(schema, value).success)

function made(schema: z.core.$ZodType): fc.Arbitrary<unknown> {
  if (schema._zod.def.type === 'nullable') return fc.option(anyOf(bareSchema(schema)), { freq: 3 })
  if (schema._zod.def.type === 'optional') return anyOf(bareSchema(schema))
  if (isObject(schema))
    return fc.record(
      Object.fromEntries(Object.entries(schema._zod.def.shape).map(([name, inner]) => [name, anyOf(inner)])),
    )
  if (isArray(schema)) {
    const { least = 0, most = 5 } = boundsOf(schema)
    return fc.array(anyOf(schema._zod.def.element), {
      minLength: least,
      maxLength: Math.min(most, least + 3),
    })
  }
  if (isTuple(schema)) return fc.tuple(...schema._zod.def.items.map(anyOf))
  if (isKeyed(schema))
    return fc.dictionary(
      anyOf(schema._zod.def.keyType) as fc.Arbitrary<string>,
      anyOf(schema._zod.def.valueType),
      {
        maxKeys: 3,
      },
    )
  if (isUnion(schema)) return fc.oneof(...schema._zod.def.options.map(anyOf))
  if (isLiteral(schema)) return fc.constantFrom(...schema._zod.def.values)
  const { type } = schema._zod.def
  if (type === 'enum') return fc.constantFrom(...Object.values((schema as z.core.$ZodEnum)._zod.def.entries))
  if (type === 'number') return numbers(schema)
  if (type === 'boolean') return fc.boolean()
  if (type === 'string') return texts(schema)
  return fc.constant(null)
}
