import type { RecordOf } from '@bold-ballast/contract'
import { useState } from 'react'
import { useFieldArray, useWatch } from 'react-hook-form'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { useDrive } from '../../../store/useDrive'
import { useRemote } from '../../../store/useRemote'
import { Button } from '../../../ui/Button'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { today } from '../../../ui/today'
import type { CoastApi } from '../../../workers/coast.worker'

const { Field, Fields } = fieldsOf('coastDown')

const startWorker = () =>
  new Worker(new URL('../../../workers/coast.worker.ts', import.meta.url), { type: 'module' })

type Run = RecordOf<'coastDown'>['runs'][number]
const WAYS: readonly Run['direction'][] = ['out', 'back']

/** The car rolled out: what it weighed, the air, and a log for every run. */
export function CoastSheet({ coastId, onClose }: { coastId: string | null; onClose: () => void }) {
  const { view, stage } = useBuild()
  const { summary } = useLiveBuild()
  const drive = useDrive()
  const blank = (id: string) => {
    const driver = Math.max(0, view.build.driverMass - view.build.reference.driver)
    return {
      id,
      stageId: stage.id,
      date: today(),
      name: '',
      runs: [],
      note: '',
      mass: Number((summary.mass.value + driver).toFixed(1)),
      equivalentMass: drive ? Number((drive.wheelInertia / drive.rollingRadius ** 2).toFixed(1)) : 45,
      air: { temperature: 288.15, pressure: 101_300, humidity: 0.6 },
    }
  }
  const form = useRecordForm('coastDown', coastId, {
    blank,
    says: ({ name }, isNew) => `${isNew ? 'Log' : 'Change'} the coast-down ${name}`,
    onSaved: onClose,
  })
  const { control } = form
  const runs = useFieldArray({ control, name: 'runs', keyName: 'key' })
  const shown = useWatch({ control, name: 'runs' }) ?? []
  const [said, setSaid] = useState<{ text: string; isFault: boolean } | null>(null)
  const api = useRemote<CoastApi>(startWorker)
  const add = async (direction: Run['direction'], file: File) => {
    if (file.size > 20_000_000)
      return setSaid({ text: `${file.name} has over 20 MB; cut it to the run.`, isFault: true })
    const read = await api().read(await file.text())
    if ('problem' in read) return setSaid({ text: `${file.name}: ${read.problem}`, isFault: true })
    runs.append({ direction, points: [...read.points] })
    setSaid({ text: `${file.name}: ${read.says}`, isFault: false })
  }
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Log a coast-down' : 'Change the coast-down'}
      says="Save the coast-down"
      before={
        <p className="mb-3 text-[13.5px] text-muted">
          On a closed straight only: out of gear from as fast as the place allows, hands on the wheel, foot
          off the brakes. Run it both ways, so that wind can be told from drag.
        </p>
      }
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <Fields names={['date', 'mass', 'equivalentMass', 'air.temperature', 'air.pressure', 'air.humidity']} />
      <ul className="col-span-2" data-testid="coast-runs">
        {shown.map((run, i) => (
          <li
            key={runs.fields[i]?.key ?? i}
            className="flex items-center justify-between border-b border-line py-1"
          >
            Run {i + 1}, {run.direction}: {run.points.length} points,{' '}
            {((run.points[0]?.speed ?? 0) * 3.6).toFixed(0)} to{' '}
            {((run.points.at(-1)?.speed ?? 0) * 3.6).toFixed(0)} km/h
            <Button look="quiet" className="!px-1 !text-muted" onClick={() => runs.remove(i)}>
              Remove<span className="sr-only"> run {i + 1}</span>
            </Button>
          </li>
        ))}
      </ul>
      {WAYS.map((way) => (
        <label key={way} className="flex flex-col gap-1 text-[13px] text-muted">
          {way === 'out' ? 'CSV of a run out' : 'CSV of a run back'}
          <input
            type="file"
            accept=".csv,.txt,text/csv,text/plain"
            className="w-full min-w-0 rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
            onChange={(e) => {
              const [file] = e.target.files ?? []
              if (file) void add(way, file)
              // The same file again is a run again.
              e.target.value = ''
            }}
          />
        </label>
      ))}
      {said && (
        <p
          role={said.isFault ? 'alert' : 'status'}
          className={`col-span-2 text-[13px] ${said.isFault ? 'text-oxide' : 'text-muted'}`}
        >
          {said.text}
        </p>
      )}
      <Field name="note" />
    </RecordSheet>
  )
}
