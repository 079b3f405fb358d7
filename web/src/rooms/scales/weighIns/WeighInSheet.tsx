import { RECORDS, withoutVersion, type WeighIn } from '@bold-ballast/contract'
import { readTypedWeighIn, weighInDoubts, type WeighInDoubt } from '@bold-ballast/model'
import { formatKnown, type Known } from '@bold-ballast/core'
import { Suspense, useState } from 'react'
import { useWatch } from 'react-hook-form'
import { useInstruments, type InstrumentChoice } from '../../../store/useInstruments'
import { InstrumentField } from '../../../ui/InstrumentField'
import { useBuild } from '../../../store/useBuild'
import { ChecklistFields } from './ChecklistFields'
import { emptyReadings, ReadingsFields, type WeighInForm } from './ReadingsFields'
import { Button } from '../../../ui/Button'
import { later } from '../../../ui/later'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { OptionalPart } from '../../../ui/record/OptionalPart'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useTypedForm } from '../../../ui/record/useRecordForm'
import { today } from '../../../ui/today'

const LivePads = later(() => import('./LivePads'), 'LivePads')

/** What a whole car is weighed on. */
const CAR_SCALES = ['pads', 'weighbridge'] as const
const PADS = [
  ['frontLeft', 'Front left'],
  ['frontRight', 'Front right'],
  ['rearLeft', 'Rear left'],
  ['rearRight', 'Rear right'],
] as const

const { Field, Fields } = fieldsOf('weighIn')

const blank = (
  id: string,
  stageId: string,
  usual: InstrumentChoice['usual'],
): Omit<WeighInForm, 'condition'> => ({
  id,
  stageId,
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
  tyrePressures: null,
  note: '',
})

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
  const { view, ledger, stage, units, unit, built } = useBuild()
  const [isLive, setLive] = useState(false)
  /** Every load with its amount, so that what is left alone is said, too. */
  const inFull = (condition: WeighIn['condition']) => ({
    ...condition,
    amounts: { ...Object.fromEntries(view.loads.map((l) => [l.id, l.base])), ...condition.amounts },
  })
  const scales = useInstruments(CAR_SCALES)
  const { usual } = scales
  /** What looks mistyped, and of which readings that was asked: saved again as they are, they are taken. */
  const [asked, setAsked] = useState<{ of: string; doubts: readonly WeighInDoubt[] } | null>(null)
  const form = useTypedForm('weighIn', weighIn?.id ?? null, {
    schema: RECORDS.weighIn,
    written: (record, id): WeighInForm => ({
      ...(record ? withoutVersion(record) : blank(id, stage.id, usual)),
      condition: inFull(record?.condition ?? view.build.reference),
    }),
    read: (typed) => typed,
    says: (_, isNew) => (isNew ? 'Log a weigh-in' : 'Change a weigh-in'),
    refused: (record) => {
      const of = JSON.stringify(record.readings)
      const read = asked?.of === of ? null : readTypedWeighIn(view, record, ledger)
      const doubts = read ? weighInDoubts(record, read, built, unit('mass')) : []
      setAsked(doubts.length > 0 ? { of, doubts } : null)
      return doubts.length > 0 ? doubts.map(({ question }) => question).join(' ') : null
    },
    along: ({ scale }) => scales.takenOver(scale),
    onSaved: ({ id }) => {
      onSaved(id)
      onClose()
    },
  })
  const { control, setValue, formState } = form
  const typed = useWatch({ control })
  const doubts = asked && asked.of === JSON.stringify(typed.readings) ? asked.doubts : null
  const parsed = RECORDS.weighIn.safeParse(typed)
  const readingsFault = formState.isSubmitted
    ? parsed.error?.issues.find(
        (i) => i.path.at(0) === 'readings' && (i.path.length === 1 || i.path.at(-1) === 'block'),
      )?.message
    : null
  const live = parsed.success ? readTypedWeighIn(view, parsed.data, ledger) : null
  const share = (known: Known | null | undefined) => {
    if (!known) return '–'
    const f = formatKnown(known.value, known.sigma, unit('share'))
    return `${f.figure} ±${f.spread} %`
  }
  const total = live && formatKnown(live.result.total.value, live.result.total.sigma, unit('mass'))
  const books = live && formatKnown(live.books.mass.value, live.books.mass.sigma, unit('mass'))
  return (
    <RecordSheet
      form={form}
      title={weighIn ? 'Change a weigh-in' : 'Log a weigh-in'}
      fault={readingsFault ?? null}
      says={doubts ? 'It is right, save' : 'Save the weigh-in'}
      onClose={onClose}
      after={
        doubts && (
          <p className="mt-2 flex flex-wrap gap-2" data-testid="could-be">
            {doubts
              .flatMap(({ instead }) => instead)
              .map(({ words, readings }) => (
                <Button
                  key={words + readings[0]?.field}
                  onClick={() => {
                    for (const { field, mass } of readings)
                      setValue(field as 'readings.corners.frontLeft', mass, { shouldDirty: true })
                    setAsked(null)
                    form.forgive()
                  }}
                >
                  {words}
                </Button>
              ))}
          </p>
        )
      }
    >
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
      <Field name="date" />
      <Field name="condition.fuel" label="Fuel aboard" />
      <Field
        name="condition.driver"
        label="Driver aboard, in gear"
        hint={`0 for nobody; ours is ${view.build.driverMass} kg`}
      />
      {view.loads.map((load) => (
        <Field
          key={load.id}
          name={`condition.amounts.${load.id}`}
          label={load.kind === 'fluid' ? `${load.name}, how full` : `${load.name} aboard, 0 or 100`}
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
      <Fields names={['resolution', 'accuracy']} />
      {typed.checklist && typed.readings?.method !== 'axles' && (
        <ChecklistFields
          control={control}
          units={units}
          build={built}
          mass={live?.result.total.value ?? view.build.baseMass}
          unit={unit('mass')}
        />
      )}
      <OptionalPart
        name="tyrePressures"
        label="Note tyre pressures"
        blank={() => ({ frontLeft: 2e5, frontRight: 2e5, rearLeft: 2e5, rearRight: 2e5 })}
      >
        {PADS.map(([corner, words]) => (
          <Field key={corner} name={`tyrePressures.${corner}`} label={`Tyre, ${words.toLowerCase()}`} />
        ))}
      </OptionalPart>
      <Field name="note" />
    </RecordSheet>
  )
}
