import {
  putEdit,
  withoutVersion,
  type DynoDay,
  type Edit,
  type Pull,
  type RecordOf,
} from '@bold-ballast/contract'
import { formatQuantity, peaksOf, type KnownColumns, type PullPoint, type PullRead } from '@bold-ballast/core'
import { Tabs } from 'radix-ui'
import { Suspense, useMemo, useState } from 'react'
import { useWatch } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { useDrive } from '../../../store/useDrive'
import { later } from '../../../ui/later'
import { KNOWN_BY } from '../../../ui/optionsOf'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { gearsOf } from './gears'
import { PullImport } from './PullImport'

const { Field } = fieldsOf('pull')

const LiveDyno = later(() => import('./LiveDyno'), 'LiveDyno')
const PhotoCurve = later(() => import('./PhotoCurve'), 'PhotoCurve')
const PullPoints = later(() => import('./PullPoints'), 'PullPoints')

const TAB =
  'border-b-2 border-transparent px-2.5 py-1.5 data-[state=active]:border-blued data-[state=active]:font-medium'
const TABS: readonly (readonly [Pull['source'], string])[] = [
  ['file', 'From a file'],
  ['live', 'Live'],
  ['points', 'Type points'],
  ['photo', 'Off a picture'],
  ['peaks', 'Type the peaks'],
]

type Curve = Pick<Pull, 'channels'> & { readonly points: readonly PullPoint[] }

/** A pull: from a file, read live, typed, or clicked off a picture; with what was on the car. */
export function PullSheet({ pull, day, onClose }: { pull: Pull | null; day: DynoDay; onClose: () => void }) {
  const { view, unit } = useBuild()
  const drive = useDrive()
  const siblings = view.pulls.filter((p) => p.dynoDayId === day.id)
  const last = siblings.reduce<Pull | null>((a, b) => (!a || b.order > a.order ? b : a), null)
  const [more, setMore] = useState<readonly PullRead[]>([])
  // What each tab holds: what the open one holds is saved.
  const [held, setHeld] = useState<Partial<Record<Pull['source'], Curve>>>({})
  const [columns, setColumns] = useState<KnownColumns | null>(null)
  const others = (record: RecordOf<'pull'>): Edit[] =>
    (record.source === 'file' ? more : []).map((p, i) =>
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
  const remembered = (): Edit[] =>
    columns && JSON.stringify(columns) !== JSON.stringify(day.sheetColumns)
      ? [
          putEdit(view, 'dynoDay', {
            ...withoutVersion(day),
            sheetColumns: columns as DynoDay['sheetColumns'],
          }),
        ]
      : []
  const form = useRecordForm('pull', pull?.id ?? null, {
    draft: pull ? 'pull' : `pull.of.${day.id}`,
    blank: (id) => ({
      id,
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
    }),
    completed: (typed) => {
      if (typed.source === 'peaks') return { ...typed, points: null, channels: null }
      // What a sheet says beside the curve that it came with stays with it.
      if (pull) return typed
      return { ...typed, peakPower: null, peakPowerSpeed: null, peakTorque: null, peakTorqueSpeed: null }
    },
    says: (record, isNew) =>
      more.length > 0 && record.source === 'file'
        ? `Add ${more.length + 1} pulls`
        : `${isNew ? 'Add' : 'Change'} ${record.name}`,
    along: (record) => [...others(record), ...remembered()],
    onSaved: onClose,
  })
  const { control, setValue, getValues } = form
  const points = useWatch({ control, name: 'points' })
  const source = useWatch({ control, name: 'source' })
  const { overalls } = gearsOf(drive, day)
  const configurations = useMemo(
    () => [...new Set(view.pulls.map((p) => p.configuration).filter(Boolean))].sort(),
    [view.pulls],
  )
  const hold = (from: Pull['source'], curve: Curve | null) => {
    setValue('points', curve ? [...curve.points] : null, { shouldValidate: Boolean(curve) })
    setValue('channels', curve?.channels ?? null)
    setValue('source', from)
    if (from === 'photo') setValue('grade', 'claim')
    else if (from !== source && getValues('grade') === 'claim') setValue('grade', 'measured')
  }
  const took = (
    from: Pull['source'],
    curve: readonly PullPoint[] | null,
    channels: Pull['channels'] = null,
  ) => {
    const taken = curve ? { points: curve, channels } : null
    setHeld({ ...held, [from]: taken ?? undefined })
    hold(from, taken)
  }
  /** A tab that holds something is what is saved from now on; one that is only looked at changes nothing. */
  const turn = (to: string) => {
    const tab = TABS.find(([value]) => value === to)?.[0] ?? 'file'
    const own = held[tab] ?? (pull?.points && pull.source === tab ? pull : null)
    if (own?.points) hold(tab, { points: own.points, channels: own.channels })
    else if (tab === 'peaks' && getValues('peakPower') !== null) hold('peaks', null)
  }
  const [peakPower, peakTorque] = useWatch({ control, name: ['peakPower', 'peakTorque'] })
  const isTyped = source === 'peaks' && (peakPower !== null || peakTorque !== null)
  const read = (found: { pulls: readonly PullRead[]; columns: KnownColumns } | null, filename: string) => {
    const [first, ...rest] = found?.pulls ?? []
    took('file', first?.points ?? null, first ? (first.channels as Pull['channels']) : null)
    setMore(rest)
    setColumns(found?.columns ?? null)
    if (first && !pull) setValue('name', (first.name || filename.replace(/\.[^.]+$/, '')).slice(0, 120))
  }
  const peaks = points && points.length > 0 ? peaksOf(points) : null
  const at = (speed: number) => `${Math.round((speed * 30) / Math.PI).toLocaleString('en-GB')} rpm`
  return (
    <RecordSheet
      form={form}
      title={pull ? 'Change the pull' : 'Add a pull'}
      says={more.length > 0 && source === 'file' ? `Save ${more.length + 1} pulls` : 'Save the pull'}
      onClose={onClose}
      wide
    >
      <div className="col-span-2">
        <Tabs.Root defaultValue={getValues('source')} onValueChange={turn}>
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
          <Tabs.Content
            value="peaks"
            className="grid grid-cols-2 gap-3"
            // What is typed here is what is saved, whatever was chosen before.
            onChange={() => source !== 'peaks' && hold('peaks', null)}
          >
            <Field name="peakPower" />
            <Field name="peakPowerSpeed" label="at engine speed" />
            <Field name="peakTorque" />
            <Field name="peakTorqueSpeed" label="at engine speed" />
          </Tabs.Content>
          {peaks && points && (
            <p className="mt-2" data-testid="import-peaks">
              Peak <b className="figure text-[18px]">{formatQuantity(peaks.power.value, unit('power'))}</b> at{' '}
              {at(peaks.power.speed)},{' '}
              <b className="figure text-[18px]">{formatQuantity(peaks.torque.value, unit('torque'))}</b> at{' '}
              {at(peaks.torque.speed)}, {points.length} points
            </p>
          )}
          {isTyped && Object.values(held).some(Boolean) && (
            <p className="mt-2 text-[13.5px] text-muted" data-testid="peaks-instead">
              The peaks are saved as they are typed. The curve stays out; its tab brings it back.
            </p>
          )}
        </Tabs.Root>
      </div>
      <Field name="name" />
      <Field name="configuration" list="configurations" />
      <datalist id="configurations">
        {configurations.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      <Field name="time" />
      <Field name="grade" options={KNOWN_BY} />
      <Field name="note" />
      <Field name="standsForStage" isWide />
    </RecordSheet>
  )
}
