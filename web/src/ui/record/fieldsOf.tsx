import { bareSchema, metaOf, type FieldMeta, type Kind, type RecordOf } from '@bold-ballast/contract'
import type { Quantity } from '@bold-ballast/core'
import type { ReactNode } from 'react'
import { useWatch, type FieldPath, type FieldValues } from 'react-hook-form'
import type * as z from 'zod'
import { useBuild } from '../../store/useBuild'
import { FormCheck, FormQuantity, FormSelect, FormText } from '../form'
import { FormNumber } from '../FormNumber'
import { useOpenForm } from './RecordFormContext'
import { schemaAt } from './schemaAt'

interface FieldProps<N extends string = string> {
  readonly name: N
  /** Where the place of the field says more than its definition. */
  readonly label?: string
  readonly hint?: ReactNode
  /** Of a choice: only some of its values, or others. */
  readonly options?: readonly (readonly [string, string])[]
  readonly rows?: number
  readonly autoFocus?: boolean
  /** Emptied, it is missing: not the `null` of a figure that is left out. */
  readonly needed?: boolean
  /** Across both columns; a note is by itself. */
  readonly isWide?: boolean
  readonly list?: string
}

const isDate = (schema: z.core.$ZodType) =>
  'format' in bareSchema(schema)._zod.def &&
  (bareSchema(schema)._zod.def as z.core.$ZodStringFormatDef).format === 'date'

/** The values of a choice with their words, as options. */
const optionsIn = (schema: z.core.$ZodType, words: FieldMeta['words']): [string, string][] => {
  const { def } = bareSchema(schema)._zod
  const values =
    'entries' in def ? Object.values((def as z.core.$ZodEnumDef).entries) : Object.keys(words ?? {})
  return values.map((value) => [String(value), words?.[String(value)] ?? String(value)])
}

/** What a number counts, which may follow from what is typed elsewhere in the form. */
function useQuantity({ quantity }: FieldMeta, name: string): ReturnType<typeof quantityIn> {
  const { control } = useOpenForm()
  const typed = useWatch({ control, disabled: typeof quantity !== 'function' })
  return quantityIn(quantity, typed, name)
}
function quantityIn(quantity: FieldMeta['quantity'], typed: FieldValues, name: string) {
  if (typeof quantity !== 'function') return quantity
  let around: Record<string, unknown> = { ...typed }
  let at: unknown = typed
  for (const part of name.split('.').slice(0, -1)) {
    at = typeof at === 'object' && at !== null ? new Map(Object.entries(at)).get(part) : undefined
    if (typeof at === 'object') around = { ...around, ...at }
  }
  return quantity(around)
}

/** One field of a record: what it is, what it is called and in what it is typed follow from its definition. */
function RecordField({ name, label: given, hint: says, isWide, ...more }: FieldProps) {
  const { control, schema } = useOpenForm()
  const { units, view } = useBuild()
  const own = schemaAt(schema, name)
  const meta = metaOf(own)
  const quantity = useQuantity(meta, name)
  const { type } = bareSchema(own)._zod.def
  const hint = says ?? meta.hint
  const label = given ?? meta.label ?? name
  const common = { control, name, label, ...(hint !== undefined && { hint }) }
  const isNote = name === 'note' || more.rows !== undefined
  const field =
    type === 'boolean' ? (
      <div className="self-end pb-1">
        <FormCheck control={control} name={name} label={label} />
      </div>
    ) : quantity === 'number' || quantity === 'money' ? (
      <FormNumber
        control={control}
        name={name}
        label={quantity === 'money' && view.build.currency ? `${label}, ${view.build.currency}` : label}
        {...(typeof hint === 'string' && { hint })}
      />
    ) : quantity ? (
      // In another quantity it is another field: what was typed in the one is nothing in the other.
      <FormQuantity
        key={quantity}
        {...common}
        quantity={quantity satisfies Quantity}
        units={units}
        {...(meta.unit && { unitSymbol: meta.unit })}
        {...(more.needed && { needed: true })}
      />
    ) : meta.words || more.options ? (
      <FormSelect {...common} options={more.options ?? optionsIn(own, meta.words)} />
    ) : (
      <FormText
        {...common}
        {...(isDate(own) && { type: 'date' as const })}
        {...(isNote && { rows: more.rows ?? 2 })}
        {...(more.autoFocus && { autoFocus: true })}
        {...(more.list && { list: more.list })}
      />
    )
  return isWide || isNote ? <div className="col-span-2">{field}</div> : field
}

function RecordFields({ names }: { names: readonly string[] }) {
  return names.map((name) => <RecordField key={name} name={name} />)
}

/**
 * The fields of a kind of record, for the form of one: each knows itself by its name.
 *
 * @example
 * const { Field, Fields } = fieldsOf('swap')
 * <Fields names={['workTime', 'cost']} />
 */
export function fieldsOf<K extends Kind>(_kind: K) {
  type Name = FieldPath<RecordOf<K> & FieldValues>
  return {
    Field: RecordField as (props: FieldProps<Name>) => React.JSX.Element,
    Fields: RecordFields as (props: { names: readonly Name[] }) => React.JSX.Element[],
  }
}
