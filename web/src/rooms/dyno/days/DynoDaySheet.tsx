import { usualLimits } from '@bold-ballast/core'
import { format } from 'date-fns'
import { useWatch } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { useInstruments } from '../../../store/useInstruments'
import { InstrumentField } from '../../../ui/InstrumentField'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { OptionalPart } from '../../../ui/record/OptionalPart'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { today } from '../../../ui/today'

const { Field, Fields } = fieldsOf('dynoDay')
const DYNOS = ['dyno'] as const
const USUAL_AIR = { time: null, temperature: 293.15, pressure: 101_300, humidity: 0.5 }

const blank = (stageId: string) => (id: string) => ({
  id,
  stageId,
  date: today(),
  dyno: '',
  kind: 'rollerInertia' as const,
  repeatability: 0.015,
  fuel: '',
  ethanol: null,
  boostControl: 'none' as const,
  gear: null,
  air: [USUAL_AIR],
  sheetCorrection: 'observed' as const,
  limits: null,
  sheetColumns: null,
  note: '',
})

/** A dyno day: the dyno, the fuel, boost and gear, the air as it was read, and what the sheet was corrected by. */
export function DynoDaySheet({
  dayId,
  onClose,
  onSaved,
}: {
  dayId: string | null
  onClose: () => void
  onSaved: (id: string) => void
}) {
  const { stage } = useBuild()
  const dynos = useInstruments(DYNOS)
  const form = useRecordForm('dynoDay', dayId, {
    blank: blank(stage.id),
    says: (_, isNew) => (isNew ? 'Log a dyno day' : 'Change a dyno day'),
    along: ({ dyno }) => dynos.takenOver(dyno),
    onSaved: ({ id }) => {
      onSaved(id)
      onClose()
    },
  })
  const { control, setValue, formState, isNew } = form
  const [dyno, boost] = useWatch({ control, name: ['dyno', 'boostControl'] })
  return (
    <RecordSheet
      form={form}
      title={isNew ? 'Log a dyno day' : 'Change the dyno day'}
      says="Save the dyno day"
      onClose={onClose}
    >
      <InstrumentField
        label="Dyno"
        choice={dynos}
        value={dyno ?? ''}
        problem={formState.errors.dyno?.message}
        autoFocus
        onChoose={(name, known) => {
          setValue('dyno', name, { shouldDirty: true, shouldValidate: formState.isSubmitted })
          if (known) setValue('repeatability', known.repeatability, { shouldDirty: true })
        }}
      />
      <Fields names={['date', 'kind', 'repeatability', 'fuel', 'ethanol', 'boostControl', 'gear']} />
      <Field name="sheetCorrection" isWide />
      <h3 className="col-span-2 mt-2 text-[17px]">The air, as it was read</h3>
      <Rows
        name="air"
        one="reading"
        most={48}
        blank={(last) => (last ? { ...USUAL_AIR, time: format(new Date(), 'HH:mm') } : USUAL_AIR)}
        begins="The air was written down"
      >
        {(i) => (
          <Fields
            names={[`air.${i}.time`, `air.${i}.temperature`, `air.${i}.pressure`, `air.${i}.humidity`]}
          />
        )}
      </Rows>
      <OptionalPart
        name="limits"
        label="Own limits for mixture, oil and coolant"
        blank={() => usualLimits(boost !== 'none')}
      >
        <Fields names={['limits.richest', 'limits.leanest', 'limits.oilPer1000', 'limits.coolant']} />
      </OptionalPart>
      <Field name="note" />
    </RecordSheet>
  )
}
