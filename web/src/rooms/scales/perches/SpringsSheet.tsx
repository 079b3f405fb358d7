import { withoutVersion } from '@bold-ballast/contract'
import { useBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field, Fields } = fieldsOf('build')
const USUAL = { springRate: 60_000, motionRatio: 0.8, tyreRate: 200_000, threadPitch: 0.002 }

/** Springs, motion ratios and threads: what the perches and the set-up are computed with. */
export function SpringsSheet({ onClose }: { onClose: () => void }) {
  const { view } = useBuild()
  const build = withoutVersion(view.build)
  const start = { ...build, springs: build.springs ?? { front: USUAL, rear: USUAL, turnStep: 0.25 } }
  const form = useRecordForm('build', start, {
    draft: 'springs',
    says: () => 'Change the springs',
    onSaved: onClose,
    completed: ({ springs }) => ({ ...build, springs }),
  })
  return (
    <RecordSheet form={form} title="Springs and perches" says="Save the springs" onClose={onClose}>
      {(['front', 'rear'] as const).map((axle) => (
        <fieldset key={axle} className="col-span-2 grid grid-cols-2 gap-3">
          <legend className="mb-1 text-[17px]">{axle === 'front' ? 'Front' : 'Rear'}</legend>
          <Fields
            names={[
              `springs.${axle}.springRate`,
              `springs.${axle}.motionRatio`,
              `springs.${axle}.tyreRate`,
              `springs.${axle}.threadPitch`,
            ]}
          />
        </fieldset>
      ))}
      <Field name="springs.turnStep" />
    </RecordSheet>
  )
}
