import { RECORDS, withoutVersion, type WeighIn } from '@bold-ballast/contract'
import { formatKnown, readWeighIn, type MassFold } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { format } from 'date-fns'
import { useState } from 'react'
import { useWatch, type DefaultValues } from 'react-hook-form'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { FormQuantity, FormText } from '../../ui/form'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'

type WeighInForm = Omit<WeighIn, 'version'>
const PADS = [
  ['frontLeft', 'Front left'],
  ['frontRight', 'Front right'],
  ['rearLeft', 'Rear left'],
  ['rearRight', 'Rear right'],
] as const

/** Log four pads with the condition the car was in; the result shows while it is typed. */
export function WeighInSheet({
  weighIn,
  fitted,
  onClose,
}: {
  weighIn: WeighIn | null
  fitted: MassFold
  onClose: () => void
}) {
  const { view, stage, units, unit, save } = useBuild()
  const [fault, setFault] = useState<string | null>(null)
  const start: DefaultValues<WeighInForm> = weighIn
    ? withoutVersion(weighIn)
    : {
        id: crypto.randomUUID(),
        stageId: stage.id,
        date: format(new Date(), 'yyyy-MM-dd'),
        resolution: 0.5,
        accuracy: 0.003,
        condition: { fuel: view.build.reference.fuel, driver: view.build.reference.driver },
        tyrePressures: null,
        note: '',
      }
  const { control, handleSubmit, setValue, kept } = useKeptForm<WeighInForm>(
    `weighIn.${weighIn?.id ?? stage.id}`,
    {
      resolver: zodResolver(RECORDS.weighIn),
      defaultValues: start,
    },
  )
  const typed = useWatch({ control })
  const withPressures = Boolean(typed.tyrePressures)
  const parsed = RECORDS.weighIn.safeParse(typed)
  const cornersFault = typed.corners
    ? parsed.error?.issues.find((i) => i.path.length === 1 && i.path[0] === 'corners')?.message
    : null
  const live = parsed.success ? readWeighIn(parsed.data, view.build, fitted) : null
  const submit = handleSubmit((record) => {
    const faults = save(weighIn ? 'Change a weigh-in' : 'Log a weigh-in', [put(view, 'weighIn', record)])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  const share = (known: Parameters<typeof formatKnown>[0], sigma: number) => {
    const f = formatKnown(known, sigma, unit('share'))
    return `${f.figure} ±${f.spread} %`
  }
  const total = live && formatKnown(live.result.total.value, live.result.total.sigma, unit('mass'))
  const books = live && formatKnown(live.books.mass.value, live.books.mass.sigma, unit('mass'))
  return (
    <SideSheet open onClose={onClose} title={weighIn ? 'Change a weigh-in' : 'Log a weigh-in'}>
      <SheetForm onSubmit={submit} kept={kept} fault={fault ?? cornersFault} says="Save the weigh-in">
        <p className="col-span-2 text-[13px] text-muted">
          Level pads, tyres at running pressure, bars disconnected, settled. Chock the wheels.
        </p>
        {PADS.map(([corner, words]) => (
          <FormQuantity
            key={corner}
            control={control}
            name={`corners.${corner}`}
            label={words}
            quantity="mass"
            units={units}
          />
        ))}
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
            {live
              ? `${share(live.result.front.value, live.result.front.sigma)}, ${share(live.result.left.value, live.result.left.sigma)}`
              : '–'}
          </dd>
          <dt className="text-muted">Cross</dt>
          <dd className="text-right">
            {live ? share(live.result.cross.value, live.result.cross.sigma) : '–'}
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
