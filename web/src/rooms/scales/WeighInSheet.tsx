import { RECORDS, withoutVersion, type WeighIn, putEdit } from '@bold-ballast/contract'
import { readTypedWeighIn } from '@bold-ballast/model'
import { formatKnown, type Known } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { Suspense, useState } from 'react'
import { useWatch, type DefaultValues } from 'react-hook-form'
import { useInstruments } from '../../store/useInstruments'
import { InstrumentField } from '../../ui/InstrumentField'
import { useBuild } from '../../store/useBuild'
import { ChecklistFields } from './ChecklistFields'
import { emptyReadings, ReadingsFields, type WeighInForm } from './ReadingsFields'
import { FormQuantity, FormText } from '../../ui/form'
import { Button } from '../../ui/Button'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'
import { later } from '../../ui/later'
import { today } from '../../ui/today'

const LivePads = later(() => import('./LivePads'), 'LivePads')

/** What a whole car is weighed on. */
const CAR_SCALES = ['pads', 'weighbridge'] as const
const PADS = [
  ['frontLeft', 'Front left'],
  ['frontRight', 'Front right'],
  ['rearLeft', 'Rear left'],
  ['rearRight', 'Rear right'],
] as const

/** Log four pads with the condition the car was in; the result shows while it is typed. */
export function WeighInSheet({
  weighIn,
  onClose,
  onSaved,
}: {
  weighIn: WeighIn | null
  onClose: () => void
  onSaved: (id: string) => void
}) {
  const { view, ledger, stage, units, unit, save } = useBuild()
  const [isLive, setLive] = useState(false)
  const [fault, setFault] = useState<string | null>(null)
  /** Every load with its amount, so that what is left alone is said, too. */
  const inFull = (condition: WeighIn['condition']) => ({
    ...condition,
    amounts: { ...Object.fromEntries(view.loads.map((l) => [l.id, l.base])), ...condition.amounts },
  })
  const scales = useInstruments(CAR_SCALES)
  const usual = scales.usual
  const start: DefaultValues<WeighInForm> = weighIn
    ? { ...withoutVersion(weighIn), condition: inFull(weighIn.condition) }
    : {
        id: crypto.randomUUID(),
        stageId: stage.id,
        date: today(),
        readings: emptyReadings('fourPads'),
        checklist: {
          level: null,
          pressures: false,
          barsOff: false,
          settled: false,
          straight: false,
          driverIn: false,
        },
        scale: usual?.name ?? '',
        resolution: usual?.resolution ?? 0.5,
        accuracy: usual?.repeatability ?? 0.003,
        condition: inFull(view.build.reference),
        tyrePressures: null,
        note: '',
      }
  const { control, handleSubmit, setValue, formState, kept } = useKeptForm<WeighInForm>(
    `weighIn.${weighIn?.id ?? stage.id}`,
    {
      resolver: zodResolver(RECORDS.weighIn),
      defaultValues: start,
    },
  )
  const typed = useWatch({ control })
  const withPressures = Boolean(typed.tyrePressures)
  const parsed = RECORDS.weighIn.safeParse(typed)
  const readingsFault = formState.isSubmitted
    ? parsed.error?.issues.find(
        (i) => i.path.at(0) === 'readings' && (i.path.length === 1 || i.path.at(-1) === 'block'),
      )?.message
    : null
  const live = parsed.success ? readTypedWeighIn(view, parsed.data, ledger) : null
  const submit = handleSubmit((record) => {
    const faults = save(weighIn ? 'Change a weigh-in' : 'Log a weigh-in', [
      putEdit(view, 'weighIn', record),
      ...scales.takenOver(record.scale),
    ])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onSaved(record.id)
    onClose()
  })
  const share = (known: Known | null | undefined) => {
    if (!known) return '–'
    const f = formatKnown(known.value, known.sigma, unit('share'))
    return `${f.figure} ±${f.spread} %`
  }
  const total = live && formatKnown(live.result.total.value, live.result.total.sigma, unit('mass'))
  const books = live && formatKnown(live.books.mass.value, live.books.mass.sigma, unit('mass'))
  return (
    <SideSheet open onClose={onClose} title={weighIn ? 'Change a weigh-in' : 'Log a weigh-in'}>
      <SheetForm onSubmit={submit} kept={kept} fault={fault ?? readingsFault} says="Save the weigh-in">
        {isLive ? (
          <Suspense>
            <LivePads
              onClose={() => setLive(false)}
              onCapture={(corners, resolution) => {
                setValue('readings', { method: 'fourPads', corners }, { shouldDirty: true })
                setValue('resolution', resolution)
                setLive(false)
              }}
            />
          </Suspense>
        ) : (
          <Button className="col-span-2" onClick={() => setLive(true)}>
            Read the pads live
          </Button>
        )}
        <ReadingsFields control={control} setValue={setValue} units={units} />
        <dl
          aria-live="polite"
          data-testid="live-weigh"
          className="col-span-2 grid grid-cols-2 gap-x-4 rounded-[3px] border border-dashed border-edge p-3 text-[13px]"
        >
          <dt className="text-muted">Total</dt>
          <dd className="figure text-right text-[18px]">
            {total ? `${total.figure} ±${total.spread} ${total.unit}` : '–'}
          </dd>
          <dt className="text-muted">Books, same condition</dt>
          <dd className="text-right">{books ? `${books.figure} ±${books.spread} ${books.unit}` : '–'}</dd>
          <dt className="text-muted">Front, left</dt>
          <dd className="text-right">
            {[live?.result.front, live?.result.left].map((known) => share(known)).join(', ')}
          </dd>
          <dt className="text-muted">Cross</dt>
          <dd className="text-right">
            {share(live?.result.cross)}
            {live?.result.crossIsIndicative && ' (indication)'}
          </dd>
        </dl>
        <FormText control={control} name="date" label="Date" type="date" />
        <FormQuantity
          control={control}
          name="condition.fuel"
          label="Fuel aboard"
          quantity="volume"
          units={units}
        />
        <FormQuantity
          control={control}
          name="condition.driver"
          label="Driver aboard, in gear"
          quantity="mass"
          units={units}
          hint={`0 for nobody; ours is ${view.build.driverMass} kg`}
        />
        {view.loads.map((load) => (
          <FormQuantity
            key={load.id}
            control={control}
            name={`condition.amounts.${load.id}`}
            label={load.kind === 'fluid' ? `${load.name}, how full` : `${load.name} aboard, 0 or 100`}
            quantity="share"
            units={units}
          />
        ))}
        <InstrumentField
          label="On which scale"
          choice={scales}
          value={typed.scale ?? ''}
          problem={formState.errors.scale?.message}
          onChoose={(name, known) => {
            setValue('scale', name, { shouldDirty: true })
            if (!known) return
            if (known.resolution !== null) setValue('resolution', known.resolution, { shouldDirty: true })
            setValue('accuracy', known.repeatability, { shouldDirty: true })
          }}
        />
        <FormQuantity
          control={control}
          name="resolution"
          label="Step of a pad"
          quantity="mass"
          units={units}
        />
        <FormQuantity
          control={control}
          name="accuracy"
          label="Accuracy of a pad"
          quantity="share"
          units={units}
          hint="0.3 % is usual"
        />
        {typed.checklist && (
          <ChecklistFields
            control={control}
            units={units}
            build={view.build}
            mass={live?.result.total.value ?? view.build.baseMass}
            unit={unit('mass')}
          />
        )}
        <label className="flex items-center gap-2 self-end pb-1">
          <input
            type="checkbox"
            className="size-4 accent-blued"
            checked={withPressures}
            onChange={(e) =>
              setValue(
                'tyrePressures',
                e.target.checked ? { frontLeft: 2e5, frontRight: 2e5, rearLeft: 2e5, rearRight: 2e5 } : null,
              )
            }
          />
          Note tyre pressures
        </label>
        {withPressures &&
          PADS.map(([corner, words]) => (
            <FormQuantity
              key={corner}
              control={control}
              name={`tyrePressures.${corner}`}
              label={`Tyre, ${words.toLowerCase()}`}
              quantity="pressure"
              units={units}
            />
          ))}
        <div className="col-span-2">
          <FormText
            control={control}
            name="note"
            label="Notes"
            rows={2}
            hint="Levelness, bars, tools left in the boot"
          />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
