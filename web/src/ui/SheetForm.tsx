import { Fragment, type FormEvent, type ReactNode } from 'react'
import { Button } from './Button'
import type { Kept } from './useDraftForm'

/**
 * The form of a side sheet: what was typed before and not saved is said above it; what is wrong with the
 * whole, and the button, stand at its foot.
 */
export function SheetForm({
  onSubmit,
  kept,
  fault,
  isRejected = false,
  says,
  busy = false,
  columns = 2,
  after,
  children,
}: {
  onSubmit: (event: FormEvent) => unknown
  kept: Kept
  fault: string | null | undefined
  /** Something was refused, and perhaps out of sight. */
  isRejected?: boolean
  /** The words on the button. */
  says: string
  busy?: boolean
  columns?: 1 | 2
  /** Buttons below the main one. */
  after?: ReactNode
  children: ReactNode
}) {
  const wide = columns === 2 ? 'col-span-2' : ''
  const wrong = fault ?? kept.fault
  return (
    <form
      onSubmit={(event) => void onSubmit(event)}
      noValidate
      className={columns === 2 ? 'grid grid-cols-2 gap-3' : 'flex flex-col gap-3'}
    >
      {kept.isBack && (
        <p className={`${wide} flex items-center gap-2 text-[13px] text-ochre`} role="status">
          Brought back what was typed here and not saved.
          <Button look="quiet" onClick={kept.startOver}>
            Start over
          </Button>
        </p>
      )}
      <Fragment key={kept.round}>{children}</Fragment>
      {wrong && (
        <p role="alert" className={`${wide} text-oxide`}>
          {wrong}
        </p>
      )}
      {isRejected && !wrong && (
        <p aria-live="polite" className={`${wide} text-oxide`}>
          Something above needs another look.
        </p>
      )}
      <Button look="main" type="submit" className={wide} disabled={busy}>
        {says}
      </Button>
      {after}
    </form>
  )
}
