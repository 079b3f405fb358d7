import { fieldsOf } from '../ui/record/fieldsOf'
import { RecordSheet } from '../ui/record/RecordSheet'
import { useRecordForm } from '../ui/record/useRecordForm'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { toast } from '../ui/toast'
import { problemOf, useAlongQuery, useRemoveBuildMutation } from '../store/api'
import { useExportBuild } from './useExportBuild'
import { useBuild } from '../store/useBuild'
import { AskFirst } from '../ui/AskFirst'
import { Button } from '../ui/Button'
import { MayOnly } from '../ui/MayOnly'

const { Field, Fields } = fieldsOf('build')

const AXES = ['x', 'y', 'z'] as const
const PLACE = { x: 'behind front axle', y: 'left of centre', z: 'above ground' } as const

/** Everything about the car as bought, what it is weighed with, and what its power is stated under. */
export function BuildSheet({ onClose }: { onClose: () => void }) {
  const { view } = useBuild()
  const exportBuild = useExportBuild(view.build.id)
  const { data: along } = useAlongQuery()
  const isAlong = along?.some(({ buildId }) => buildId === view.build.id)
  const form = useRecordForm('build', view.build.id, {
    says: ({ name }) => `Change build ${name}`,
    onSaved: onClose,
  })
  const below = (
    <div className="mt-6 flex flex-wrap gap-2 border-t border-line pt-4">
      {exportBuild && <Button onClick={() => exportBuild(view)}>Export as a file</Button>}
      {exportBuild && isAlong && (
        <Button onClick={() => location.assign(`/api/v1/builds/${view.build.id}/homecoming`)}>
          Bring it home
        </Button>
      )}
      <DeleteBuild />
    </div>
  )
  return (
    <RecordSheet form={form} title="The build" says="Save the build" onClose={onClose} below={below}>
      <Fields names={['name', 'car', 'discipline', 'layout', 'wheelbase', 'trackFront', 'trackRear']} />
      <Field name="currency" />

      <h3 className="col-span-2 mt-2 text-[18px]">As bought</h3>
      <Field name="baseMass" label="Mass" />
      <Field name="baseGrade" label="Known by" />
      <Field name="baseSigma" label="± one standard uncertainty" />
      <Field name="baseFuel" />
      {AXES.map((axis) => (
        <Field key={axis} name={`baseCentre.${axis}`} label={`Centre of mass, ${PLACE[axis]}`} />
      ))}

      <h3 className="col-span-2 mt-2 text-[18px]">Reference condition</h3>
      <p className="col-span-2 -mt-2 text-[13px] text-muted">
        What every mass on the Board and in the tally is stated for.
      </p>
      <Field name="reference.fuel" label="Fuel aboard" />
      <Field name="reference.driver" label="Driver aboard" />
      <Field name="powerBasis" />

      <h3 className="col-span-2 mt-2 text-[18px]">Tank and seat</h3>
      <Fields names={['driverMass', 'fuelDensity']} />
      {AXES.map((axis) => (
        <Field key={axis} name={`tank.${axis}`} label={`Tank, ${PLACE[axis]}`} />
      ))}
      {AXES.map((axis) => (
        <Field key={axis} name={`seat.${axis}`} label={`Driver, ${PLACE[axis]}`} />
      ))}
      <Field name="note" />
    </RecordSheet>
  )
}

/** The one removal that undo can't bring back, so it asks, and offers the file first. */
function DeleteBuild() {
  const { view, buildId } = useBuild()
  const exportBuild = useExportBuild(view.build.id)
  const [asking, setAsking] = useState(false)
  const [removeBuild] = useRemoveBuildMutation()
  const navigate = useNavigate()
  const remove = async () => {
    const { error } = await removeBuild(buildId)
    if (error) return void toast.error(`Not deleted. ${problemOf(error).detail}`)
    toast(`${view.build.name} deleted.`)
    void navigate('/')
  }
  return (
    <>
      <MayOnly right="plan">
        <Button look="danger" onClick={() => setAsking(true)}>
          Delete the build
        </Button>
      </MayOnly>
      <AskFirst
        open={asking}
        onOpenChange={setAsking}
        title={`Delete ${view.build.name} for good?`}
        instead={exportBuild && <Button onClick={() => exportBuild(view)}>Export it first</Button>}
        onYes={() => void remove()}
      >
        All its stages, swaps, weigh-ins and pulls go, and undo can’t bring them back. A file of it can.
      </AskFirst>
    </>
  )
}
