import { newestFirst } from '@bold-ballast/model'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { OneCoast } from './OneCoast'
import { OneRide } from './OneRide'

/** Whether the car does what the sheet said: downforce and coast-downs fitted, compared, and the sheet put right by them. */
export function RolledView({
  onCoast,
  onRide,
}: {
  onCoast: (id: string | null) => void
  onRide: (id: string | null) => void
}) {
  const { view, ledger, stage } = useBuild()
  const rides = newestFirst(view.downforceTests, ledger.stages, stage.id)
  const coasts = newestFirst(view.coastDowns, ledger.stages, stage.id)
  if (rides.length === 0 && coasts.length === 0)
    return (
      <EmptyRoom
        title="Nothing measured yet"
        action={
          <span className="flex flex-wrap gap-2">
            <Button look="main" onClick={() => onCoast(null)}>
              Log a coast-down
            </Button>
            <Button onClick={() => onRide(null)}>Log downforce</Button>
          </span>
        }
      >
        A log of time and speed while the car rolls out, there and back: its drag area and rolling resistance
        with how sure they are, and the wind along the road. A log of damper travel or ride heights at held
        speeds: what each axle gets, and the balance. Both put the sheet right by what was measured.
      </EmptyRoom>
    )
  return (
    <section aria-label="Measured">
      <p className="mb-2">
        <Button onClick={() => onRide(null)}>Log downforce</Button>
      </p>
      {rides.map((test) => (
        <OneRide key={test.id} test={test} onChange={() => onRide(test.id)} />
      ))}
      {coasts.map((coast) => (
        <OneCoast key={coast.id} coast={coast} onChange={() => onCoast(coast.id)} />
      ))}
    </section>
  )
}
