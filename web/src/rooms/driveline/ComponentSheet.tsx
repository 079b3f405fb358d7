import {
  RECORDS,
  withoutVersion,
  type Component,
  AXLE_END,
  LIFE_MEASURE,
  RATED_IN,
  RATING,
  RATING_FLOW,
  SHAFT,
} from '@bold-ballast/contract'
import { AXLE_ENDS, GRADES, LIFE_MEASURES, RATING_FLOWS } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState, type ReactNode } from 'react'
import { useWatch, type DefaultValues } from 'react-hook-form'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { Choose } from '../../ui/Choose'
import { FormQuantities, FormSelect, FormText } from '../../ui/form'
import { FormNumber } from '../../ui/FormNumber'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { Tick } from '../../ui/Tick'
import { useKeptForm } from '../../ui/useKeptForm'
import { optionsOf } from '../../words/names'

type ComponentForm = Omit<Component, 'version'>
const NOTHING = undefined as unknown as number
const KNOWN_BY = GRADES.filter((g) => g !== 'proven').map((g) => [g, g] as const)
const blankLife = (): NonNullable<ComponentForm['life']> => ({
  measure: 'trackDays',
  expected: NOTHING,
  spread: 0.3,
  usedBefore: 0,
  since: null,
})
const blankReplacement = (): NonNullable<ComponentForm['replacement']> => ({
  name: '',
  rating: NOTHING,
  mass: NOTHING,
  massGrade: 'claim',
  price: NOTHING,
  workTime: 0,
})

