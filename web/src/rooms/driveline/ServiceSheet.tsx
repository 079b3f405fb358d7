import { RECORDS, withoutVersion, type RecordOf } from '@bold-ballast/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useMemo, useState } from 'react'
import { useFieldArray, useWatch, type DefaultValues } from 'react-hook-form'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { Choose } from '../../ui/Choose'
import { FormCheck, FormQuantities, FormSelect, FormText } from '../../ui/form'
import { FormNumber } from '../../ui/FormNumber'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'
import { useFitted } from './useFitted'
import { today } from '../../words/today'

type ServiceForm = RecordOf<'service'>
const NOTHING = undefined as unknown as number

/** What was done, with parts and fluids; or what gave out, with what had been changed shortly before. */
export function ServiceSheet({
  serviceId,
  kind,
  onClose,
}: {
  serviceId: string | null
  kind: ServiceForm['kind']
  onClose: () => void
}) {
  const { view, stage, units, save } = useBuild()
  const service = view.services.find((s) => s.id === serviceId)
  const fitted = useFitted()
  const [start] = useState<DefaultValues<ServiceForm>>(() =>
    service
      ? withoutVersion(service)
      : {
          id: crypto.randomUUID(),
          stageId: stage.id,
          date: today(),
          kind,
          componentId: null,
          renewed: true,
          what: '',
          changedThen: '',
          parts: [],
          fluids: [],
          note: '',
        },
  )
  const { control, handleSubmit, setValue, kept } = useKeptForm<ServiceForm>(
    `service.${serviceId ?? `${kind}.${stage.id}`}`,
    { resolver: zodResolver(RECORDS.service), defaultValues: start },
  )
  const parts = useFieldArray({ control, name: 'parts', keyName: 'key' })
  const fluids = useFieldArray({ control, name: 'fluids', keyName: 'key' })
  const [shown, about] = useWatch({ control, name: ['kind', 'componentId'] })
  const options = useMemo(() => {
    // A component that was replaced since, or removed, still has its history.
    const others = view.components.filter((c) => c.id === about && !fitted.some((f) => f.id === c.id))
    return [['', 'the car as a whole'], ...[...fitted, ...others].map((c) => [c.id, c.name])] as [
      string,
      string,
    ][]
  }, [fitted, view.components, about])
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit((record) => {
    const faults = save(`${service ? 'Change' : 'Log'} ${record.what}`, [put(view, 'service', record)])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  const title = shown === 'failure' ? 'a failure' : 'a service'
  return (
    <SideSheet open onClose={onClose} title={`${service ? 'Change' : 'Log'} ${title}`}>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the entry">
        <div className="col-span-2">
          <FormText
            control={control}
            name="what"
            label={shown === 'failure' ? 'What gave out' : 'What was done'}
            autoFocus
          />
        </div>
        <FormText control={control} name="date" label="Date" type="date" />
        <FormSelect
          control={control}
          name="kind"
          label="It is a"
          options={[
            ['service', 'service'],
            ['failure', 'failure'],
          ]}
        />
        <span className="col-span-2">
          <Choose
            label="About"
            value={about ?? null}
            options={options}
            onChange={(id) => setValue('componentId', id, { shouldDirty: true })}
          />
        </span>
        {about && (
          <div className="col-span-2">
            <FormCheck control={control} name="renewed" label="It was renewed: its life starts anew" />
          </div>
        )}
        {shown === 'failure' && (
          <div className="col-span-2">
            <FormText
              control={control}
              name="changedThen"
              label="Changed shortly before"
              hint="More boost, stickier tyres, another driver; or nothing"
            />
          </div>
        )}
        {parts.fields.map((part, i) => (
          <div key={part.key} className="col-span-2 grid grid-cols-[1.6fr_0.6fr_1fr_auto] items-end gap-2">
            <FormText control={control} name={`parts.${i}.name`} label={`Part ${i + 1}`} />
            <FormNumber control={control} name={`parts.${i}.quantity`} label="Pieces" />
            <FormNumber
              control={control}
              name={`parts.${i}.price`}
              label={`Each${view.build.currency && `, ${view.build.currency}`}`}
            />
            <Button look="quiet" className="!px-0 !text-muted" onClick={() => parts.remove(i)}>
              Remove<span className="sr-only"> part {i + 1}</span>
            </Button>
          </div>
        ))}
        {fluids.fields.map((fluid, i) => (
          <div key={fluid.key} className="col-span-2 grid grid-cols-[1.6fr_1fr_auto] items-end gap-2">
            <FormText control={control} name={`fluids.${i}.name`} label={`Fluid ${i + 1}`} />
            <FormQuantities
              control={control}
              units={units}
              fields={[[`fluids.${i}.volume`, 'Filled', 'volume']]}
            />
            <Button look="quiet" className="!px-0 !text-muted" onClick={() => fluids.remove(i)}>
              Remove<span className="sr-only"> fluid {i + 1}</span>
            </Button>
          </div>
        ))}
        <p className="col-span-2 flex gap-2">
          <Button onClick={() => parts.append({ name: '', quantity: 1, price: NOTHING })}>
            One more part
          </Button>
          <Button onClick={() => fluids.append({ name: '', volume: NOTHING })}>One more fluid</Button>
        </p>
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
