import { carAt, foldBuild } from '@bold-ballast/model'
import { Suspense, useEffect, useMemo, useState, type ReactNode } from 'react'
import { Link, Navigate, Outlet, useLocation, useNavigate, useParams } from 'react-router'
import { preferredUnit, itemAt } from '@bold-ballast/core'
import { problemOf, useBuildQuery, useReckoningQuery } from '../store/api'
import {
  selectBuild,
  selectLedger,
  selectLive,
  selectOpenBranch,
  selectSummaries,
  selectView,
} from '../store/selectors'
import { selectPerson } from '../store/me'
import { useAppSelector } from '../store/store'
import { useLive } from '../store/useLive'
import { LiveBuildContext, OpenBuildContext, type LiveBuild, type OpenBuild } from '../store/useBuild'
import { Button } from '../ui/Button'
import { useShortcut } from '../ui/shortcuts'
import { SCALES_VIEWS, SWAPS_VIEWS } from '../roomViews'
import { PartBoundary } from './ErrorBoundary'
import { useExportBuild } from './useExportBuild'
import { Header } from './Header'
import { addressedStage, roomPath, ROOMS } from './rooms'
import { OtherwiseBar } from './OtherwiseBar'
import { StageStack } from './StageStack'
import { Tally, TallyMark } from './Tally'
import { useFrameShortcuts } from './useFrameActions'
import { later } from '../ui/later'
import { fetchPage } from '../pages'

const BuildSheet = later(() => import('./BuildSheet'), 'BuildSheet')
const CommandPalette = later(() => import('./CommandPalette'), 'CommandPalette')
const ShortcutSheet = later(() => import('./ShortcutSheet'), 'ShortcutSheet')
const TryingBar = later(() => import('./TryingBar'), 'TryingBar')
const UnitsSheet = later(() => import('./UnitsSheet'), 'UnitsSheet')

/**
 * Opens the last stage that has been reached: the newest one with everything fitted, else the first. From a stage that
 * is only tried it goes to what is compared.
 */
function ToStartStage({
  own,
  ledger,
  room,
}: {
  own: OpenBuild['own'] | null
  ledger: OpenBuild['ledger']
  room: string
}) {
  const { buildId = '', stageId } = useParams()
  const tried = own?.branches.find((b) => b.stepId === stageId)
  const summaries = useAppSelector((state) => selectSummaries(state, buildId))
  const reached = summaries.findLast((s) => s.massFrom !== 'plan')?.stageId ?? itemAt(ledger.stages, 0).id
  if (tried) return <Navigate replace to={roomPath(buildId, tried.stageId, 'board?view=whatif')} />
  return <Navigate replace to={roomPath(buildId, reached, room)} />
}

/** Everything below that listens is drawn again with each key; the rest isn't. */
function LiveBuildProvider({ children }: { children: ReactNode }) {
  const { buildId = '', stageId } = useParams()
  const document = useAppSelector((state) => selectLive(state, buildId))
  const live = useMemo<LiveBuild | null>(() => {
    if (!document || !stageId) return null
    const { ledger, stages, summaries } = foldBuild(document)
    if (!stages.some((s) => s.id === stageId)) return null
    const car = carAt(document, stageId)
    return { ledger, summaries, summary: car.summary, car }
  }, [document, stageId])
  return live && <LiveBuildContext.Provider value={live}>{children}</LiveBuildContext.Provider>
}

/** Views beside a room's first, for the palette. */
const VIEWS = [
  ...SWAPS_VIEWS.slice(1).map(([view, words]) => ['swaps', 'Swaps', view, words] as const),
  ...SCALES_VIEWS.slice(1).map(([view, words]) => ['scales', 'Scales', view, words] as const),
]

