import { AXLE_END, RATING_FLOW } from '@bold-ballast/contract'
import { AXLE_ENDS, RATING_FLOWS } from '@bold-ballast/core'
import { useWatch } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { Choose } from '../../../ui/Choose'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { OptionalPart } from '../../../ui/record/OptionalPart'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { NOTHING } from '../../../ui/record/nothing'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { KNOWN_BY } from '../../../ui/optionsOf'

const { Field, Fields } = fieldsOf('component')

const blankLife = () => ({
  measure: 'trackDays' as const,
  expected: NOTHING,
  spread: 0.3,
  usedBefore: 0,
  since: null,
})
const blankReplacement = () => ({
  name: '',
  rating: NOTHING,
  mass: NOTHING,
  massGrade: 'claim' as const,
  price: NOTHING,
  workTime: 0,
})
/** @param wears it is here for its life, not its rating */
const blank = (stageId: string, wears: boolean) => (id: string, order: number) => ({
  id,
  stageId,
  name: '',
  kind: 'torque' as const,
  shaft: 'gearbox' as const,
  grade: 'claim' as const,
  axle: null,
  flow: null,
  statedEthanol: 0,
  rating: wears ? null : NOTHING,
  mass: null,
  life: wears ? blankLife() : null,
  spares: 0,
  replacement: null,
  replaces: null,
  demand: null,
  wantedMargin: 1.2,
  note: '',
  order,
})

/** Something rated, or that wears: what its rating is in and holds for, how long it lasts, what would replace it. */
export function ComponentSheet({
  componentId,
  wears = false,
  onClose,
}: {
  componentId: string | null
  wears?: boolean
  onClose: () => void
}) {
  const { view, stage } = useBuild()
  const form = useRecordForm('component', componentId, {
    blank: blank(stage.id, wears),
    says: ({ name }, isNew) => `${isNew ? 'Add' : 'Change'} ${name}`,
    onSaved: onClose,
    completed: (typed) => ({
      ...typed,
      shaft: typed.kind === 'torque' ? typed.shaft : null,
      axle: typed.kind === 'torque' ? typed.axle : null,
      flow: typed.kind === 'power' ? typed.flow : null,
    }),
  })
  const { control, setValue } = form
  const kind = useWatch({ control, name: 'kind' }) ?? 'torque'
  const [axle, flow] = useWatch({ control, name: ['axle', 'flow'] })
  const follows = kind === 'torque' || kind === 'power'
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Add a component' : 'Change the component'}
      says="Save the component"
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <Fields names={['mass', 'spares']} />
      <OptionalPart name="rating" label="It has a rating" blank={() => NOTHING}>
        <Field name="kind" />
        {kind === 'torque' ? <Field name="shaft" /> : <span />}
        {kind === 'torque' && view.build.layout === 'all' && (
          <span className="col-span-2">
            <Choose
              label="On the axle"
              value={axle ?? null}
              options={[
                ['', 'the one that gets most'],
                ...AXLE_ENDS.map((end) => [end, AXLE_END[end]] as const),
              ]}
              onChange={(end) => setValue('axle', end, { shouldDirty: true })}
            />
          </span>
        )}
        {kind === 'power' && (
          <>
            <Choose
              label="The fuel changes it"
              value={flow ?? null}
              options={[['', 'no'], ...RATING_FLOWS.map((one) => [one, RATING_FLOW[one]] as const)]}
              onChange={(one) => setValue('flow', one, { shouldDirty: true })}
            />
            {flow ? <Field name="statedEthanol" /> : <span />}
          </>
        )}
        <Field name="rating" needed />
        <Field name="grade" options={KNOWN_BY} />
        {!follows && <Field name="demand" />}
        <Field name="wantedMargin" />
      </OptionalPart>
      <OptionalPart name="life" label="It wears: it has a life" blank={blankLife}>
        <Field name="life.measure" />
        <Field name="life.expected" />
        <Field name="life.usedBefore" />
        <Field name="life.spread" />
        <Field name="life.since" isWide />
      </OptionalPart>
      <OptionalPart name="replacement" label="A replacement is known" blank={blankReplacement}>
        <Field name="replacement.name" isWide />
        <Field name="replacement.rating" />
        <Field name="replacement.mass" />
        <Field name="replacement.massGrade" options={KNOWN_BY} />
        <Fields names={['replacement.price', 'replacement.workTime']} />
      </OptionalPart>
      <Field name="note" />
    </RecordSheet>
  )
}
