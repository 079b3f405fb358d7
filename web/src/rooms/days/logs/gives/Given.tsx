import type { ReactNode } from 'react'

/** One thing that a log gives, under its name. */
export function Given({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div className="border-t border-line pt-1.5">
      <dt className="text-[13px] text-muted">{name}</dt>
      <dd>{children}</dd>
    </div>
  )
}
