import { CORNERS, perCorner } from '@bold-ballast/core'
import { CORNER_WORDS } from '@bold-ballast/contract'
import { SheetOf } from '../../../sheets/SheetOf'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { NOTHING } from '../../../ui/record/nothing'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { today } from '../../../ui/today'
import { CornerGrid } from '../../../ui/record/CornerGrid'
import { ToeField } from '../ToeField'

const { Field, Fields } = fieldsOf('alignment')
const DEGREE = Math.PI / 180
const blankSweep = () => ({ angle: 20 * DEGREE, turnedIn: NOTHING, turnedOut: NOTHING })

/** What string, plates and gauge read, as often as they were read. */
export function AlignmentSheet({ sessionId, onClose }: { sessionId: string | null; onClose: () => void }) {
  const { stage, view } = useBuild()
  const { setup } = useLiveCar()
  const form = useRecordForm('alignment', sessionId, {
    blank: (id) => ({
      id,
      stageId: stage.id,
      date: today(),
      by: 'string' as const,
      toeWidth: setup?.value.toeWidth ?? 0.6,
      driver: view.build.driverMass,
      heights: setup?.value.heights ?? perCorner(() => null),
      toe: perCorner((): { angle: number }[] => []),
      camber: perCorner((): { angle: number }[] => []),
      sweeps: { left: [], right: [] },
      step: 0.05 * DEGREE,
      setupId: setup?.value.id ?? null,
      note: '',
    }),
    says: ({ date }, isNew) => `${isNew ? 'Log' : 'Change'} the alignment of ${date}`,
    onSaved: onClose,
  })
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Measure alignment' : 'Change the alignment'}
      says="Save the alignment"
      before={
        <p className="mb-3 text-[13.5px] text-muted">
          Level floor, pressures set, driver or as much mass in the seat, steering straight and locked. Roll
          the car to and fro between readings: what they scatter by is the doubt.
        </p>
      }
      wide
      onClose={onClose}
    >
      <Fields names={['date', 'by', 'toeWidth', 'driver', 'step']} />
      <span />
      <CornerGrid says="Ride heights" name="heights">
        {(corner, label) => <Field name={`heights.${corner}`} label={label} />}
      </CornerGrid>
      {CORNERS.map((corner) => (
        <fieldset
          key={corner}
          className="col-span-2 grid grid-cols-2 items-start gap-3 border-t border-line pt-2"
        >
          <legend className="mb-1 pr-2 text-[17px]">{CORNER_WORDS[corner]}</legend>
          <div className="grid gap-2">
            <Rows
              name={`toe.${corner}`}
              one="toe reading"
              of={CORNER_WORDS[corner]}
              begins="Read toe"
              most={8}
              blank={() => ({ angle: NOTHING })}
              className="grid grid-cols-[1fr_auto] items-end gap-2"
              removes="beside"
            >
              {(i) => <ToeField name={`toe.${corner}.${i}.angle`} label={`Toe ${i + 1}`} />}
            </Rows>
          </div>
          <div className="grid gap-2">
            <Rows
              name={`camber.${corner}`}
              one="camber reading"
              of={CORNER_WORDS[corner]}
              begins="Read camber"
              most={8}
              blank={() => ({ angle: NOTHING })}
              className="grid grid-cols-[1fr_auto] items-end gap-2"
              removes="beside"
            >
              {(i) => <Field name={`camber.${corner}.${i}.angle`} label={`Camber ${i + 1}`} />}
            </Rows>
          </div>
        </fieldset>
      ))}
      {(['left', 'right'] as const).map((side) => (
        <fieldset
          key={side}
          className="col-span-2 grid grid-cols-2 items-start gap-3 border-t border-line pt-2"
        >
          <legend className="mb-1 pr-2 text-[17px]">Caster, {side} wheel on its plate</legend>
          <Rows
            name={`sweeps.${side}`}
            one="sweep"
            of={`of the ${side} wheel`}
            begins="Turn it on the plate"
            most={6}
            blank={blankSweep}
            className="grid grid-cols-3 items-start gap-2"
          >
            {(i) => (
              <Fields
                names={[
                  `sweeps.${side}.${i}.angle`,
                  `sweeps.${side}.${i}.turnedIn`,
                  `sweeps.${side}.${i}.turnedOut`,
                ]}
              />
            )}
          </Rows>
        </fieldset>
      ))}
      <SheetOf />
      <Field name="note" />
    </RecordSheet>
  )
}
