import { Link } from 'react-router'
import { Button } from '../../ui/Button'
import { EmptyRoom } from '../../ui/EmptyRoom'

/** What has to be there before this room can say anything. */
export function NotYet({ missing, onGears }: { missing: 'gears' | 'curve'; onGears: () => void }) {
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
