import {
  bareSchema,
  choicesOf,
  formatOf,
  metaOf,
  quantityAt,
  schemaAt,
  type FieldMeta,
  type FieldQuantity,
  type Kind,
  type RecordOf,
} from '@bold-ballast/contract'
import type { Quantity } from '@bold-ballast/core'
import type { ReactNode } from 'react'
import { useWatch, type FieldPath, type FieldValues } from 'react-hook-form'
import type * as z from 'zod'
import { useMay } from '../../store/me'
import { FormCheck, FormQuantity, FormSelect, FormText } from '../form'
import { FormNumber } from '../FormNumber'
import { useOpenForm } from './RecordFormContext'

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

/** The values of a choice with their words, as options. */
const optionsIn = (schema: z.core.$ZodType, words: FieldMeta['words']): [string, string][] =>
  (choicesOf(schema) ?? Object.keys(words ?? {})).map((value) => [
    String(value),
    words?.[String(value)] ?? String(value),
  ])

/** What a number counts, which may follow from what is typed elsewhere in the form. */
function useQuantity(meta: FieldMeta, name: string): FieldQuantity | undefined {
  const { control } = useOpenForm()
  const typed = useWatch({ control, disabled: typeof meta.quantity !== 'function' })
  return quantityAt(meta, typed, name)
}

const NO_CURRENCY = 'In which currency is said once, at “The build”'

/** One field of a record: what it is, what it is called and in what it is typed follow from its definition. */
function RecordField({ name, label: given, hint: says, isWide, ...more }: FieldProps) {
  const { control, schema, units, currency } = useOpenForm()
  const own = schemaAt(schema, name)
  const meta = metaOf(own)
  const quantity = useQuantity(meta, name)
  const seesMoney = useMay('money')
  const { type } = bareSchema(own)._zod.def
  // What somebody doesn't see they leave as it is.
  if (quantity === 'money' && !seesMoney) return null
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
        label={quantity === 'money' && currency ? `${label}, ${currency}` : label}
        {...(typeof hint === 'string' && { hint })}
        {...(quantity === 'money' && !currency && hint === undefined && { hint: NO_CURRENCY })}
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
        {...(formatOf(own) === 'date' && { type: 'date' as const })}
        {...(meta.isTime && { type: 'time' as const })}
        {...(isNote && { rows: more.rows ?? 2 })}
        {...(more.autoFocus && { autoFocus: true })}
        {...(more.list && { list: more.list })}
        {...(meta.fills && { fills: meta.fills })}
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

/** The same for a form that is typed as something else than its record: see `useTypedForm`. */
export const fieldsTyped = <T extends FieldValues>() => ({
  Field: RecordField as (props: FieldProps<FieldPath<T>>) => React.JSX.Element,
  Fields: RecordFields as (props: { names: readonly FieldPath<T>[] }) => React.JSX.Element[],
})
