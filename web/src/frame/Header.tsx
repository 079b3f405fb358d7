import { SlidersHorizontal, Search, UserRound } from 'lucide-react'
import { Suspense, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { selectAuthor, usePerson } from '../store/me'
import { useAppSelector } from '../store/store'
import { later } from '../ui/later'
import { Plates } from '../ui/Plates'
import { useShortcut } from '../ui/shortcuts'
import { roomPath, ROOM_GROUPS } from './rooms'
import { AlsoHere } from './AlsoHere'
import { RoomsBar, RoomsNav } from './RoomsNav'
import { SaveState } from './SaveState'

const WhoSheet = later(() => import('./WhoSheet'), 'WhoSheet')

/** On a phone as large as a glove needs. */
const ACT =
  'flex items-center gap-1.5 text-[13px] text-on-rail-muted hover:text-on-rail focus-visible:outline-on-rail max-lg:h-10 max-lg:min-w-10 max-lg:justify-center'

export interface HeaderProps {
  readonly at?: {
    readonly buildId: string
    readonly name: string
    readonly stageId: string
    readonly units: string
    readonly openUnits: () => void
    readonly openBuild: () => void
  }
  /** Left out where there is nothing to find or do yet. */
  readonly openCommands?: () => void
}

/** Build, rooms in the order of work, what to find, units. */
export function Header({ at, openCommands }: HeaderProps) {
  useShortcut('u', 'Units', () => at?.openUnits())
  const author = useAppSelector(selectAuthor)
  const person = usePerson()
  const navigate = useNavigate()
  const [naming, setNaming] = useState(false)
  // Whoever is signed in is known; without accounts one says who one is.
  const who = () => (person ? void navigate('/crew?view=you') : setNaming(true))
  useShortcut('w', 'Who works here', who)
  return (
    <header className="sticky top-0 z-20 flex h-[52px] items-center gap-5 bg-rail px-5 text-on-rail max-xl:gap-3 max-md:gap-2 max-md:px-3 max-md:has-[[data-warns]]:mb-7">
      <Link
        to="/"
        className="flex items-center gap-2 text-on-rail focus-visible:outline-on-rail"
        title="Garage (g g)"
      >
        <Plates />
        <span className="figure text-[20px] tracking-[0.02em] max-xl:sr-only">Bold Ballast</span>
      </Link>
      {at && <RoomsNav groups={ROOM_GROUPS} pathOf={(room) => roomPath(at.buildId, at.stageId, room)} />}
      {at && (
        <button
          onClick={at.openBuild}
          className="figure min-w-0 truncate text-[18px] text-on-rail focus-visible:outline-on-rail md:hidden"
          aria-label={`Change the build ${at.name}`}
        >
          {at.name}
        </button>
      )}
      <div className="ml-auto flex items-center gap-4 max-lg:gap-0">
        {at && <AlsoHere />}
        <SaveState buildId={at?.buildId} />
        {openCommands && (
          <button onClick={openCommands} className={ACT} aria-label="Find or do">
            <Search size={15} aria-hidden className="lg:hidden" />
            <span className="max-lg:hidden">
              Find or do <kbd className="rounded-[3px] border border-[#59625f] px-1.5">/</kbd>
            </span>
          </button>
        )}
        {at && (
          <button onClick={at.openUnits} title="Units (u)" aria-label={`Units: ${at.units}`} className={ACT}>
            <SlidersHorizontal size={14} aria-hidden />
            <span className="max-lg:hidden">{at.units}</span>
          </button>
        )}
        <button
          onClick={who}
          title="Who works here (w)"
          aria-label={author ? `Who works here: ${author}` : 'Say who works here'}
          className={ACT}
        >
          <UserRound size={14} aria-hidden />
          <span className="max-w-[90px] truncate max-lg:hidden">{author || 'Who?'}</span>
        </button>
      </div>
      {at && <RoomsBar groups={ROOM_GROUPS} pathOf={(room) => roomPath(at.buildId, at.stageId, room)} />}
      <Suspense>{naming && <WhoSheet onClose={() => setNaming(false)} />}</Suspense>
    </header>
  )
}
