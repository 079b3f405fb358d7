import { withoutVersion, type Build } from '@bold-ballast/contract'
import { useWatch } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { NOTHING } from '../../../ui/record/nothing'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field, Fields } = fieldsOf('build')

export type Ballast = NonNullable<Build['ballast']>
const TARGETS = [
  ['front', 'Front share'],
  ['left', 'Left share'],
  ['cross', 'Cross share'],
] as const

export const noBallast = (): Ballast => ({
  spots: [{ id: crypto.randomUUID(), name: 'Passenger footwell', x: 0.9, y: -0.35, limit: 20 }],
  plates: [
    { mass: 5, count: 4 },
    { mass: 1, count: 5 },
  ],
  minimumMass: 0,
  front: null,
  left: null,
  cross: null,
})
const blankSpot = () => ({
  id: crypto.randomUUID(),
  name: '',
  x: NOTHING,
  y: NOTHING,
  limit: NOTHING,
})

/** What ballast should reach, where it may go, and what plates there are. */
export function BallastSheet({ onClose }: { onClose: () => void }) {
  const { view } = useBuild()
  const build = withoutVersion(view.build)
  const start = { ...build, ballast: build.ballast ?? noBallast() }
  const form = useRecordForm('build', start, {
    draft: 'ballast',
    says: () => 'Change the ballast',
    onSaved: onClose,
    completed: ({ ballast }) => ({ ...build, ballast }),
  })
  const targets = useWatch({ control: form.control, name: 'ballast' })
  return (
    <RecordSheet form={form} title="Ballast" says="Save the ballast" wide onClose={onClose}>
      <Field name="ballast.minimumMass" />
      <span />
      {TARGETS.map(([target, words]) => (
        <div key={target} className="col-span-2 grid grid-cols-[130px_1fr_1fr] items-start gap-3">
          <label className="flex items-center gap-2 pt-6">
            <input
              type="checkbox"
              className="size-4 accent-blued"
              checked={Boolean(targets?.[target])}
              onChange={(e) =>
                form.setValue(`ballast.${target}`, e.target.checked ? { value: 0.5, tolerance: 0.003 } : null)
              }
            />
            {words}
          </label>
          {targets?.[target] && (
            <>
              <Field name={`ballast.${target}.value`} label={`${words} wanted`} />
              <Field name={`ballast.${target}.tolerance`} label={`${words}, ±`} />
            </>
          )}
        </div>
      ))}
      <h3 className="col-span-2 mt-2 text-[17px]">Spots</h3>
      <Rows
        name="ballast.spots"
        one="spot"
        most={24}
        blank={blankSpot}
        className="grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2"
        removes="beside"
      >
        {(i) => (
          <>
            <div className="col-span-4">
              <Field name={`ballast.spots.${i}.name`} label={`Spot ${i + 1}`} />
            </div>
            <Fields names={[`ballast.spots.${i}.x`, `ballast.spots.${i}.y`, `ballast.spots.${i}.limit`]} />
          </>
        )}
      </Rows>
      <h3 className="col-span-2 mt-2 text-[17px]">Plates there are</h3>
      <Rows
        name="ballast.plates"
        one="plate"
        adds="size"
        most={8}
        blank={() => ({ mass: NOTHING, count: NOTHING })}
        className="grid grid-cols-[1fr_1fr_auto] items-end gap-2"
        removes="beside"
      >
        {(i) => (
          <>
            <Field name={`ballast.plates.${i}.mass`} label={`Plate ${i + 1}, each`} />
            <Field name={`ballast.plates.${i}.count`} />
          </>
        )}
      </Rows>
    </RecordSheet>
  )
}
