import { useAppSelector } from '../store/store'
import { TAB } from '../store/live'
import { usePerson } from '../store/me'
import { ROOMS } from './rooms'

/** Who else is in the build, and in which room. */
export function AlsoHere() {
  const present = useAppSelector((state) => state.live.present)
  const me = usePerson()
  // Oneself at another device is nobody else.
  const others = present.filter(
    ({ tab, personId }) => tab !== TAB && (personId === null || personId !== me?.id),
  )
  if (others.length === 0) return null
  const roomOf = (path: string) => ROOMS.find((room) => room.path === path)?.name ?? 'here'
  const words = others.map(({ name, room }) => `${name || 'Somebody'} in ${roomOf(room)}`)
  return (
    <span
      data-testid="also-here"
      title={words.join(', ')}
      className="flex shrink-0 items-center gap-1.5 text-[13px] text-on-rail-muted max-lg:mr-2"
    >
      <span aria-hidden className="size-2 rounded-full bg-[#e0b05a]" />
      <span className="max-w-[180px] truncate max-2xl:hidden">{words.join(', ')}</span>
      <span className="2xl:hidden" aria-hidden>
        {others.length}
      </span>
      <span className="sr-only 2xl:hidden">Also here: {words.join(', ')}</span>
    </span>
  )
}
