import { useMay } from '../store/me'
import { Button } from './Button'
import { ElsewhereDot } from './ElsewhereDot'

/** Change and remove at the end of a row; whose they are is said to those who can't see it. */
export function RowButtons({
  name,
  recordId,
  onChange,
  onRemove,
}: {
  name: string
  /** Of the record, so that it can be seen that somebody else is changing it. */
  recordId?: string
  onChange?: (() => void) | undefined
  onRemove?: (() => void) | undefined
}) {
  const mayRemove = useMay('plan')
  return (
    <>
      {recordId && <ElsewhereDot recordId={recordId} />}
      {onChange && (
        <Button look="quiet" className="!px-1" onClick={onChange}>
          Change<span className="sr-only"> {name}</span>
        </Button>
      )}
      {onRemove && mayRemove && (
        <Button look="quiet" className="!px-1 !text-muted" onClick={onRemove}>
          Remove<span className="sr-only"> {name}</span>
        </Button>
      )}
    </>
  )
}
