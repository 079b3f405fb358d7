import { RECORDS, withoutVersion, type Build, DISCIPLINE, LAYOUT, putEdit } from '@bold-ballast/contract'
import { CORRECTION_NAMES } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { toast } from 'sonner'
import { problemOf, useRemoveBuildMutation } from '../store/api'
import { exportBuild } from './exportBuild'
import { useBuild } from '../store/useBuild'
import { AskFirst } from '../ui/AskFirst'
import { Button } from '../ui/Button'
import { FormQuantity, FormSelect, FormText } from '../ui/form'
import { SheetForm } from '../ui/SheetForm'
import { SideSheet } from '../ui/SideSheet'
import { useKeptForm } from '../ui/useKeptForm'
import { optionsOf } from '../ui/optionsOf'

type BuildForm = Omit<Build, 'version'>

const PLACE = { x: 'behind front axle', y: 'left of centre', z: 'above ground' } as const

/** Everything about the car as bought, what it is weighed with, and what its power is stated under. */
export function BuildSheet({ onClose }: { onClose: () => void }) {
  const { view, units, save } = useBuild()
  const { control, handleSubmit, kept } = useKeptForm<BuildForm>(`build.${view.build.id}`, {
    resolver: zodResolver(RECORDS.build),
    defaultValues: withoutVersion(view.build),
  })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit(
    (record) => {
      const faults = save(`Change build ${record.name}`, [putEdit(view, 'build', record)])
      if (faults) return setFault(faults[0]!.problem)
      kept.forget()
      onClose()
    },
    () => setFault('Something above needs another look.'),
  )
  const length = { control, quantity: 'length', units } as const
  const mass = { control, quantity: 'mass', units } as const
  return (
    <SideSheet open onClose={onClose} title="The build">
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the build">
        <FormText control={control} name="name" label="Name" />
        <FormText control={control} name="car" label="Car" />
        <FormSelect control={control} name="discipline" label="Discipline" options={optionsOf(DISCIPLINE)} />
        <FormSelect control={control} name="layout" label="Layout" options={optionsOf(LAYOUT)} />
        <FormQuantity {...length} name="wheelbase" label="Wheelbase" />
        <FormQuantity {...length} name="trackFront" label="Front track" />
        <FormQuantity {...length} name="trackRear" label="Rear track" />

        <h3 className="col-span-2 mt-2 text-[18px]">As bought</h3>
        <FormQuantity {...mass} name="baseMass" label="Mass" hint="With fluids, no driver" />
        <FormSelect
          control={control}
          name="baseGrade"
          label="Known by"
          options={[
            ['guess', 'guess'],
            ['claim', 'claim'],
            ['measured', 'measured'],
            ['proven', 'proven'],
          ]}
        />
        <FormQuantity
          {...mass}
          name="baseSigma"
          label="± one standard uncertainty"
          hint="Empty: the grade’s default"
        />
        <FormQuantity
          control={control}
          quantity="volume"
          units={units}
          name="baseFuel"
          label="Fuel that was in it"
        />
        {(['x', 'y', 'z'] as const).map((axis) => (
          <FormQuantity
            key={axis}
            {...length}
            name={`baseCentre.${axis}`}
            label={`Centre of mass, ${PLACE[axis]}`}
          />
        ))}

        <h3 className="col-span-2 mt-2 text-[18px]">Reference condition</h3>
        <p className="col-span-2 -mt-2 text-[13px] text-muted">
          What every mass on the Board and in the tally is stated for.
        </p>
        <FormQuantity
          control={control}
          quantity="volume"
          units={units}
          name="reference.fuel"
          label="Fuel aboard"
        />
        <FormQuantity {...mass} name="reference.driver" label="Driver aboard" hint="0 for nobody" />
        <FormSelect
          control={control}
          name="powerBasis"
          label="Power is stated"
          options={optionsOf(CORRECTION_NAMES)}
        />

        <h3 className="col-span-2 mt-2 text-[18px]">Tank and seat</h3>
        <FormQuantity {...mass} name="driverMass" label="Driver in full gear" />
        <FormQuantity
          control={control}
          quantity="density"
          units={units}
          name="fuelDensity"
          label="Density of the fuel"
          hint="Petrol 745, E85 782"
        />
        {(['tank', 'seat'] as const).flatMap((what) =>
          (['x', 'y', 'z'] as const).map((axis) => (
            <FormQuantity
              key={`${what}${axis}`}
              {...length}
              name={`${what}.${axis}`}
              label={`${what === 'tank' ? 'Tank' : 'Driver'}, ${PLACE[axis]}`}
            />
          )),
        )}
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
      <div className="mt-6 flex flex-wrap gap-2 border-t border-line pt-4">
        <Button onClick={() => exportBuild(view)}>Export as a file</Button>
        <DeleteBuild />
      </div>
    </SideSheet>
  )
}

/** The one removal that undo can't bring back, so it asks, and offers the file first. */
function DeleteBuild() {
  const { view, buildId } = useBuild()
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
      <Button look="danger" onClick={() => setAsking(true)}>
        Delete the build
      </Button>
      <AskFirst
        open={asking}
        onOpenChange={setAsking}
        title={`Delete ${view.build.name} for good?`}
        instead={<Button onClick={() => exportBuild(view)}>Export it first</Button>}
        onYes={() => void remove()}
      >
        All its stages, swaps, weigh-ins and pulls go, and undo can’t bring them back. A file of it can.
      </AskFirst>
    </>
  )
}
