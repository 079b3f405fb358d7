import { Button } from '../../ui/Button'
import { EmptyRoom } from '../../ui/EmptyRoom'

/** What stands in the room before the first day. */
export function NoDay({ onDay }: { onDay: () => void }) {
  return (
    <EmptyRoom
      title="No day yet"
      action={
        <Button look="main" onClick={onDay}>
          Add a day
        </Button>
      }
    >
      A day has runs, and a run has laps, a set-up sheet with the one change that was made for it, tyres, fuel
      and air, pressures and temperatures straight after, and what the driver says. From these follows whether
      the change helped, or the driver learnt the place.
    </EmptyRoom>
  )
}
