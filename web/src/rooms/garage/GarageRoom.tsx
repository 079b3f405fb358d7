import { Suspense, useState } from 'react'
import { Header } from '../../frame/Header'
import { useFrameShortcuts } from '../../frame/useFrameActions'
import { problemOf, useBuildsQuery, useWorkshopQuery } from '../../store/api'
import { useMay } from '../../store/me'
import { useGarageLive } from '../../store/useGarageLive'
import { Button } from '../../ui/Button'
import { EmptyRoom } from '../../ui/EmptyRoom'
import { RoomHead } from '../../ui/RoomHead'
import { BuildCards } from './BuildCards'
import { ImportBuild } from './ImportBuild'
import { later } from '../../ui/later'

const CommandPalette = later(() => import('../../frame/CommandPalette'), 'CommandPalette')
const ShortcutSheet = later(() => import('../../frame/ShortcutSheet'), 'ShortcutSheet')
const OtherWorkshops = later(() => import('./OtherWorkshops'), 'OtherWorkshops')
const NewBuildSheet = later(() => import('./NewBuildSheet'), 'NewBuildSheet')

/** All builds of the workshop. */
export function GarageRoom() {
  const {
    data: builds,
    error,
    isLoading,
    refetch,
  } = useBuildsQuery(undefined, { refetchOnMountOrArgChange: true, refetchOnFocus: true })
  useGarageLive()
  const { data: workshop } = useWorkshopQuery()
  const mayPlan = useMay('plan')
  const mayDump = useMay('dump')
  const [adding, setAdding] = useState(false)
  const [commands, setCommands] = useState(false)
  const [keys, setKeys] = useState(false)
  useFrameShortcuts(
    () => setCommands(true),
    () => setKeys(true),
  )
  return (
    <>
      <Header openCommands={() => setCommands(true)} />
      <main className="mx-auto max-w-[1240px] px-5.5 py-5 max-md:px-3">
        <RoomHead
          title="Garage"
          {...(mayPlan && { action: { label: 'New build', act: () => setAdding(true) } })}
        >
          {workshop?.name}
          {builds && `: ${builds.length} ${builds.length === 1 ? 'build' : 'builds'}`}
        </RoomHead>
        {error && !builds && !isLoading && (
          <div role="alert" className="my-4 rounded-[4px] border border-ochre p-4">
            <p className="mb-3">{problemOf(error).detail}</p>
            <Button onClick={() => void refetch()}>Try again</Button>
          </div>
        )}
        {builds?.length === 0 && (
          <EmptyRoom
            title="No build yet"
            action={
              <Button look="main" onClick={() => setAdding(true)}>
                New build
              </Button>
            }
          >
            A build is one car project. Give its name, its wheelbase and what it weighed as bought, and start
            taking things off. You will see power to weight move, stage by stage.
          </EmptyRoom>
        )}
        {builds && <BuildCards builds={builds} />}
        {mayPlan && <ImportBuild />}
        <Suspense>{mayDump && <OtherWorkshops />}</Suspense>
        <p className="mt-8 text-[13px] text-muted print:hidden">
          <a className="underline" href="/licences.txt">
            Licences of what this is made of
          </a>
        </p>
      </main>
      <Suspense>{adding && <NewBuildSheet onClose={() => setAdding(false)} />}</Suspense>
      <Suspense>
        {commands && (
          <CommandPalette
            open
            onOpenChange={setCommands}
            actions={[
              ...(mayPlan ? [{ says: 'New build', act: () => setAdding(true) }] : []),
              { says: 'Keys', act: () => setKeys(true) },
            ]}
          />
        )}
        {keys && <ShortcutSheet open onClose={() => setKeys(false)} />}
      </Suspense>
    </>
  )
}
