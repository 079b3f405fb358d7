import { SlidersHorizontal, Search, UserRound } from 'lucide-react'
import { Suspense, useEffect, useRef, useState } from 'react'
import { Link, NavLink, useLocation } from 'react-router'
import { useAppSelector } from '../store/store'
import { later } from '../ui/later'
import { useShortcut } from '../ui/shortcuts'
import { roomPath, ROOMS } from './rooms'
import { SaveState } from './SaveState'

const WhoSheet = later(() => import('./WhoSheet'), 'WhoSheet')

export interface HeaderProps {
  readonly at?: { buildId: string; stageId: string; units: string; openUnits: () => void }
  /** Left out where there is nothing to find or do yet. */
  readonly openCommands?: () => void
}

function Plates() {
  return (
    <svg width="16" height="22" aria-hidden className="shrink-0">
      <g fill="#C9CF7A">
        <rect width="16" height="6" y="0" />
        <rect width="16" height="6" y="8" />
        <rect width="16" height="6" y="16" />
      </g>
    </svg>
  )
}

/** Build, rooms in the order of work, what to find, units. */
export function Header({ at, openCommands }: HeaderProps) {
  useShortcut('u', 'Units', () => at?.openUnits())
  const author = useAppSelector((state) => state.settings.author)
  const [naming, setNaming] = useState(false)
  useShortcut('w', 'Who works here', () => setNaming(true))
  const { pathname } = useLocation()
  const rooms = useRef<HTMLElement>(null)
  // On a phone the rooms scroll; the one that is open is brought into view.
  useEffect(() => {
    const nav = rooms.current
    const open = nav?.querySelector<HTMLElement>('[aria-current=page]')
    if (nav && open)
      nav.scrollLeft = open.offsetLeft - nav.offsetLeft - (nav.clientWidth - open.offsetWidth) / 2
  }, [pathname])
  return (
    <header className="sticky top-0 z-20 flex h-[52px] items-center gap-5 bg-rail px-5 text-on-rail max-md:gap-2 max-md:px-3">
      <Link
        to="/"
        className="flex items-center gap-2 text-on-rail focus-visible:outline-on-rail"
        title="Garage (g g)"
      >
        <Plates />
        <span className="figure text-[20px] tracking-[0.02em] max-md:sr-only">Bold Ballast</span>
      </Link>
      {at && (
        <nav ref={rooms} aria-label="Rooms" className="flex gap-0.5 overflow-x-auto">
          {ROOMS.map((room) => (
            <NavLink
              key={room.path}
              to={roomPath(at.buildId, at.stageId, room.path)}
              title={`Keys: g ${room.key}`}
              className={({ isActive }) =>
                `rounded-[3px] px-2.5 py-1.5 font-figure text-[16px] font-medium tracking-[0.02em] focus-visible:outline-on-rail ${isActive ? 'bg-on-rail text-rail' : 'text-on-rail-muted hover:text-on-rail'}`
              }
            >
              {room.name}
            </NavLink>
          ))}
        </nav>
      )}
      <div className="ml-auto flex items-center gap-4 max-md:gap-2">
        <SaveState />
        {openCommands && (
          <button
            onClick={openCommands}
            className="flex items-center gap-1.5 text-[13px] text-on-rail-muted hover:text-on-rail focus-visible:outline-on-rail"
            aria-label="Find or do"
          >
            <Search size={15} aria-hidden className="lg:hidden" />
            <span className="max-lg:hidden">
              Find or do <kbd className="rounded-[3px] border border-[#59625f] px-1.5">/</kbd>
            </span>
          </button>
        )}
        {at && (
          <button
            onClick={at.openUnits}
            title="Units (u)"
            aria-label={`Units: ${at.units}`}
            className="flex items-center gap-1.5 text-[13px] text-on-rail-muted hover:text-on-rail focus-visible:outline-on-rail"
          >
            <SlidersHorizontal size={14} aria-hidden />
            <span className="max-lg:hidden">{at.units}</span>
          </button>
        )}
        <button
          onClick={() => setNaming(true)}
          title="Who works here (w)"
          aria-label={author ? `Who works here: ${author}` : 'Say who works here'}
          className="flex items-center gap-1.5 text-[13px] text-on-rail-muted hover:text-on-rail focus-visible:outline-on-rail"
        >
          <UserRound size={14} aria-hidden />
          <span className="max-w-[90px] truncate max-lg:hidden">{author || 'Who?'}</span>
        </button>
      </div>
      <Suspense>{naming && <WhoSheet onClose={() => setNaming(false)} />}</Suspense>
    </header>
  )
}
