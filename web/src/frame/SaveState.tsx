import { Button } from '../ui/Button'
import { usePerson } from '../store/me'
import { outbox } from '../store/outbox'
import { useAppDispatch, useAppSelector } from '../store/store'

/** On a phone the header has no room for a sentence: it gets a strip of its own below. */
const WARNING =
  'rounded-[3px] bg-[#5a3a00] px-2 py-0.5 text-[#ffe3ae] max-md:fixed max-md:inset-x-0 max-md:top-[52px] max-md:z-20 max-md:rounded-none max-md:px-3 max-md:py-1'

/** Is what I typed safe? Always in view. */
export function SaveState() {
  const { pending, away, refused, isKept } = useAppSelector((state) => state.outbox)
  const dispatch = useAppDispatch()
  const person = usePerson()
  const theirs = pending.filter(({ by }) => by !== null && by !== (person?.id ?? null)).length
  const count = pending.length - theirs
  const words =
    refused.length > 0
      ? `${refused.length} not taken`
      : away && !isKept
        ? `${count} not saved, nor kept on this device. Leave this tab open`
        : away
          ? `${count} not saved yet, trying again`
          : count > 0
            ? `Saving ${count}`
            : theirs > 0
              ? `${theirs} of somebody else’s kept until they sign in`
              : 'Saved'
  return (
    <span className="flex items-center gap-2 text-[13px]">
      <span
        role="status"
        data-testid="save-state"
        title={away ?? undefined}
        className={away || refused.length > 0 || theirs > 0 ? WARNING : 'text-on-rail-muted'}
      >
        {words}
      </span>
      {away && (
        <Button
          look="quiet"
          className="!min-h-6 !px-1 !text-on-rail"
          onClick={() => dispatch(outbox.actions.nudged())}
        >
          Try now
        </Button>
      )}
    </span>
  )
}
