import { useController } from 'react-hook-form'
import { Button } from '../Button'
import { Choose } from '../Choose'
import { useOpenForm } from './RecordFormContext'

/** A field that holds several of a list, in no order: what is chosen can be taken away, and more be added. Nothing where there is nothing to choose. */
export function PickMany({
  name,
  label,
  options,
  none = 'none',
}: {
  name: string
  label: string
  /** Values with what they are called. */
  options: readonly (readonly [string, string])[]
  /** What is said while nothing is chosen. */
  none?: string
}) {
  const { control } = useOpenForm()
  const {
    field: { value, onChange },
    fieldState: { error },
  } = useController({ control, name })
  const chosen = (value ?? []) as readonly string[]
  const wordsFor = new Map(options)
  const left = options.filter(([one]) => !chosen.includes(one))
  if (options.length === 0 && chosen.length === 0) return null
  return (
    <fieldset className="col-span-2 flex flex-col gap-1">
      <legend className="sr-only">{label}</legend>
      {left.length > 0 && (
        <Choose
          label={label}
          value={null}
          options={[['', chosen.length === 0 ? none : 'one more'], ...left]}
          onChange={(one) => one && onChange([...chosen, one])}
        />
      )}
      {chosen.length > 0 && (
        <ul className="flex flex-wrap gap-1">
          {chosen.map((one) => (
            <li key={one} className="flex items-center gap-1 border border-line bg-bench px-2 text-[13.5px]">
              {wordsFor.get(one) ?? one}
              <Button
                look="quiet"
                className="!min-h-7 !px-1 !text-muted"
                onClick={() => onChange(chosen.filter((other) => other !== one))}
              >
                ×<span className="sr-only"> Without {wordsFor.get(one) ?? one}</span>
              </Button>
            </li>
          ))}
        </ul>
      )}
      {error && (
        <p role="alert" className="text-[13px] text-oxide">
          {error.message}
        </p>
      )}
    </fieldset>
  )
}
