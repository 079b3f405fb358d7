import { CORNER_WORDS } from '@bold-ballast/contract'
import { CORNERS, type Corner } from '@bold-ballast/core'
import type { ReactNode } from 'react'
import { useWatch, type FieldValues } from 'react-hook-form'
import { useOpenForm } from './RecordFormContext'
import { Button } from '../Button'

/**
 * Four corners of a form as they stand on the car seen from above: left and right, front over rear, so that a thumb finds
 * them. The right side can be filled with what the left says.
 */
export function CornerGrid({
  says,
  name,
  hint,
  canMirror = true,
  children,
}: {
  says: string
  /** Of the group of four, for the button that copies a side. */
  name: string
  hint?: ReactNode
  canMirror?: boolean
  children: (corner: Corner, label: string) => ReactNode
}) {
  const { control, setValue } = useOpenForm()
  const typed = useWatch<FieldValues>({ control, name }) as Readonly<Record<Corner, unknown>>
  const mirror = () => {
    for (const [from, to] of [
      ['frontLeft', 'frontRight'],
      ['rearLeft', 'rearRight'],
    ] as const)
      setValue(`${name}.${to}`, structuredClone(typed[from]), { shouldDirty: true, shouldValidate: true })
  }
  return (
    <fieldset className="col-span-2 border-t border-line pt-2">
      <legend className="sr-only">{says}</legend>
      <div className="mb-1 flex flex-wrap items-baseline justify-between gap-x-3">
        <span aria-hidden className="text-[16px] font-medium">
          {says}
        </span>
        {canMirror && (
          <Button look="quiet" className="!px-0 text-[13px]" onClick={mirror}>
            Right as left<span className="sr-only">, {says}</span>
          </Button>
        )}
      </div>
      {hint && <p className="mb-1 text-[12.5px] text-muted">{hint}</p>}
      <div className="grid grid-cols-2 items-start gap-3">
        {CORNERS.map((corner) => (
          <div key={corner}>{children(corner, CORNER_WORDS[corner])}</div>
        ))}
      </div>
    </fieldset>
  )
}
