import { FATE, LINE_KIND, type Line } from '@bold-ballast/contract'
import { formatQuantity, type UnitPreferences } from '@bold-ballast/core'
import { useWatch, type Control, type UseFormSetValue } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { FormQuantities, FormSelect } from '../../../ui/form'
import { FormNumber } from '../../../ui/FormNumber'
import { optionsOf } from '../../../ui/optionsOf'
import { historyOf, sourcesFor } from '@bold-ballast/words'
import type { LineForm } from './WeighingFields'

/** What became of a part, which line it was before, where else it is fitted, and whether it is an allowance. */
export function HistoryFields({
  control,
  setValue,
  units,
  line,
}: {
  control: Control<LineForm>
  setValue: UseFormSetValue<LineForm>
  units: UnitPreferences
  line: Line
}) {
  const { view, ledger, unit } = useBuild()
  const typed = useWatch({ control }) as LineForm
  const sources = sourcesFor(line, ledger)
  const history = historyOf({ ...line, ...typed }, view, ledger)
  const places = typed.alsoAt ?? []
  return (
    <>
      {typed.kind === 'off' && (
        <FormSelect control={control} name="fate" label="What became of it" options={optionsOf(FATE)} />
      )}
      {typed.kind === 'on' && (
        <FormSelect
          control={control}
          name="role"
          label="It is"
          options={[
            ['part', 'a part'],
            ['allowance', 'an allowance for bits and bobs'],
          ]}
          hint={typed.role === 'allowance' ? 'Parts added to this swap come out of it' : undefined}
        />
      )}
      {sources.length > 0 && (
        <label className="flex flex-col gap-1 text-[13px] text-muted">
          Same thing as
          <select
            className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-[14px] text-ink"
            value={typed.fromLine ?? ''}
            onChange={(e) => setValue('fromLine', e.target.value || null, { shouldDirty: true })}
          >
            <option value="">nothing before</option>
            {sources.map(({ line: source, stage }) => (
              <option key={source.id} value={source.id}>
                {source.name}, {LINE_KIND[source.kind]} in {stage}
              </option>
            ))}
          </select>
        </label>
      )}
      {history.length > 1 && (
        <ol
          aria-label="History of this part"
          className="col-span-2 list-decimal pl-5 text-[13.5px] text-muted"
        >
          {history.map((step) => (
            <li key={step.id} className={step.id === line.id ? 'text-ink' : ''}>
              {step.says}
            </li>
          ))}
        </ol>
      )}
      {places.map((_, i) => (
        <fieldset key={i} className="col-span-2 grid grid-cols-4 items-end gap-2">
          <legend className="text-[13px] text-muted">Also at</legend>
          <FormQuantities
            control={control}
            units={units}
            fields={[
              [`alsoAt.${i}.position.x`, 'Behind front axle', 'length'],
              [`alsoAt.${i}.position.y`, 'Left', 'length'],
              [`alsoAt.${i}.position.z`, 'Up', 'length'],
            ]}
          />
          <FormNumber control={control} name={`alsoAt.${i}.quantity`} label="Pieces there" />
          <Button
            look="quiet"
            className="col-span-4 !justify-start !px-0"
            onClick={() =>
              setValue(
                'alsoAt',
                places.filter((_p, k) => k !== i),
              )
            }
          >
            Remove this place
          </Button>
        </fieldset>
      ))}
      {typed.kind !== 'moved' && (
        <Button
          className="col-span-2"
          onClick={() =>
            setValue('alsoAt', [...places, { position: typed.position ?? { x: 0, y: 0, z: 0 }, quantity: 1 }])
          }
        >
          Fitted at another place too
        </Button>
      )}
      {places.length > 0 && (
        <p className="col-span-2 text-[13.5px] text-muted">
          Together{' '}
          {formatQuantity(
            typed.mass * places.reduce((n, p) => n + (p.quantity || 0), typed.quantity),
            unit('mass'),
          )}{' '}
          at {places.length + 1} places.
        </p>
      )}
    </>
  )
}
