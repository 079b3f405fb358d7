import { Link, useSearchParams } from 'react-router'

/** The views of a room; which one is open stands in the address, so that a reload and a link keep it. */
export function useRoomView<T extends string>(views: readonly (readonly [T, string])[]): T {
  const [params] = useSearchParams()
  const asked = params.get('view')
  return views.find(([view]) => view === asked)?.[0] ?? views[0]![0]
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
  return (
    <nav aria-label={label} className="no-print mb-4 flex flex-wrap gap-x-1 border-b border-line">
      {views.map(([view, words], i) => (
        <Link
          key={view}
          to={i === 0 ? '?' : `?view=${view}`}
          aria-current={view === open ? 'page' : undefined}
          className={`-mb-px border-b-[3px] px-3 py-1.5 max-md:py-2.5 ${view === open ? 'border-blued font-medium' : 'border-transparent text-muted hover:text-ink'}`}
        >
          {words}
        </Link>
      ))}
    </nav>
  )
}
