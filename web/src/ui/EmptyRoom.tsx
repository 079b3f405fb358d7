import type { ReactNode } from 'react'
import { MayOnly } from './MayOnly'

/** What a room will give, and the one thing to do first. */
export function EmptyRoom({
  title,
  children,
  action,
}: {
  title: string
  children: ReactNode
  action?: ReactNode
}) {
  return (
    <div className="my-6 max-w-[560px] rounded-[4px] border border-dashed border-edge p-6">
      <h2 className="text-[20px]">{title}</h2>
      <div className="mt-2 mb-4 text-muted">{children}</div>
      <MayOnly right="log">{action}</MayOnly>
    </div>
  )
}