/** Something rated, or that wears: what its rating is in and holds for, how long it lasts, what would replace it. */
export function ComponentSheet({
  componentId,
  wears = false,
  onClose,
}: {
  componentId: string | null
  /** A new one is here for its life, not its rating. */
  wears?: boolean
  onClose: () => void
}) {
  const { view, stage, units, save } = useBuild()
  const component = view.components.find((c) => c.id === componentId)
  const [start] = useState<DefaultValues<ComponentForm>>(() =>
    component
      ? withoutVersion(component)
      : {
          id: crypto.randomUUID(),
          stageId: stage.id,
          name: '',
          kind: 'torque',
          shaft: 'gearbox',
          grade: 'claim',
          axle: null,
          flow: null,
          statedEthanol: 0,
          rating: wears ? null : NOTHING,
          mass: null,
          life: wears ? blankLife() : null,
          spares: 0,
          replacement: null,
          replaces: null,
          demand: null,
          wantedMargin: 1.2,
          note: '',
          order: Math.max(-1, ...view.components.map((c) => c.order)) + 1,
        },
  )
  const { control, handleSubmit, setValue, kept } = useKeptForm<ComponentForm>(
    `component.${componentId ?? stage.id}`,
    {
      resolver: zodResolver(RECORDS.component),
      defaultValues: start,
    },
  )
  const kind = useWatch({ control, name: 'kind' }) ?? 'torque'
  const [rating, axle, flow, life, replacement] = useWatch({
    control,
    name: ['rating', 'axle', 'flow', 'life', 'replacement'],
  })
  const isRated = rating !== null
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit((typed) => {
    const isTorque = typed.kind === 'torque'
    const record = {
      ...typed,
      shaft: isTorque ? typed.shaft : null,
      axle: isTorque ? typed.axle : null,
      flow: typed.kind === 'power' ? typed.flow : null,
    }
    const faults = save(`${component ? 'Change' : 'Add'} ${record.name}`, [put(view, 'component', record)])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  const follows = kind === 'torque' || kind === 'power'
  return (
    <SideSheet open onClose={onClose} title={component ? 'Change the component' : 'Add a component'}>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the component">
        <div className="col-span-2">
          <FormText
            control={control}
            name="name"
            label="Component"
            hint="Such as gearbox, five-speed"
            autoFocus
          />
        </div>
        <FormQuantities control={control} units={units} fields={[['mass', 'Weighs', 'mass']]} />
        <FormNumber control={control} name="spares" label="Spares on the shelf" />
        <Part
          label="It has a rating"
          has={isRated}
          onHas={(has) => setValue('rating', has ? NOTHING : null, { shouldDirty: true })}
        >
          <FormSelect control={control} name="kind" label="Rated in" options={optionsOf(RATING)} />
          {kind === 'torque' ? (
            <FormSelect control={control} name="shaft" label="Its rating holds" options={optionsOf(SHAFT)} />
          ) : (
            <span />
          )}
          {kind === 'torque' && view.build.layout === 'all' && (
            <span className="col-span-2">
              <Choose
                label="On the axle"
                value={axle ?? null}
                options={[
                  ['', 'the one that gets most'],
                  ...AXLE_ENDS.map((end) => [end, AXLE_END[end]] as const),
                ]}
                onChange={(end) => setValue('axle', end, { shouldDirty: true })}
              />
            </span>
          )}
          {kind === 'power' && (
            <>
              <Choose
                label="The fuel changes it"
                value={flow ?? null}
                options={[['', 'no'], ...RATING_FLOWS.map((one) => [one, RATING_FLOW[one]] as const)]}
                onChange={(one) => setValue('flow', one, { shouldDirty: true })}
              />
              {flow ? (
                <FormQuantities
                  control={control}
                  units={units}
                  fields={[['statedEthanol', 'Stated for ethanol', 'share', { hint: '0 % for petrol' }]]}
                />
              ) : (
                <span />
              )}
            </>
          )}
          <FormQuantities
            key={kind}
            control={control}
            units={units}
            fields={[['rating', 'Rating', RATED_IN[kind], { needed: true }]]}
          />
          <FormSelect
            control={control}
            name="grade"
            label="Known by"
            options={KNOWN_BY}
            hint="A maker’s figure is a claim"
          />
          {!follows && (
            <FormQuantities
              key={`${kind} demand`}
              control={control}
              units={units}
              fields={[['demand', 'Asked of it', RATED_IN[kind]]]}
            />
          )}
          <FormNumber
            control={control}
            name="wantedMargin"
            label="Margin wanted"
            hint="1.2 is a fifth in hand"
          />
        </Part>
        <Part
          label="It wears: it has a life"
          has={Boolean(life)}
          onHas={(has) => setValue('life', has ? blankLife() : null, { shouldDirty: true })}
        >
          <FormSelect
            control={control}
            name="life.measure"
            label="Counted in"
            options={LIFE_MEASURES.map((m) => [m, LIFE_MEASURE[m]])}
          />
          {life?.measure === 'hours' ? (
            <FormQuantities
              control={control}
              units={units}
              fields={[
                ['life.expected', 'Expected to last', 'time'],
                ['life.usedBefore', 'Run before it was fitted', 'time'],
              ]}
            />
          ) : (
            <>
              <FormNumber control={control} name="life.expected" label="Expected to last" />
              <FormNumber control={control} name="life.usedBefore" label="Run before it was fitted" />
            </>
          )}
          <FormQuantities
            control={control}
            units={units}
            fields={[['life.spread', 'Spread', 'share', { hint: '30 %: some last twice as long as others' }]]}
          />
          <div className="col-span-2">
            <FormText
              control={control}
              name="life.since"
              label="Fitted on"
              type="date"
              hint="Empty: counted from the first day"
            />
          </div>
        </Part>
        <Part
          label="A replacement is known"
          has={Boolean(replacement)}
          onHas={(has) => setValue('replacement', has ? blankReplacement() : null, { shouldDirty: true })}
        >
          <div className="col-span-2">
            <FormText control={control} name="replacement.name" label="Replaced by" />
          </div>
          <FormQuantities
            key={`${kind} replacement`}
            control={control}
            units={units}
            fields={[
              ['replacement.rating', 'Its rating', RATED_IN[kind]],
              ['replacement.mass', 'It weighs', 'mass'],
            ]}
          />
          <FormSelect
            control={control}
            name="replacement.massGrade"
            label="Mass known by"
            options={KNOWN_BY}
          />
          <FormNumber
            control={control}
            name="replacement.price"
            label={`Price${view.build.currency && `, ${view.build.currency}`}`}
          />
          <FormQuantities
            control={control}
            units={units}
            fields={[['replacement.workTime', 'Hands on it', 'time']]}
          />
        </Part>
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}

/** A part of the form that a component may lack. */
function Part({
  label,
  has,
  onHas,
  children,
}: {
  label: string
  has: boolean
  onHas: (has: boolean) => void
  children: ReactNode
}) {
  return (
    <fieldset className="col-span-2 grid grid-cols-2 items-start gap-3 border-t border-line pt-2">
      <legend className="sr-only">{label}</legend>
      <Tick label={label} on={has} onChange={onHas} />
      {has && children}
    </fieldset>
  )
}
