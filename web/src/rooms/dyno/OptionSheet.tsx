import { RECORDS, withoutVersion, type OptionSet } from '@bold-ballast/contract'
import { GRADES } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useFieldArray, type Control, type DefaultValues } from 'react-hook-form'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { FormCheck, FormQuantities, FormSelect, FormText } from '../../ui/form'
import { FormNumber } from '../../ui/FormNumber'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'

type SetForm = Omit<OptionSet, 'version'>
type Option = SetForm['options'][number]
const GRADE_OPTIONS = GRADES.filter((g) => g !== 'proven').map((g) => [g, g] as const)
const NOTHING = undefined as unknown as number
const blankItem = (): Option['items'][number] => ({
  name: '',
  price: NOTHING,
  mass: 0,
  massGrade: 'guess',
  needed: true,
  wanted: true,
})
const blankOption = (): Option => ({
  id: crypto.randomUUID(),
  name: '',
  power: 0,
  powerGrade: 'guess',
  workTime: 0,
  forces: '',
  items: [blankItem()],
})

/** Alternatives for a job, each with the things that have to be bought with it. */
export function OptionSheet({ setId, onClose }: { setId: string | null; onClose: () => void }) {
  const { view, stage, save } = useBuild()
  const set = view.optionSets.find((s) => s.id === setId)
  const [start] = useState<DefaultValues<SetForm>>(() =>
    set
      ? withoutVersion(set)
      : {
          id: crypto.randomUUID(),
          stageId: stage.id,
          name: '',
          note: '',
          order: Math.max(-1, ...view.optionSets.map((s) => s.order)) + 1,
          options: [blankOption(), blankOption()],
        },
  )
  const { control, handleSubmit, kept } = useKeptForm<SetForm>(`options.${setId ?? stage.id}`, {
    resolver: zodResolver(RECORDS.optionSet),
    defaultValues: start,
  })
  const options = useFieldArray({ control, name: 'options', keyName: 'key' })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit((record) => {
    const faults = save(`${set ? 'Change' : 'Compare for'} ${record.name}`, [put(view, 'optionSet', record)])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title={set ? 'Change the comparison' : 'Compare for a job'} wide>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the comparison">
        <div className="col-span-2">
          <FormText
            control={control}
            name="name"
            label="The job"
            hint="Such as “another five kilowatts”"
            autoFocus
          />
        </div>
        {options.fields.map((option, i) => (
          <fieldset
            key={option.key}
            className="col-span-2 grid grid-cols-2 gap-3 border-t-2 border-edge pt-3"
          >
            <legend className="sr-only">Alternative {i + 1}</legend>
            <OptionFields control={control} at={i} />
            {options.fields.length > 1 && (
              <Button
                look="quiet"
                className="col-span-2 justify-self-start !px-0 !text-muted"
                onClick={() => options.remove(i)}
              >
                Remove alternative {i + 1}
              </Button>
            )}
          </fieldset>
        ))}
        <Button
          className="col-span-2"
          disabled={options.fields.length >= 8}
          onClick={() => options.append(blankOption())}
        >
          One more alternative
        </Button>
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}

function OptionFields({ control, at }: { control: Control<SetForm>; at: number }) {
  const { units } = useBuild()
  const items = useFieldArray({ control, name: `options.${at}.items`, keyName: 'key' })
  return (
    <>
      <div className="col-span-2">
        <FormText control={control} name={`options.${at}.name`} label={`Alternative ${at + 1}`} />
      </div>
      <FormQuantities
        control={control}
        units={units}
        fields={[[`options.${at}.power`, 'Brings at the wheels', 'power', { hint: '0 for none' }]]}
      />
      <FormSelect
        control={control}
        name={`options.${at}.powerGrade`}
        label="Power known by"
        options={GRADE_OPTIONS}
      />
      <FormQuantities
        control={control}
        units={units}
        fields={[[`options.${at}.workTime`, 'Hands on it', 'time']]}
      />
      <FormText control={control} name={`options.${at}.forces`} label="What else it forces" />
      {items.fields.map((item, i) => (
        <div
          key={item.key}
          className="col-span-2 grid grid-cols-2 items-start gap-2 sm:grid-cols-[1.6fr_1fr_1fr_1fr]"
        >
          <FormText control={control} name={`options.${at}.items.${i}.name`} label={`Item ${i + 1}`} />
          <FormNumber control={control} name={`options.${at}.items.${i}.price`} label="Price" />
          <FormQuantities
            control={control}
            units={units}
            fields={[[`options.${at}.items.${i}.mass`, 'Mass', 'mass']]}
          />
          <FormSelect
            control={control}
            name={`options.${at}.items.${i}.massGrade`}
            label="Mass by"
            options={GRADE_OPTIONS}
          />
          <span className="col-span-full flex items-center gap-4 text-[13px]">
            <FormCheck
              control={control}
              name={`options.${at}.items.${i}.needed`}
              label="can’t do without it"
            />
            <Button look="quiet" className="!px-0 !text-muted" onClick={() => items.remove(i)}>
              Remove
              <span className="sr-only">
                {' '}
                item {i + 1} of alternative {at + 1}
              </span>
            </Button>
          </span>
        </div>
      ))}
      <Button
        className="col-span-2"
        disabled={items.fields.length >= 40}
        onClick={() => items.append(blankItem())}
      >
        One more item
      </Button>
    </>
  )
}
