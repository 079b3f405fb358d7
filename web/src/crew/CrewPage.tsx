import { Suspense, useState } from 'react'
import { Header } from '../frame/Header'
import { useFrameShortcuts } from '../frame/useFrameActions'
import { useMay, useMembership, usePerson } from '../store/me'
import { later } from '../ui/later'
import { RoomHead } from '../ui/RoomHead'
import { RoomViews, useRoomView } from '../ui/RoomViews'
import { GarageSwitch } from './GarageSwitch'
import { InviteSheet, OpenInvitations } from './Invitations'
import { MakeOwner } from './MakeOwner'
import { Members } from './Members'
import { Noted } from './Noted'
import { OnThisDevice } from '../offline/OnThisDevice'
import { OwnAccount } from './OwnAccount'
import { WorkshopChoice } from './WorkshopChoice'

const CommandPalette = later(() => import('../frame/CommandPalette'), 'CommandPalette')
const ShortcutSheet = later(() => import('../frame/ShortcutSheet'), 'ShortcutSheet')

type View = 'crew' | 'you' | 'device' | 'noted'
const VIEWS: readonly (readonly [View, string])[] = [
  ['crew', 'Crew'],
  ['you', 'You'],
  ['device', 'This device'],
]
const OWNERS_VIEWS: typeof VIEWS = [...VIEWS, ['noted', 'Noted']]

/** Who works in the workshop, and how they come in. */
export function CrewPage() {
  const person = usePerson()
  const open = useMembership()
  const isOwner = useMay('people') && person !== null
  const [inviting, setInviting] = useState(false)
  const [commands, setCommands] = useState(false)
  const [keys, setKeys] = useState(false)
  const views = isOwner ? OWNERS_VIEWS : VIEWS
  const view = useRoomView<View>(views)
  useFrameShortcuts(
    () => setCommands(true),
    () => setKeys(true),
  )
  return (
    <>
      <Header openCommands={() => setCommands(true)} />
      <main className="mx-auto max-w-[1240px] px-5.5 py-5 max-md:px-3">
        <RoomHead
          title="Crew"
          {...(isOwner && { action: { label: 'Invite somebody', act: () => setInviting(true) } })}
        >
          {open?.name}
        </RoomHead>
        {!person && (
          <>
            <MakeOwner />
            <WorkshopChoice />
          </>
        )}
        {person && (
          <>
            <RoomViews label="What of the crew" views={views} open={view} />
            {view === 'you' && <OwnAccount person={person} />}
            {view === 'device' && <OnThisDevice />}
            {view === 'noted' && <Noted />}
            {view === 'crew' && (
              <>
                <Members />
                {isOwner && <OpenInvitations />}
                {isOwner && <GarageSwitch />}
                <WorkshopChoice />
              </>
            )}
          </>
        )}
      </main>
      {inviting && <InviteSheet onClose={() => setInviting(false)} />}
      <Suspense>
        {commands && (
          <CommandPalette
            open
            onOpenChange={setCommands}
            actions={[{ says: 'Keys', act: () => setKeys(true) }]}
          />
        )}
        {keys && <ShortcutSheet open onClose={() => setKeys(false)} />}
      </Suspense>
    </>
  )
}
