import { RECORDS, removalOf, type Line, putEdit } from '@bold-ballast/contract'
import { formatPlace, parsePlace, type Position } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useEffect, useId, useState } from 'react'
import { useWatch } from 'react-hook-form'
import { toast } from 'sonner'
import { takesTooMuch } from '../../store/commit'
import { draft } from '../../store/draft'
import { useAppDispatch } from '../../store/store'
import { useBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { FormCheck, FormQuantity, FormSelect, FormText } from '../../ui/form'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'
import { CHOICES } from './cells'
import { HistoryFields } from './HistoryFields'
import { PartPhoto } from './PartPhoto'
import { massDoubt } from './massDoubt'
import { WeighingFields, type LineForm } from './WeighingFields'

/** Everything about one line, in a form: the way to edit on a phone. */
export function LineSheet({ lineId, onClose }: { lineId: string; onClose: () => void }) {
  const { view, buildId, units, unit, save } = useBuild()
  const dispatch = useAppDispatch()
  const line = view.lines.find((l) => l.id === lineId)
  const { version: _, ...start } = line ?? ({ version: 0 } as Line)
  const { control, handleSubmit, setValue, setError, kept } = useKeptForm<LineForm>(`line.${lineId}`, {
    resolver: zodResolver(RECORDS.line),
    defaultValues: start,
  })
  const [fault, setFault] = useState<string | null>(null)
  const [doubt, setDoubt] = useState<ReturnType<typeof massDoubt>>(null)
  const typed = useWatch({ control }) as LineForm

  useEffect(() => {
    const parsed = RECORDS.line.safeParse(typed)
    dispatch(
      parsed.success
        ? draft.actions.typing({ buildId, edits: [putEdit(view, 'line', parsed.data)] })
        : draft.actions.cleared(),
    )
  }, [typed, buildId, view, dispatch])
  useEffect(() => () => void dispatch(draft.actions.cleared()), [dispatch])
  if (!line) return null

  const submit = (confirmed: boolean) =>
    handleSubmit(
      (record) => {
        if (dispatch(takesTooMuch(buildId)))
          return setError('mass', {
            message: 'That takes more off than the car weighs. Check the mass and the unit.',
          })
        const question = confirmed || record.mass === line.mass ? null : massDoubt(record, unit('mass'))
        if (question) return setDoubt(question)
        const faults = save(`Change ${record.name}`, [putEdit(view, 'line', record)])
        if (faults) return setFault(faults[0]!.problem)
        kept.forget()
        onClose()
      },
      () => setFault('Something above needs another look.'),
    )
  const remove = () => {
    save(`Remove ${line.name}`, removalOf(view, 'line', line.id))
    toast(`${line.name} removed. Undo brings it back.`)
    onClose()
  }
  return (
    <SideSheet open onClose={onClose} title={line.name}>
      <SheetForm
        onSubmit={submit(doubt !== null)}
        kept={kept}
        fault={fault}
        says={doubt ? 'It is right, save' : 'Save the line'}
        after={
          <Button look="danger" onClick={remove} className="col-span-2">
            Remove the line
          </Button>
        }
      >
        <div className="col-span-2">
          <FormText control={control} name="name" label="Part" />
        </div>
        <FormQuantity control={control} name="mass" label="Mass of one piece" quantity="mass" units={units} />
        <FormQuantity
          control={control}
          name="sigma"
          label="± one standard uncertainty"
          quantity="mass"
          units={units}
          hint="Empty: the grade’s default"
        />
        <FormSelect control={control} name="grade" label="Known by" options={CHOICES.grade!} />
        {(typed.grade === 'guess' || typed.grade === 'claim') && (
          <FormText
            control={control}
            name="source"
            label="Who says so"
            list="sources"
            hint="A maker, a seller, whose feel: Claims in Proof tells later how far off they were"
          />
        )}
        <datalist id="sources">
          {[...new Set(view.lines.map((l) => l.said?.source || l.source))].filter(Boolean).map((source) => (
            <option key={source} value={source} />
          ))}
        </datalist>
        <FormSelect control={control} name="kind" label="Way" options={CHOICES.kind!} />
        <FormSelect control={control} name="system" label="System" options={CHOICES.system!} />
        <label className="flex flex-col gap-1 text-[13px] text-muted">
          Pieces
          <input
            type="number"
            min={1}
            defaultValue={line.quantity}
            onChange={(e) => setValue('quantity', e.target.valueAsNumber)}
            className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-[14px] text-ink"
          />
        </label>
        <PlaceField
          label="Place: behind front axle, left, up"
          start={line.position}
          onPlace={(place) => setValue('position', place)}
        />
        <PlaceField
          label="Moved to (moved parts)"
          start={line.movedTo}
          onPlace={(place) => setValue('movedTo', place)}
        />
        <div className="self-end pb-1">
          <FormCheck
            control={control}
            name="fitted"
            label={typed.kind === 'off' ? 'It is off the car' : 'It is fitted'}
          />
        </div>
        {typed.fitted && (
          <FormText
            control={control}
            name="changedOn"
            label={typed.kind === 'off' ? 'Off since' : 'On since'}
            type="date"
            hint="Weighings before that day don’t count it"
          />
        )}
        <PartPhoto buildId={buildId} lineId={line.id} name={line.name} />
        <WeighingFields control={control} setValue={setValue} units={units} />
        <HistoryFields control={control} setValue={setValue} units={units} line={line} />
        {doubt && (
          <div role="alert" className="col-span-2 rounded-[3px] border border-ochre p-2 text-ochre">
            {doubt.question}
            <span className="mt-1 flex gap-1">
              {doubt.instead.map(({ words, mass }) => (
                <Button key={words} onClick={() => (setValue('mass', mass), setDoubt(null))}>
                  {words}
                </Button>
              ))}
            </span>
          </div>
        )}
      </SheetForm>
    </SideSheet>
  )
}

function PlaceField({
  label,
  start,
  onPlace,
}: {
  label: string
  start: Position | null
  onPlace: (place: Position | null) => void
}) {
  const { unit } = useBuild()
  const id = useId()
  const [text, setText] = useState(formatPlace(start, unit('length')))
  const parsed = parsePlace(text, unit('length'))
  return (
    <div className="col-span-2 flex flex-col gap-1">
      <label htmlFor={id} className="text-[13px] text-muted">
        {label} ({unit('length').symbol})
      </label>
      <input
        id={id}
        value={text}
        placeholder="x y z"
        className="rounded-[3px] border border-edge bg-panel px-2 py-1"
        onChange={(event) => {
          setText(event.target.value)
          const read = parsePlace(event.target.value, unit('length'))
          if (read.ok) onPlace(read.place)
        }}
      />
      {!parsed.ok && (
        <span role="alert" className="text-[12.5px] text-oxide">
          {parsed.problem}
        </span>
      )}
    </div>
  )
}
