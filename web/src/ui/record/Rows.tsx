import type { ReactNode } from 'react'
import { useFieldArray } from 'react-hook-form'
import { Button } from '../Button'
import { useOpenForm } from './RecordFormContext'

/** The entries of a list within a record, each with its fields and a way to remove it, and the button that adds one. */
export function Rows({
  name,
  one,
  of,
  adds = one,
  begins,
  blank,
  least = 0,
  most = Infinity,
  className = 'grid grid-cols-2 items-start gap-3 border-t border-line pt-2',
  removes = 'whole line',
  children,
}: {
  name: string
  /** What one of them is called. */
  one: string
  /** Of which of several lists, for those who don't see where it stands. */
  of?: string
  /** What is added, where that is called otherwise. */
  adds?: string
  /** The words on the button while there is none. */
  begins?: string
  /** A new one, told the last there is. */
  blank: (last: Readonly<Record<string, unknown>> | undefined) => object
  /** So many stay, and more are not added. */
  least?: number
  most?: number
  className?: string
  /** Where the button that removes one stands: at the end of its fields, or below them. */
  removes?: 'beside' | 'whole line'
  children: (at: number) => ReactNode
}) {
  const { control } = useOpenForm()
  const { fields, append, remove } = useFieldArray({ control, name, keyName: 'key' })
  return (
    <>
      {fields.map(({ key }, i) => (
        <fieldset key={key} className={`col-span-2 ${className}`}>
          <legend className="sr-only">
            {one} {i + 1}
          </legend>
          {children(i)}
          {fields.length > least &&
            (removes === 'beside' ? (
              <Button look="quiet" className="!px-0 !text-muted" onClick={() => remove(i)}>
                Remove
                <span className="sr-only">
                  {' '}
                  {one} {i + 1} {of}
                </span>
              </Button>
            ) : (
              <Button
                look="quiet"
                className="col-span-2 justify-self-start !px-0 !text-muted"
                onClick={() => remove(i)}
              >
                Remove {one} {i + 1}
              </Button>
            ))}
        </fieldset>
      ))}
      <Button
        className="col-span-2"
        disabled={fields.length >= most}
        onClick={() => append(blank(fields.at(-1)))}
      >
        {begins && fields.length === 0 ? begins : `One more ${adds}`}
        {of && <span className="sr-only"> {of}</span>}
      </Button>
    </>
  )
}
