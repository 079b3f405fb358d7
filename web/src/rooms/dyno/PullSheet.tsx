import { RECORDS, withoutVersion, type DynoDay, type Pull, putEdit } from '@bold-ballast/contract'
import { formatQuantity, peaksOf, type KnownColumns, type PullPoint, type PullRead } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { Tabs } from 'radix-ui'
import { Suspense, useMemo, useState } from 'react'
import { useWatch, type DefaultValues } from 'react-hook-form'
import { useBuild } from '../../store/useBuild'
import { useDrive } from '../../store/useDrive'
import { FormCheck, FormQuantities, FormSelect, FormText } from '../../ui/form'
import { later } from '../../ui/later'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'
import { gearsOf } from './gears'
import { PullImport } from './PullImport'
import { KNOWN_BY } from '../../ui/optionsOf'

const LiveDyno = later(() => import('./LiveDyno'), 'LiveDyno')
const PhotoCurve = later(() => import('./PhotoCurve'), 'PhotoCurve')
const PullPoints = later(() => import('./PullPoints'), 'PullPoints')

type PullForm = Omit<Pull, 'version'>
const TAB =
  'border-b-2 border-transparent px-2.5 py-1.5 data-[state=active]:border-blued data-[state=active]:font-medium'
const TABS: readonly (readonly [Pull['source'], string])[] = [
  ['file', 'From a file'],
  ['live', 'Live'],
  ['points', 'Type points'],
  ['photo', 'Off a picture'],
  ['peaks', 'Type the peaks'],
]

