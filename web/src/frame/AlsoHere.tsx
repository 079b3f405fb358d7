import { useAppSelector } from '../store/store'
import { TAB } from '../store/live'
import { ROOMS } from './rooms'

/** Who else is in the build, and in which room. */
export function AlsoHere() {
  const present = useAppSelector((state) => state.live.present)
  const others = present.filter(({ tab }) => tab !== TAB)
  if (others.length === 0) return null
  const roomOf = (path: string) => ROOMS.find((room) => room.path === path)?.name ?? 'here'
  const words = others.map(({ name, room }) => `${name || 'Somebody'} in ${roomOf(room)}`)
  return (
    <span
      data-testid="also-here"
      title={words.join(', ')}
      className="flex items-center gap-1.5 text-[13px] text-on-rail-muted"
    >
      <span aria-hidden className="size-2 rounded-full bg-[#e0b05a]" />
      <span className="max-w-[180px] truncate max-lg:hidden">{words.join(', ')}</span>
      <span className="lg:hidden" aria-hidden>
        {others.length}
      </span>
      <span className="sr-only lg:hidden">Also here: {words.join(', ')}</span>
    </span>
  )
}
