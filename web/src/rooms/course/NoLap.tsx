import { useLiveCar } from '../../store/useCar'
import { Button } from '../../ui/Button'
import { EmptyRoom } from '../../ui/EmptyRoom'
import { useChosenCourse } from './useChosenCourse'

/** What opens the sheets that a lap needs. */
export interface LapWays {
  readonly onGears: () => void
  readonly onCourse: () => void
  readonly onBasis: () => void
}

/** Why no lap can be worked out yet, and the one thing to do first; nothing where there is one. */
export function NoLap({ onGears, onCourse }: LapWays) {
  const car = useLiveCar()
  const { course } = useChosenCourse()
  if (!course)
    return (
      <EmptyRoom
        title="No course yet"
        action={
          <Button look="main" onClick={onCourse}>
            Add a course
          </Button>
        }
      >
        Type its straights and corners, draw its line on a plan, or read it from a log. Then you get the lap
        of this car, which axle gives up in which corner, and what each kilo, kilowatt and square metre is
        worth.
      </EmptyRoom>
    )
  if (car.lacks === 'gears')
    return (
      <EmptyRoom
        title="No gears yet"
        action={
          <Button look="main" onClick={onGears}>
            Type gears and grip
          </Button>
        }
      >
        A lap is driven with gears, tyres that grip, and drag. Springs, brakes and wings count where they are
        typed; where they aren’t, the lap says what it takes for granted.
      </EmptyRoom>
    )
  if (car.lacks === 'curve')
    return (
      <EmptyRoom title="No curve yet">
        A lap is driven on the car’s own curve: log a pull with its points under Dyno, and say that it stands
        for the stage.
      </EmptyRoom>
    )
  return (
    <EmptyRoom title="No car to drive">
      Its parts weigh more than nothing only when what comes off weighs less than the car: look under Swaps.
    </EmptyRoom>
  )
}
