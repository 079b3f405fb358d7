import { useState } from 'react'
import { NavLink, useLocation } from 'react-router'
import type { Room } from './rooms'

export interface RoomGroup {
  readonly says: string
  readonly rooms: readonly Room[]
}
interface Props {
  readonly groups: readonly RoomGroup[]
  readonly pathOf: (room: string) => string
}

const OPEN = 'bg-on-rail text-rail'
const OTHER = 'text-on-rail-muted hover:text-on-rail'

/** The rooms in one row, what they are for in small print over them. */
export function RoomsNav({ groups, pathOf }: Props) {
  return (
    <nav aria-label="Rooms" className="flex h-full items-stretch gap-3 max-xl:gap-1.5 max-md:hidden">
      {groups.map(({ says, rooms }) => (
        <div key={says} role="group" aria-label={says} className="flex flex-col justify-center">
          <span aria-hidden className="px-2 text-[10.5px] leading-none text-on-rail-muted max-xl:px-1.5">
            {rooms.length > 1 ? says : '\u00a0'}
          </span>
          <span className="flex">
            {rooms.map((room) => (
              <NavLink
                key={room.path}
                to={pathOf(room.path)}
                title={`Keys: g ${room.key}`}
                className={({ isActive }) =>
                  `rounded-[3px] px-2 py-1 font-figure text-[16px] font-medium tracking-[0.02em] focus-visible:outline-on-rail max-xl:px-1.5 max-xl:tracking-normal ${isActive ? OPEN : OTHER}`
                }
              >
                {room.name}
              </NavLink>
            ))}
          </span>
        </div>
      ))}
    </nav>
  )
}

/**
 * The same at the foot of a phone, where a thumb is: what rooms are for, and over it those of the one that was touched.
 * A group of one room is that room, so that any room is two touches away at most.
 */
export function RoomsBar({ groups, pathOf }: Props) {
  const room = useLocation().pathname.split('/').at(-1)
  const [opened, setOpened] = useState<string | null>(null)
  const unfolded = groups.find((g) => g.says === opened)
  const close = () => setOpened(null)
  return (
    <nav
      aria-label="Rooms"
      className="no-print fixed inset-x-0 bottom-0 z-20 bg-rail text-on-rail md:hidden"
      onKeyDown={(event) => event.key === 'Escape' && close()}
    >
      {unfolded && (
        <div
          id="rooms-of-group"
          className="flex justify-center gap-1 border-b border-on-rail-muted/40 px-2 py-1.5"
        >
          {unfolded.rooms.map(({ path, name }) => (
            <NavLink
              key={path}
              to={pathOf(path)}
              onClick={close}
              className={({ isActive }) =>
                `flex min-h-[44px] items-center rounded-[3px] px-4 font-figure text-[18px] font-medium focus-visible:outline-on-rail ${isActive ? OPEN : 'text-on-rail'}`
              }
            >
              {name}
            </NavLink>
          ))}
        </div>
      )}
      <div className="flex h-[52px] items-stretch">
        {groups.map(({ says, rooms }) => {
          const here = rooms.find((r) => r.path === room)
          const [only] = rooms
          const look = `flex flex-1 flex-col items-center justify-center font-figure text-[16px] leading-tight font-medium focus-visible:outline-on-rail ${here ? OPEN : 'text-on-rail'}`
          return rooms.length === 1 && only ? (
            <NavLink key={says} to={pathOf(only.path)} onClick={close} className={look}>
              {only.name}
            </NavLink>
          ) : (
            <button
              key={says}
              aria-expanded={opened === says}
              aria-controls={opened === says ? 'rooms-of-group' : undefined}
              onClick={() => setOpened(opened === says ? null : says)}
              className={look}
            >
              {here ? here.name : says}
              {here && <span className="font-sans text-[10.5px] font-normal">{says}</span>}
            </button>
          )
        })}
      </div>
    </nav>
  )
}
