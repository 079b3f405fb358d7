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
  barred,
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
  /** Why whoever has opened it may only look: then nothing can be typed, and there is no button. */
  barred?: string | null | undefined
  /** Buttons below the main one. */
  after?: ReactNode
  children: ReactNode
}) {
  const wrong = fault ?? kept.fault
  if (barred)
    return (
      <div className="grid grid-cols-2 gap-3">
        <p role="status" className="col-span-2 text-ochre">
          {barred}
        </p>
        <fieldset
          disabled
          className="contents [&_input]:opacity-70 [&_select]:opacity-70 [&_textarea]:opacity-70"
        >
          {children}
        </fieldset>
      </div>
    )
  return (
    <form onSubmit={(event) => void onSubmit(event)} noValidate className="grid grid-cols-2 gap-3">
      {kept.isBack && (
        <p className="col-span-2 flex items-center gap-2 text-[13px] text-ochre" role="status">
          Brought back what was typed here and not saved.
          <Button look="quiet" onClick={kept.startOver}>
            Start over
          </Button>
        </p>
      )}
      <Fragment key={kept.round}>{children}</Fragment>
      {wrong && (
        <p role="alert" className="col-span-2 text-oxide">
          {wrong}
        </p>
      )}
      {isRejected && !wrong && (
        <p aria-live="polite" className="col-span-2 text-oxide">
          Something above needs another look.
        </p>
      )}
      <Button look="main" type="submit" className="col-span-2" disabled={busy}>
        {says}
      </Button>
      {after}
    </form>
  )
}
