import { Suspense, useRef, useState } from 'react'
import { later } from './later'

const WorkingPopover = later(() => import('./WorkingPopover'), 'WorkingPopover')

export interface Working {
  readonly title: string
  readonly formula: string
  readonly inputs: readonly (readonly [string, string])[]
  readonly result: string
  readonly source: string
  /** What its ± comes from, the largest first; worked out where somebody looks. */
  readonly why?: () => readonly WhyRow[]
}
/** Where a part of the ± comes from, in words; its share; what the figure would be known to without it. */
export interface WhyRow {
  readonly says: string
  readonly share: string
  readonly without: string
}

/** The small = beside a computed figure: inputs, formula, source and result. */
export function ShowWorking({ working }: { working: Working }) {
  const button = useRef<HTMLButtonElement>(null)
  const [isOpen, setOpen] = useState(false)
  return (
    <>
      <button
        ref={button}
        type="button"
        aria-label={`Show working: ${working.title}`}
        aria-haspopup="dialog"
        aria-expanded={isOpen}
        title="Show working"
        onClick={() => setOpen(!isOpen)}
        className="no-print inline-flex size-5 pointer-coarse:size-11 items-center justify-center rounded-[3px] border border-line text-[12px] leading-none text-muted hover:border-blued hover:text-blued"
      >
        =
      </button>
      <Suspense>
        {isOpen && <WorkingPopover working={working} anchor={button} onClose={() => setOpen(false)} />}
      </Suspense>
    </>
  )
}
