import { RECORDS, withoutVersion, type RecordOf } from '@bold-ballast/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useFieldArray, useWatch, type DefaultValues } from 'react-hook-form'
import { put } from '../../../store/commit'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { useDrive } from '../../../store/useDrive'
import { Button } from '../../../ui/Button'
import { FormQuantities, FormText } from '../../../ui/form'
import { SheetForm } from '../../../ui/SheetForm'
import { SideSheet } from '../../../ui/SideSheet'
import { useKeptForm } from '../../../ui/useKeptForm'
import type { CoastApi } from '../../../workers/coast.worker'
import { today } from '../../../words/today'
import { useRemote } from '../../../store/useRemote'

const startWorker = () =>
  new Worker(new URL('../../../workers/coast.worker.ts', import.meta.url), { type: 'module' })

type CoastForm = RecordOf<'coastDown'>
type Run = CoastForm['runs'][number]
const WAYS: readonly Run['direction'][] = ['out', 'back']

/** The car rolled out: what it weighed, the air, and a log for every run. */
export function CoastSheet({ coastId, onClose }: { coastId: string | null; onClose: () => void }) {
  const { view, stage, units, save } = useBuild()
  const { summary } = useLiveBuild()
  const drive = useDrive()
  const coast = view.coastDowns.find((c) => c.id === coastId)
  const [start] = useState<DefaultValues<CoastForm>>(() => {
    if (coast) return withoutVersion(coast)
    const driver = Math.max(0, view.build.driverMass - view.build.reference.driver)
    return {
      id: crypto.randomUUID(),
      stageId: stage.id,
      date: today(),
      name: '',
      runs: [],
      note: '',
      mass: Number((summary.mass.value + driver).toFixed(1)),
      equivalentMass: drive ? Number((drive.wheelInertia / drive.rollingRadius ** 2).toFixed(1)) : 45,
      air: { temperature: 288.15, pressure: 101_300, humidity: 0.6 },
    }
  })
  const { control, handleSubmit, kept } = useKeptForm<CoastForm>(`coast.${coastId ?? stage.id}`, {
    resolver: zodResolver(RECORDS.coastDown),
    defaultValues: start,
  })
  const runs = useFieldArray({ control, name: 'runs', keyName: 'key' })
  const shown = useWatch({ control, name: 'runs' }) ?? []
  const [said, setSaid] = useState<{ text: string; isFault: boolean } | null>(null)
  const [fault, setFault] = useState<string | null>(null)
  const api = useRemote<CoastApi>(startWorker)
  const add = async (direction: Run['direction'], file: File) => {
    if (file.size > 20_000_000)
      return setSaid({ text: `${file.name} has over 20 MB; cut it to the run.`, isFault: true })
    const read = await api.current!.read(await file.text())
    if ('problem' in read) return setSaid({ text: `${file.name}: ${read.problem}`, isFault: true })
    runs.append({ direction, points: [...read.points] })
    setSaid({ text: `${file.name}: ${read.says}`, isFault: false })
  }
  const submit = handleSubmit((record) => {
    const faults = save(`${coast ? 'Change' : 'Log'} the coast-down ${record.name}`, [
      put(view, 'coastDown', record),
    ])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title={coast ? 'Change the coast-down' : 'Log a coast-down'}>
      <p className="mb-3 text-[13.5px] text-muted">
        On a closed straight only: out of gear from as fast as the place allows, hands on the wheel, foot off
        the brakes. Run it both ways, so that wind can be told from drag.
      </p>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the coast-down">
        <div className="col-span-2">
          <FormText control={control} name="name" label="Where" autoFocus />
        </div>
        <FormText control={control} name="date" label="Date" type="date" />
        <FormQuantities
          control={control}
          units={units}
          fields={[
            ['mass', 'Mass, everybody aboard', 'mass'],
            ['equivalentMass', 'Wheels, felt as mass', 'mass', { hint: 'About 45 kg' }],
            ['air.temperature', 'Air temperature', 'temperature'],
            ['air.pressure', 'Barometer', 'pressure', { unitSymbol: 'kPa' }],
            ['air.humidity', 'Relative humidity', 'share'],
          ]}
        />
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
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
