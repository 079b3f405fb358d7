import { useCar } from '../../../store/useCar'
import { blankDownforceTest } from '../../../sheets/blankDownforceTest'
import { useState } from 'react'
import { useFieldArray, useWatch } from 'react-hook-form'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { useRemote } from '../../../store/useRemote'
import { Button } from '../../../ui/Button'
import { Choose } from '../../../ui/Choose'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import type { RideApi } from '../../../workers/ride.worker'

const { Field, Fields } = fieldsOf('downforceTest')

const startWorker = () =>
  new Worker(new URL('../../../workers/ride.worker.ts', import.meta.url), { type: 'module' })

/** Logs of where the suspension stood at held speeds, and what turns that into downforce. */
export function RideSheet({ testId, onClose }: { testId: string | null; onClose: () => void }) {
  const { view, stage, built } = useBuild()
  const { summary } = useLiveBuild()
  const test = view.downforceTests.find((t) => t.id === testId)
  const wings = useCar().aero.elements.filter((e) => e.wing)
  const blank = (id: string) => blankDownforceTest(id, stage.id, built, summary)
  const form = useRecordForm('downforceTest', testId, {
    blank,
    says: ({ name }, isNew) => `${isNew ? 'Log' : 'Change'} the downforce log ${name}`,
    onSaved: onClose,
  })
  const { control, setValue } = form
  const runs = useFieldArray({ control, name: 'runs', keyName: 'key' })
  const shown = useWatch({ control, name: 'runs' }) ?? []
  const [wingId, setWingId] = useState<string | null>(test?.runs[0]?.wingId ?? wings[0]?.id ?? null)
  const [said, setSaid] = useState<{ text: string; isFault: boolean } | null>(null)
  const api = useRemote<RideApi>(startWorker)
  const add = async (file: File) => {
    if (file.size > 20_000_000)
      return setSaid({ text: `${file.name} has over 20 MB; cut it to the run.`, isFault: true })
    const read = await api().read(await file.text())
    if ('problem' in read) return setSaid({ text: `${file.name}: ${read.problem}`, isFault: true })
    const round = (v: number) => Number(v.toFixed(6))
    runs.append({
      wingId,
      angle: wings.find((w) => w.id === wingId)?.wing?.angle ?? null,
      points: read.points.map((p) => ({
        // What the tube says, put right by its factor, is the speed of the air.
        speed: round(read.factor === null ? p.speed : (p.tube ?? p.speed)),
        front: round(p.front),
        rear: round(p.rear),
        held: round(p.held),
      })),
    })
    if (read.factor !== null) setValue('speedFactor', round(read.factor), { shouldDirty: true })
    const tube =
      read.factor === null ? '' : `; its tube reads ${(1 / read.factor).toFixed(3)} of the ground’s speed`
    setSaid({ text: `${file.name}: ${read.says}${tube}`, isFault: false })
  }
  const turn = (id: string | null) => {
    setWingId(id)
    shown.forEach((_, i) => {
      setValue(`runs.${i}.wingId`, id, { shouldDirty: true })
      if (id === null) setValue(`runs.${i}.angle`, null, { shouldDirty: true })
    })
  }
  return (
    <RecordSheet
      form={form}
      title={test ? 'Change the downforce log' : 'Log downforce'}
      says="Save the downforce log"
      before={
        <p className="mb-3 text-[13.5px] text-muted">
          On a closed straight only: hold four or more speeds for a few seconds each, slow ones and fast ones,
          both ways where there is wind. Damper travel or ride heights; the car needn’t be weighed standing.
        </p>
      }
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <Fields names={['date', 'sensor']} />
      <Field name="motionRatio.front" label="Damper over wheel, front" hint="1 for ride heights" />
      <Field name="motionRatio.rear" label="Damper over wheel, rear" />
      <Field name="wheelRate.front" label="One wheel, front" hint="With the tyre for ride heights" />
      <Field name="wheelRate.rear" label="One wheel, rear" />
      <Fields names={['air.temperature', 'air.pressure', 'air.humidity', 'speedFactor']} />
      {wings.length > 0 && (
        <div className="col-span-2">
          <Choose
            label="Wing that was set"
            value={wingId}
            options={[['', 'none was turned'], ...wings.map((w) => [w.id, w.name] as const)]}
            onChange={turn}
          />
        </div>
      )}
      <ul className="col-span-2" data-testid="ride-runs">
        {shown.map((run, i) => (
          <li
            key={runs.fields[i]?.key ?? i}
            className="grid grid-cols-[1fr_110px_auto] items-end gap-2 border-b border-line py-1"
          >
            <span>
              Run {i + 1}: {run.points.length} held speeds, up to{' '}
              {(Math.max(...run.points.map((p) => p.speed)) * 3.6).toFixed(0)} km/h
            </span>
            {wingId !== null ? <Field name={`runs.${i}.angle`} label={`Wing, run ${i + 1}`} /> : <span />}
            <Button look="quiet" className="!px-1 !text-muted" onClick={() => runs.remove(i)}>
              Remove<span className="sr-only"> run {i + 1}</span>
            </Button>
          </li>
        ))}
      </ul>
      <label className="col-span-2 flex flex-col gap-1 text-[13px] text-muted">
        CSV of a run: time, speed, front and rear; or held speeds without a time
        <input
          type="file"
          accept=".csv,.txt,text/csv,text/plain"
          className="w-full min-w-0 rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
          onChange={(e) => {
            const [file] = e.target.files ?? []
            if (file) void add(file)
            // The same file again is a run again.
            e.target.value = ''
          }}
        />
      </label>
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
