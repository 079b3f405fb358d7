import { Button } from './Button'

/** Change and remove at the end of a row; whose they are is said to those who can't see it. */
export function RowButtons({
  name,
  onChange,
  onRemove,
}: {
  name: string
  onChange?: (() => void) | undefined
  onRemove?: (() => void) | undefined
}) {
  return (
    <>
      {onChange && (
        <Button look="quiet" className="!px-1" onClick={onChange}>
          Change<span className="sr-only"> {name}</span>
        </Button>
      )}
      {onRemove && (
        <Button look="quiet" className="!px-1 !text-muted" onClick={onRemove}>
          Remove<span className="sr-only"> {name}</span>
        </Button>
      )}
    </>
  )
}
