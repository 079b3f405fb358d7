import { Link } from 'react-router'
import { Button } from '../../ui/Button'
import { EmptyRoom } from '../../ui/EmptyRoom'

/** What has to be there before this room can say anything. */
export function NotYet({ missing, onGears }: { missing: 'gears' | 'curve' | 'mass'; onGears: () => void }) {
  if (missing === 'gears')
    return (
      <EmptyRoom
        title="No gears yet"
        action={
          <Button look="main" onClick={onGears}>
            Type gears and grip
          </Button>
        }
      >
        With ratios, final drive, tyre and limiter you get speed by gear, force against road load and grip,
        the best shift for each gear, where the tyres can be kept spinning, and what breaks first.
      </EmptyRoom>
    )
  if (missing === 'mass')
    return (
      <EmptyRoom
        title="The car weighs nothing"
        action={
          <Link to="../swaps" className="font-medium text-blued underline">
            To the ledger
          </Link>
        }
      >
        By the ledger more comes off than the car weighs, so it can’t be run. One line is too heavy, or comes
        off where it should go on. Ctrl+Z takes the last change back.
      </EmptyRoom>
    )
  return (
    <EmptyRoom
      title="No curve yet"
      action={
        <Link to="../dyno" className="font-medium text-blued underline">
          To the Dyno room
        </Link>
      }
    >
      The forces come from this build’s own dyno curve. Log a pull with a curve, at this stage or one before
      it.
    </EmptyRoom>
  )
}
