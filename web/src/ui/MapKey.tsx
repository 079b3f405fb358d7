import type { MapLook } from './CourseMap'

/** What the looks of a map mean, each with a piece of its line. */
export function MapKey({ looks }: { looks: readonly MapLook[] }) {
  return (
    <ul className="flex flex-wrap gap-x-4 gap-y-1 text-[13px]" aria-label="What the map’s lines mean">
      {looks.map(({ says, colour, width, dash }) => (
        <li key={says} className="flex items-center gap-1.5">
          <svg viewBox="0 0 28 10" className="h-2.5 w-7" aria-hidden>
            <path d="M0 5H28" stroke={`var(${colour})`} strokeWidth={width} strokeDasharray={dash} />
          </svg>
          {says}
        </li>
      ))}
    </ul>
  )
}
