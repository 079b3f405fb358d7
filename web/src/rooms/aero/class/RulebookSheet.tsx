import { RECORDS, withoutVersion, type RecordOf, RULE_MEASURE } from '@bold-ballast/contract'
import { RULE_MEASURES, type RuleMeasure } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useFieldArray, useWatch, type Control, type DefaultValues } from 'react-hook-form'
import { put } from '../../../store/commit'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { FormQuantities, FormSelect, FormText } from '../../../ui/form'
import { FormNumber } from '../../../ui/FormNumber'
import { SheetForm } from '../../../ui/SheetForm'
import { SideSheet } from '../../../ui/SideSheet'
import { useKeptForm } from '../../../ui/useKeptForm'
import { optionsOf } from '../../../words/names'
import { today } from '../../../words/today'

type BookForm = RecordOf<'rulebook'>
const NOTHING = undefined as unknown as number
const blankRule = (): BookForm['rules'][number] => ({
  id: crypto.randomUUID(),
  measure: 'massWithDriver',
  comparator: 'atLeast',
  limit: NOTHING,
  wording: '',
  clause: '',
})

/** The rules of a class, dated, each a measure with a limit. */
export function RulebookSheet({ rulebookId, onClose }: { rulebookId: string | null; onClose: () => void }) {
  const { view, save } = useBuild()
  const book = view.rulebooks.find((b) => b.id === rulebookId)
  const [start] = useState<DefaultValues<BookForm>>(() =>
    book
      ? withoutVersion(book)
      : {
          id: crypto.randomUUID(),
          name: '',
          date: today(),
          edition: '',
          rules: [blankRule()],
          note: '',
          order: Math.max(-1, ...view.rulebooks.map((b) => b.order)) + 1,
        },
  )
  const { control, handleSubmit, kept } = useKeptForm<BookForm>(`rulebook.${rulebookId ?? view.build.id}`, {
    resolver: zodResolver(RECORDS.rulebook),
    defaultValues: start,
  })
  const rules = useFieldArray({ control, name: 'rules', keyName: 'key' })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit((record) => {
    const faults = save(`${book ? 'Change' : 'Add'} ${record.name}`, [put(view, 'rulebook', record)])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title={book ? 'Change the rulebook' : 'Add a rulebook'} wide>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the rulebook">
        <div className="col-span-2">
          <FormText control={control} name="name" label="Class" autoFocus />
        </div>
        <FormText control={control} name="date" label="Dated" type="date" />
        <FormText control={control} name="edition" label="Edition" />
        {rules.fields.map((rule, i) => (
          <fieldset
            key={rule.key}
            className="col-span-2 grid grid-cols-2 items-start gap-3 border-t border-line pt-2"
          >
            <legend className="sr-only">Rule {i + 1}</legend>
            <div className="col-span-2">
              <FormSelect
                control={control}
                name={`rules.${i}.measure`}
                label={`Rule ${i + 1} is about`}
                options={optionsOf(RULE_MEASURE)}
              />
            </div>
            <FormSelect
              control={control}
              name={`rules.${i}.comparator`}
              label="It allows"
              options={[
                ['atLeast', 'at least'],
                ['atMost', 'at most'],
              ]}
            />
            <LimitField control={control} at={i} />
            <FormText control={control} name={`rules.${i}.clause`} label="Clause" />
            <span />
            <div className="col-span-2">
              <FormText control={control} name={`rules.${i}.wording`} label="In the scrutineer’s words" />
            </div>
            <Button
              look="quiet"
              className="col-span-2 justify-self-start !px-0 !text-muted"
              onClick={() => rules.remove(i)}
            >
              Remove rule {i + 1}
            </Button>
          </fieldset>
        ))}
        <Button
          className="col-span-2"
          disabled={rules.fields.length >= 80}
          onClick={() => rules.append(blankRule())}
        >
          One more rule
        </Button>
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}

/** A limit in the quantity of what it limits. */
function LimitField({ control, at }: { control: Control<BookForm>; at: number }) {
  const { units } = useBuild()
  const measure = (useWatch({ control, name: `rules.${at}.measure` }) ?? 'massWithDriver') as RuleMeasure
  const quantity = RULE_MEASURES[measure]
  if (quantity === null)
    return <FormNumber key={measure} control={control} name={`rules.${at}.limit`} label="Limit, dB(A)" />
  return (
    <FormQuantities
      key={measure}
      control={control}
      units={units}
      fields={[[`rules.${at}.limit`, 'Limit', quantity]]}
    />
  )
}
