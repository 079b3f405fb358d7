import { itemAt } from '@bold-ballast/core'
import { useEffect, useRef } from 'react'
import { Link, useSearchParams } from 'react-router'

/** The views of a room; which one is open stands in the address, so that a reload and a link keep it. */
export function useRoomView<T extends string>(views: readonly (readonly [T, string])[]): T {
  const [params] = useSearchParams()
  const asked = params.get('view')
  return views.find(([view]) => view === asked)?.[0] ?? itemAt(views, 0)[0]
}

export function RoomViews<T extends string>({
  label,
  views,
  open,
}: {
  /** What is chosen, for screen readers. */
  label: string
  views: readonly (readonly [T, string])[]
  open: T
}) {
  const nav = useRef<HTMLElement>(null)
  // On a phone they scroll; the one that is open is brought into view.
  useEffect(() => {
    const own = nav.current?.querySelector<HTMLElement>('[aria-current=page]')
    if (nav.current && own)
      nav.current.scrollLeft =
        own.offsetLeft - nav.current.offsetLeft - (nav.current.clientWidth - own.offsetWidth) / 2
  }, [open])
  return (
    <nav
      aria-label={label}
      ref={nav}
      className="no-print mb-4 flex flex-wrap gap-x-1 border-b border-line max-md:-mx-3 max-md:flex-nowrap max-md:overflow-x-auto max-md:px-3"
    >
      {views.map(([view, words], i) => (
        <Link
          key={view}
          to={i === 0 ? '?' : `?view=${view}`}
          aria-current={view === open ? 'page' : undefined}
          className={`-mb-px shrink-0 border-b-[3px] px-3 py-1.5 max-md:mb-0 max-md:py-2.5 ${view === open ? 'border-blued font-medium' : 'border-transparent text-muted hover:text-ink'}`}
        >
          {words}
        </Link>
      ))}
    </nav>
  )
}
