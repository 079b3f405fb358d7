import { useEffect, type ReactNode } from 'react'
import { useMay } from '../store/me'
import { Button } from './Button'
import { useShortcut } from './shortcuts'

/** A room's title, what it says in a sentence, and its one primary action, also on the key `n`. */
export function RoomHead({
  title,
  children,
  action: given,
}: {
  title: string
  children?: ReactNode
  action?: { label: string; act: () => void }
}) {
  // A guest reads: there is nothing for them to begin.
  const mayLog = useMay('log')
  const action = mayLog ? given : undefined
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
