import { RECORDS, withoutVersion, type DynoDay, type Pull } from '@bold-ballast/contract'
import { formatQuantity, GRADES, peaksOf, type ReadPull } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { Tabs } from 'radix-ui'
import { useState } from 'react'
import { useWatch, type DefaultValues } from 'react-hook-form'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { FormCheck, FormQuantity, FormSelect, FormText } from '../../ui/form'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'
import { PullImport } from './PullImport'

type PullForm = Omit<Pull, 'version'>
const TAB =
  'border-b-2 border-transparent px-3 py-1.5 data-[state=active]:border-blued data-[state=active]:font-medium'

/** A pull, from a file or from the peaks on a sheet. */
export function PullSheet({ pull, day, onClose }: { pull: Pull | null; day: DynoDay; onClose: () => void }) {
  const { view, units, unit, save } = useBuild()
  const siblings = view.pulls.filter((p) => p.dynoDayId === day.id)
  const start: DefaultValues<PullForm> = pull
    ? withoutVersion(pull)
    : {
        id: crypto.randomUUID(),
        dynoDayId: day.id,
        name: `Pull ${siblings.length + 1}`,
        order: Math.max(-1, ...siblings.map((p) => p.order)) + 1,
        grade: 'measured',
        standsForStage: false,
        points: null,
        peakPower: null,
        peakPowerSpeed: null,
        peakTorque: null,
        peakTorqueSpeed: null,
        note: '',
      }
  const { control, handleSubmit, setValue, formState, kept } = useKeptForm<PullForm>(
    `pull.${pull?.id ?? day.id}`,
    {
      resolver: zodResolver(RECORDS.pull),
      defaultValues: start,
    },
  )
  const [fault, setFault] = useState<string | null>(null)
  const points = useWatch({ control, name: 'points' })
  const took = (read: ReadPull | null, filename: string) => {
    setValue('points', read ? read.points : null, { shouldValidate: Boolean(read) })
    if (read && !pull) setValue('name', filename.replace(/\.[^.]+$/, '').slice(0, 120))
  }
  const submit = handleSubmit((record) => {
    const faults = save(pull ? `Change ${record.name}` : `Add ${record.name}`, [put(view, 'pull', record)])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  const peaks = points && points.length > 0 ? peaksOf(points) : null
  return (
    <SideSheet open onClose={onClose} title={pull ? 'Change the pull' : 'Add a pull'} wide>
      <SheetForm
        onSubmit={submit}
        kept={kept}
        fault={fault ?? formState.errors.points?.message}
        says="Save the pull"
        columns={1}
      >
        <Tabs.Root defaultValue={pull && !pull.points ? 'typed' : 'file'}>
          <Tabs.List aria-label="Where the pull comes from" className="mb-3 flex border-b border-line">
            <Tabs.Trigger value="file" className={TAB}>
              From a file
            </Tabs.Trigger>
            <Tabs.Trigger value="typed" className={TAB}>
              Type the peaks
            </Tabs.Trigger>
          </Tabs.List>
          <Tabs.Content value="file">
            <PullImport onRead={took} />
            {peaks && (
              <p className="mt-2" data-testid="import-peaks">
                Peak <b className="figure text-[18px]">{formatQuantity(peaks.power.value, unit('power'))}</b>{' '}
                at {Math.round((peaks.power.speed * 30) / Math.PI).toLocaleString('en-GB')} rpm,{' '}
                <b className="figure text-[18px]">{formatQuantity(peaks.torque.value, unit('torque'))}</b> at{' '}
                {Math.round((peaks.torque.speed * 30) / Math.PI).toLocaleString('en-GB')} rpm,{' '}
                {points!.length} points
              </p>
            )}
          </Tabs.Content>
          <Tabs.Content value="typed" className="grid grid-cols-2 gap-3">
            <FormQuantity
              control={control}
              name="peakPower"
              label="Peak power"
              quantity="power"
              units={units}
              hint="As the sheet gives it"
            />
            <FormQuantity
              control={control}
              name="peakPowerSpeed"
              label="at engine speed"
              quantity="engineSpeed"
              units={units}
            />
            <FormQuantity
              control={control}
              name="peakTorque"
              label="Peak torque"
              quantity="torque"
              units={units}
            />
            <FormQuantity
              control={control}
              name="peakTorqueSpeed"
              label="at engine speed"
              quantity="engineSpeed"
              units={units}
            />
          </Tabs.Content>
        </Tabs.Root>
        <div className="grid grid-cols-2 gap-3 border-t border-line pt-3">
          <FormText
            control={control}
            name="name"
            label="Name of the pull"
            hint="The configuration: “long runners”"
          />
          <FormSelect
            control={control}
            name="grade"
            label="Known by"
            options={GRADES.filter((g) => g !== 'proven').map((g) => [g, g])}
            hint="A sheet somebody gave you is a claim"
          />
          <div className="col-span-2">
            <FormText
              control={control}
              name="note"
              label="Notes"
              rows={2}
              hint="Boost, gear, what was changed"
            />
          </div>
          <div className="col-span-2">
            <FormCheck control={control} name="standsForStage" label="This pull stands for the stage" />
          </div>
        </div>
      </SheetForm>
    </SideSheet>
  )
}
