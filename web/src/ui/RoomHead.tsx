import { kindFault, may, type Kind } from '@bold-ballast/contract'
import { useEffect, type ReactNode } from 'react'
import { selectRole } from '../store/me'
import { useAppSelector } from '../store/store'
import { Button } from './Button'
import { useShortcut } from './shortcuts'

export interface RoomAction {
  readonly label: string
  readonly act: () => void
  /** What it writes; left out where it writes no record. */
  readonly kind?: Kind
}

/** A room's title, what it says in a sentence, and its one primary action, also on the key `n`. */
export function RoomHead({
  title,
  children,
  action: given,
}: {
  title: string
  children?: ReactNode
  action?: RoomAction
}) {
  const role = useAppSelector(selectRole)
  // Whoever may not write it is shown no way to begin it.
  const isBarred = given?.kind === undefined ? !may(role, 'log') : kindFault(role, given.kind) !== null
  const action = isBarred ? undefined : given
  useShortcut('n', action?.label ?? 'New entry', () => action?.act())
  useEffect(() => {
    document.title = `${title} · Bold Ballast`
  }, [title])
  return (
    <div className="mb-3 flex flex-wrap items-start justify-between gap-3 max-md:flex-nowrap">
      <div>
        <h1 className="text-[28px] max-md:text-[24px] max-md:leading-tight">{title}</h1>
        {children && <p className="mt-1 text-muted">{children}</p>}
      </div>
      {action && (
        <Button look="main" keys="n" onClick={action.act}>
          {action.label}
        </Button>
      )}
    </div>
  )
}