export function BuildPage() {
  const { buildId = '', stageId } = useParams()
  const isAway = useAppSelector((state) => selectPerson(state) !== null && state.reach.awaySince !== null)
  // Asked for with the build, so that it is there when the build is drawn.
  useReckoningQuery(buildId)
  const { error, isLoading, refetch } = useBuildQuery(buildId, { refetchOnFocus: true })
  const view = useAppSelector((state) => selectView(state, buildId))
  const own = useAppSelector((state) => selectBuild(state, buildId))
  const branch = useAppSelector((state) => selectOpenBranch(state, buildId))
  const ledger = useAppSelector((state) => selectLedger(state, buildId))
  const exportBuild = useExportBuild(buildId)
  const [commands, setCommands] = useState(false)
  const [keys, setKeys] = useState(false)
  const [unitsOpen, setUnitsOpen] = useState(false)
  const [buildOpen, setBuildOpen] = useState(false)
  // Fetched while nothing else is: a key that opens one finds it there.
  useEffect(() => {
    const timer = setTimeout(() => {
      void import('./CommandPalette')
      void import('./ShortcutSheet')
      void import('./UnitsSheet')
    }, 1000)
    return () => clearTimeout(timer)
  }, [])
  const navigate = useNavigate()
  const { pathname, search } = useLocation()
  const last = itemAt(pathname.split('/'), -1)
  const room = ROOMS.some(({ path }) => path === last) ? last : 'board'
  // On its way while the build is: on a weak network that is a second less.
  useEffect(() => {
    void fetchPage(roomPath(buildId, 'any', room))
    void TallyMark.fetch().catch(() => undefined)
  }, [buildId, room])
  useFrameShortcuts(
    () => setCommands(true),
    () => setKeys(true),
  )

  useLive(buildId, room, stageId ?? null)

  const stage = ledger?.stages.find((s) => s.id === stageId)
  const open = useMemo<OpenBuild | null>(
    () =>
      view && own && ledger && stage
        ? {
            buildId,
            view,
            own,
            branch,
            ledger,
            stage,
            built: carAt(view, stage.id).build,
            units: view.build.units as OpenBuild['units'],
          }
        : null,
    [buildId, view, own, branch, ledger, stage],
  )

  const header = <Header openCommands={() => setCommands(true)} />
  if (!view || !ledger) {
    return (
      <>
        {header}
        <main className="p-8">
          {isLoading ? null : (
            <>
              <h1 className="text-[28px]">{problemOf(error).title}</h1>
              <p className="my-3">
                {problemOf(error).detail}
                {isAway &&
                  ' This device doesn’t know the build: it keeps those that were opened on it, or chosen under Crew, This device.'}
              </p>
              <Button look="main" onClick={() => void refetch()}>
                Try again
              </Button>{' '}
              <Link to="/" className="ml-3 text-blued underline">
                To the Garage
              </Link>
            </>
          )}
        </main>
      </>
    )
  }
  if (!open) return <ToStartStage own={own ?? null} ledger={ledger} room={room} />

  const unitWords = (['mass', 'power', 'length'] as const)
    .map((q) => preferredUnit(q, open.units).symbol)
    .join(', ')
  const actions = [
    ...ROOMS.map((r) => ({
      says: `Go to ${r.name}`,
      act: () => void navigate(roomPath(buildId, open.stage.id, r.path)),
    })),
    ...VIEWS.map(([path, roomName, view, words]) => ({
      says: `Go to ${roomName}, ${words.toLowerCase()}`,
      act: () => void navigate(`${roomPath(buildId, open.stage.id, path)}?view=${view}`),
    })),
    ...ledger.stages.map((s, i) => ({
      says: `Stage ${i + 1}, ${s.name}`,
      act: () => void navigate(roomPath(buildId, s.id, room)),
    })),
    ...(exportBuild ? [{ says: 'Export the build as a file', act: () => exportBuild(view) }] : []),
    { says: 'Change the build', act: () => setBuildOpen(true) },
    { says: 'Units', act: () => setUnitsOpen(true) },
    { says: 'Keys', act: () => setKeys(true) },
  ]
  return (
    <OpenBuildContext.Provider value={open}>
      <a href="#room" className="sr-only focus:not-sr-only">
        Skip to the room
      </a>
      <Header
        at={{
          buildId,
          name: view.build.name,
          stageId: open.stage.id,
          units: unitWords,
          openUnits: () => setUnitsOpen(true),
          openBuild: () => setBuildOpen(true),
        }}
        openCommands={() => setCommands(true)}
      />
      {ROOMS.map((r) => (
        <GoKey
          key={r.path}
          keys={`g ${r.key}`}
          says={`Go to ${r.name}`}
          to={() => roomPath(buildId, addressedStage() ?? open.stage.id, r.path)}
        />
      ))}
      <LiveBuildProvider>
        <div className="flex min-h-[calc(100vh-52px)] max-md:flex-col">
          <StageStack onEditBuild={() => setBuildOpen(true)} />
          <div className="flex min-w-0 flex-1 flex-col lg:pr-[var(--sheet,0px)]">
            <Suspense>{branch && <TryingBar />}</Suspense>
            <OtherwiseBar />
            <PartBoundary what="The tally" of={[view, pathname]}>
              <Tally />
            </PartBoundary>
            <main
              id="room"
              className="@container min-w-0 flex-1 px-5.5 py-4.5 max-md:px-3 max-md:pt-3 max-md:pb-20"
            >
              <PartBoundary what="This room" of={[view, pathname, search]}>
                <Outlet />
              </PartBoundary>
            </main>
          </div>
        </div>
      </LiveBuildProvider>
      <Suspense>
        {buildOpen && <BuildSheet onClose={() => setBuildOpen(false)} />}
        {unitsOpen && <UnitsSheet open onClose={() => setUnitsOpen(false)} />}
        {keys && <ShortcutSheet open onClose={() => setKeys(false)} />}
        {commands && <CommandPalette open onOpenChange={setCommands} actions={actions} />}
      </Suspense>
    </OpenBuildContext.Provider>
  )
}

function GoKey({ keys, says, to }: { keys: string; says: string; to: () => string }) {
  const navigate = useNavigate()
  useShortcut(keys, says, () => void navigate(to()))
  return null
}

/** Keeps the focus where people expect it: a page change starts at the top. */
export function ScrollToTop() {
  const { pathname } = useLocation()
  useEffect(() => {
    window.scrollTo(0, 0)
  }, [pathname])
  return null
}
