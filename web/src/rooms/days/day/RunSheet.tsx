import { blankLap, blankRun, type Outing } from '@bold-ballast/contract'
import { runsOf } from '@bold-ballast/model'
import { useWatch } from 'react-hook-form'
import { AskTyreUnit } from '../../../sheets/AskTyreUnit'
import { HotTyres } from '../../../sheets/HotTyres'
import { SheetOf } from '../../../sheets/SheetOf'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { CornerGrid } from '../../../ui/record/CornerGrid'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { NOTHING } from '../../../ui/record/nothing'
import { OptionalPart } from '../../../ui/record/OptionalPart'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { useOpenForm } from '../../../ui/record/RecordFormContext'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field, Fields } = fieldsOf('run')
const blankAir = () => ({ temperature: NOTHING, pressure: 101_300, humidity: 0.5 })

/** A run: who, on what, its laps, and all that is read before and after it. The next one begins where the last one ended. */
export function RunSheet({
  runId,
  day,
  onClose,
}: {
  runId: string | null
  day: Outing
  onClose: () => void
}) {
  const { view } = useBuild()
  const { setup } = useLiveCar()
  const form = useRecordForm('run', runId, {
    blank: (id) => {
      const runs = runsOf(view, day.id)
      const last = runs.at(-1)
      return {
        ...blankRun(day.id, id, (last?.order ?? 0) + 1),
        setupId: setup?.value.id ?? null,
        planned: day.planned,
        ...(last && {
          session: last.session,
          kind: last.kind,
          driver: last.driver,
          setupId: last.setupId,
          tyres: last.tyres,
          tyreLaps: last.tyreLaps === null ? null : last.tyreLaps + last.laps.length,
          air: last.air,
          track: last.track,
        }),
      }
    },
    says: ({ order }, isNew) => `${isNew ? 'Add' : 'Change'} run ${order} of ${day.name}`,
    onSaved: onClose,
  })
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Add a run' : 'Change the run'}
      says="Save the run"
      onClose={onClose}
    >
      <Fields names={['session', 'driver', 'purpose', 'kind', 'time', 'track']} />
      <SheetOf />
      <Field name="change" isWide />
      <Fields names={['tyres', 'tyreLaps', 'fuel', 'lasts', 'planned']} />
      <Laps />
      <HotTyres />
      <CornerGrid says="Discs, straight after" name="discs" canMirror={false}>
        {(corner, label) => <Field name={`discs.${corner}`} label={label} />}
      </CornerGrid>
      <CornerGrid says="Cold, before" name="cold">
        {(corner, label) => <Field name={`cold.${corner}`} label={label} />}
      </CornerGrid>
      <AskTyreUnit name="cold" />
      <OptionalPart name="air" label="The air was read" blank={blankAir}>
        <Fields names={['air.temperature', 'air.pressure', 'air.humidity']} />
      </OptionalPart>
      <Readings />
      <Field name="fault" isWide />
      <Rows
        name="added"
        one="fluid"
        begins="A fluid was added"
        most={20}
        blank={() => ({ name: '', volume: NOTHING })}
        removes="beside"
        className="grid grid-cols-[1fr_1fr_auto] items-end gap-3"
      >
        {(i) => <Fields names={[`added.${i}.name`, `added.${i}.volume`]} />}
      </Rows>
      <Field name="bottle" />
      <Field name="note" />
    </RecordSheet>
  )
}

function Laps() {
  const { control } = useOpenForm()
  const kind = useWatch({ control, name: 'kind' }) as string
  return (
    <Rows
      name="laps"
      one="lap"
      begins="Type its laps"
      most={500}
      blank={() => ({ ...blankLap(null), time: kind === 'drift' ? null : NOTHING })}
      removes="beside"
      className="grid grid-cols-[1fr_1fr_auto] items-end gap-3"
    >
      {(i) =>
        kind === 'drift' ? (
          <span className="col-span-2 grid grid-cols-2 gap-3">
            <Fields names={[`laps.${i}.entry`, `laps.${i}.angle`, `laps.${i}.judged`, `laps.${i}.is`]} />
          </span>
        ) : (
          <>
            <Field name={`laps.${i}.time`} label={`Lap ${i + 1}`} />
            <Field name={`laps.${i}.is`} />
          </>
        )
      }
    </Rows>
  )
}

/** What gauges read, one for each limit that is set, and others beside. */
function Readings() {
  const { view } = useBuild()
  const { control } = useOpenForm()
  const read = (useWatch({ control, name: 'readings' }) as readonly { name?: string }[] | undefined) ?? []
  return (
    <Rows
      name="readings"
      one="reading"
      begins="Type readings"
      most={40}
      blank={() => {
        const next = view.limits.find((l) => !read.some((r) => r.name === l.name))
        return {
          name: next?.name ?? '',
          quantity: next?.quantity ?? 'temperature',
          value: NOTHING,
          at: null,
          by: next?.by ?? 'nothing',
        }
      }}
    >
      {(i) => <ReadingFields at={i} />}
    </Rows>
  )
}

function ReadingFields({ at }: { at: number }) {
  const { control } = useOpenForm()
  const by = useWatch({ control, name: `readings.${at}.by` }) as string
  return (
    <>
      <Field name={`readings.${at}.name`} />
      <Field name={`readings.${at}.quantity`} />
      <Field name={`readings.${at}.value`} />
      <Field name={`readings.${at}.by`} />
      {by !== 'nothing' && <Field name={`readings.${at}.at`} />}
    </>
  )
}