/** A pull: from a file, read live, typed, or clicked off a picture; with what was on the car. */
export function PullSheet({ pull, day, onClose }: { pull: Pull | null; day: DynoDay; onClose: () => void }) {
  const { view, units, unit, save } = useBuild()
  const drive = useDrive()
  const siblings = view.pulls.filter((p) => p.dynoDayId === day.id)
  const last = siblings.reduce<Pull | null>((a, b) => (!a || b.order > a.order ? b : a), null)
  const start: DefaultValues<PullForm> = pull
    ? withoutVersion(pull)
    : {
        id: crypto.randomUUID(),
        dynoDayId: day.id,
        name: `Pull ${siblings.length + 1}`,
        // The next pull is nearly always a repeat of the last.
        configuration: last?.configuration ?? '',
        time: null,
        source: 'file',
        order: (last?.order ?? -1) + 1,
        grade: 'measured',
        standsForStage: false,
        points: null,
        channels: null,
        peakPower: null,
        peakPowerSpeed: null,
        peakTorque: null,
        peakTorqueSpeed: null,
        note: '',
      }
  const { control, handleSubmit, setValue, getValues, kept } = useKeptForm<PullForm>(
    `pull.${pull?.id ?? day.id}`,
    { resolver: zodResolver(RECORDS.pull), defaultValues: start },
  )
  const [fault, setFault] = useState<string | null>(null)
  const [more, setMore] = useState<readonly PullRead[]>([])
  const [columns, setColumns] = useState<KnownColumns | null>(null)
  const points = useWatch({ control, name: 'points' })
  const source = useWatch({ control, name: 'source' })
  const { overalls } = gearsOf(drive, day)
  const configurations = useMemo(
    () => [...new Set(view.pulls.map((p) => p.configuration).filter(Boolean))].sort(),
    [view.pulls],
  )
  const took = (
    from: Pull['source'],
    curve: readonly PullPoint[] | null,
    channels: Pull['channels'] = null,
  ) => {
    setValue('points', curve ? [...curve] : null, { shouldValidate: Boolean(curve) })
    setValue('channels', curve ? channels : null)
    setValue('source', from)
    if (from === 'photo') setValue('grade', 'claim')
    else if (from !== source && getValues('grade') === 'claim') setValue('grade', 'measured')
  }
  const read = (found: { pulls: readonly PullRead[]; columns: KnownColumns } | null, filename: string) => {
    const [first, ...rest] = found?.pulls ?? []
    took('file', first?.points ?? null, first ? (first.channels as Pull['channels']) : null)
    setMore(rest)
    setColumns(found?.columns ?? null)
    if (first && !pull) setValue('name', (first.name || filename.replace(/\.[^.]+$/, '')).slice(0, 120))
  }
  const submit = handleSubmit((typed) => {
    const record: PullForm = { ...typed, source: typed.points ? typed.source : 'peaks' }
    const others = more.map((p, i) =>
      putEdit(view, 'pull', {
        ...record,
        id: crypto.randomUUID(),
        name: p.name,
        order: record.order + 1 + i,
        standsForStage: false,
        points: p.points,
        channels: p.channels as Pull['channels'],
      }),
    )
    const known = JSON.stringify(columns) !== JSON.stringify(day.sheetColumns) && columns
    const remember = known
      ? [putEdit(view, 'dynoDay', { ...withoutVersion(day), sheetColumns: known as DynoDay['sheetColumns'] })]
      : []
    const label =
      others.length > 0 ? `Add ${others.length + 1} pulls` : `${pull ? 'Change' : 'Add'} ${record.name}`
    const faults = save(label, [putEdit(view, 'pull', record), ...others, ...remember])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  const peaks = points && points.length > 0 ? peaksOf(points) : null
  const at = (speed: number) => `${Math.round((speed * 30) / Math.PI).toLocaleString('en-GB')} rpm`
  return (
    <SideSheet open onClose={onClose} title={pull ? 'Change the pull' : 'Add a pull'} wide>
      <SheetForm
        onSubmit={submit}
        kept={kept}
        fault={fault}
        says={more.length > 0 ? `Save ${more.length + 1} pulls` : 'Save the pull'}
        columns={1}
      >
        <Tabs.Root defaultValue={pull && !pull.points ? 'peaks' : 'file'}>
          <Tabs.List
            aria-label="Where the pull comes from"
            className="mb-3 flex flex-wrap border-b border-line"
          >
            {TABS.map(([value, words]) => (
              <Tabs.Trigger key={value} value={value} className={TAB}>
                {words}
              </Tabs.Trigger>
            ))}
          </Tabs.List>
          <Tabs.Content value="file">
            <PullImport dyno={day.dyno} overalls={overalls} onRead={read} />
          </Tabs.Content>
          <Suspense>
            <Tabs.Content value="live">
              <LiveDyno
                onPull={(live) =>
                  took('live', live?.points ?? null, (live?.channels as Pull['channels']) ?? null)
                }
              />
            </Tabs.Content>
            <Tabs.Content value="points">
              <PullPoints onPoints={(typed) => took('points', typed)} />
            </Tabs.Content>
            <Tabs.Content value="photo">
              <PhotoCurve onPoints={(clicked) => took('photo', clicked)} />
            </Tabs.Content>
          </Suspense>
          <Tabs.Content value="peaks" className="grid grid-cols-2 gap-3">
            <FormQuantities
              control={control}
              units={units}
              fields={[
                ['peakPower', 'Peak power', 'power', { hint: 'As the sheet gives it' }],
                ['peakPowerSpeed', 'at engine speed', 'engineSpeed'],
                ['peakTorque', 'Peak torque', 'torque'],
                ['peakTorqueSpeed', 'at engine speed', 'engineSpeed'],
              ]}
            />
          </Tabs.Content>
          {peaks && (
            <p className="mt-2" data-testid="import-peaks">
              Peak <b className="figure text-[18px]">{formatQuantity(peaks.power.value, unit('power'))}</b> at{' '}
              {at(peaks.power.speed)},{' '}
              <b className="figure text-[18px]">{formatQuantity(peaks.torque.value, unit('torque'))}</b> at{' '}
              {at(peaks.torque.speed)}, {points!.length} points
            </p>
          )}
        </Tabs.Root>
        <div className="grid grid-cols-2 gap-3 border-t border-line pt-3">
          <FormText control={control} name="name" label="Name of the pull" />
          <FormText
            control={control}
            name="configuration"
            label="Configuration"
            hint="What was on the car: “long runners”. Pulls of one configuration are repeats."
            list="configurations"
          />
          <datalist id="configurations">
            {configurations.map((name) => (
              <option key={name} value={name} />
            ))}
          </datalist>
          <FormText control={control} name="time" label="Made at" type="time" hint="Sets which air counts" />
          <FormSelect
            control={control}
            name="grade"
            label="Known by"
            options={KNOWN_BY}
            hint="A sheet somebody gave you is a claim"
          />
          <div className="col-span-2">
            <FormText control={control} name="note" label="Notes" rows={2} hint="What was changed" />
          </div>
          <div className="col-span-2">
            <FormCheck control={control} name="standsForStage" label="This pull stands for the stage" />
          </div>
        </div>
      </SheetForm>
    </SideSheet>
  )
}
