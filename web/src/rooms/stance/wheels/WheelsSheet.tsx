import { AXLE_END } from '@bold-ballast/contract'
import type { AxleEnd } from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { NOTHING } from '../../../ui/record/nothing'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field, Fields } = fieldsOf('fitment')

const blankWheel = () => ({
  rimWidth: NOTHING,
  rimDiameter: NOTHING,
  offset: NOTHING,
  spacer: 0,
  tyreWidth: NOTHING,
  tyreDiameter: NOTHING,
})
const blankGap = (side: 'inside' | 'outside') => ({ name: '', side, gap: NOTHING, wanted: 0.005 })
const blankAxle = () => ({
  hub: { bolts: NOTHING, boltCircle: NOTHING, spigot: NOTHING, leastRim: NOTHING },
  wheel: blankWheel(),
  obstacles: [blankGap('inside')],
})
const blank = (stageId: string) => (id: string) => ({
  id,
  stageId,
  front: blankAxle(),
  rear: blankAxle(),
  candidates: [],
  note: '',
})

function WheelFields({ at }: { at: `${AxleEnd}.wheel` | `candidates.${number}.wheel` }) {
  return (
    <Fields
      names={[
        `${at}.rimWidth`,
        `${at}.rimDiameter`,
        `${at}.offset`,
        `${at}.spacer`,
        `${at}.tyreWidth`,
        `${at}.tyreDiameter`,
      ]}
    />
  )
}

function AxleFields({ end }: { end: AxleEnd }) {
  return (
    <fieldset className="col-span-2 grid grid-cols-2 items-start gap-3 border-t-2 border-edge pt-3">
      <legend className="sr-only">{AXLE_END[end]} axle</legend>
      <h3 className="col-span-2 text-[17px] first-letter:uppercase">{AXLE_END[end]} axle</h3>
      <WheelFields at={`${end}.wheel`} />
      <Fields
        names={[`${end}.hub.bolts`, `${end}.hub.boltCircle`, `${end}.hub.spigot`, `${end}.hub.leastRim`]}
      />
      <Rows
        name={`${end}.obstacles`}
        one="gap"
        of={`of the ${AXLE_END[end]}`}
        most={12}
        blank={() => blankGap('outside')}
        className="grid grid-cols-2 items-start gap-2 border-l-4 border-line pl-3"
      >
        {(i) => (
          <>
            <Field name={`${end}.obstacles.${i}.name`} label={`Gap ${i + 1} is to`} />
            <Fields
              names={[
                `${end}.obstacles.${i}.side`,
                `${end}.obstacles.${i}.gap`,
                `${end}.obstacles.${i}.wanted`,
              ]}
            />
          </>
        )}
      </Rows>
    </fieldset>
  )
}

/** Wheels, hubs and gaps of both axles, and wheels that might be fitted instead. */
export function WheelsSheet({ onClose }: { onClose: () => void }) {
  const { stage } = useBuild()
  const { record, carriedFrom } = useCarried('fitment')
  const form = useRecordForm('fitment', record, {
    blank: blank(stage.id),
    says: () => 'Change wheels',
    onSaved: onClose,
  })
  return (
    <RecordSheet
      form={form}
      title="Wheels and gaps"
      says="Save wheels"
      carriedFrom={carriedFrom}
      onClose={onClose}
    >
      <AxleFields end="front" />
      <AxleFields end="rear" />
      <Rows
        name="candidates"
        one="candidate"
        most={12}
        blank={() => ({ name: '', axle: 'rear', wheel: blankWheel() })}
        className="grid grid-cols-2 items-start gap-3 border-t-2 border-edge pt-3"
      >
        {(i) => (
          <>
            <Field name={`candidates.${i}.name`} label={`Candidate ${i + 1}`} />
            <Field name={`candidates.${i}.axle`} />
            <WheelFields at={`candidates.${i}.wheel`} />
          </>
        )}
      </Rows>
      <Field name="note" />
    </RecordSheet>
  )
}
