import { RECORDS, type TiltTest } from '@bold-ballast/contract'
import { formatKnown, tiltHeight } from '@bold-ballast/core'
import { useWatch } from 'react-hook-form'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { NOTHING } from '../../../ui/record/nothing'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { today } from '../../../ui/today'

const { Field, Fields } = fieldsOf('tiltTest')
const blankTilt = () => ({ lift: NOTHING, gain: NOTHING })

/** The height as far as it is known; in words what can't be. */
function heightOf(typed: unknown, wheelbase: number) {
  const parsed = RECORDS.tiltTest.safeParse(typed)
  if (!parsed.success) return { height: null, steep: null }
  try {
    return { height: tiltHeight({ ...parsed.data, wheelbase }), steep: null }
  } catch (error) {
    return { height: null, steep: error instanceof Error ? error.message : String(error) }
  }
}

/** Centre-of-mass height by tilting, step by step, with the result while it is typed. */
export function TiltSheet({ test, onClose }: { test: TiltTest | null; onClose: () => void }) {
  const { stage, unit, built } = useBuild()
  const { summary } = useLiveBuild()
  const { wheelbase } = built
  const blank = (id: string) => ({
    id,
    stageId: stage.id,
    date: today(),
    raised: 'rear' as const,
    mass: summary.weighed?.result.total.value ?? Math.round(summary.asFitted.mass.value * 10) / 10,
    tilts: [blankTilt()],
    gainSigma: 0.5,
    liftSigma: 0.002,
    note: '',
  })
  const title = test ? 'Change a tilt test' : 'Log a tilt test'
  const form = useRecordForm('tiltTest', test?.id ?? null, {
    blank,
    says: () => title,
    onSaved: onClose,
    refused: (typed) => heightOf(typed, wheelbase).steep,
  })
  const typed = useWatch({ control: form.control })
  const { height, steep } = heightOf(typed, wheelbase)
  const shown = height && formatKnown(height.value, height.sigma, unit('length'))
  const { raised = 'rear' } = typed
  const level = raised === 'rear' ? 'front' : 'rear'
  return (
    <RecordSheet form={form} title={title} says="Save the tilt test" fault={steep} onClose={onClose}>
      <ol className="col-span-2 list-decimal rounded-[3px] border border-ochre p-3 pl-7 text-[13px]">
        <li>Lock the suspension: solid links in place of the dampers, or blocks at the stops.</li>
        <li>Chock the wheels that stay down, fore and aft, free to roll by nothing else.</li>
        <li>Drain the fuel or fill it: what slops moves. Strap down what is loose.</li>
        <li>Raise with a lift or stands made for it. Nobody under the car, nobody in it.</li>
      </ol>
      <Field
        name="raised"
        options={[
          ['rear', 'rear, pads under the front'],
          ['front', 'front, pads under the rear'],
        ]}
      />
      <Fields names={['date', 'mass', 'radius']} />
      <Rows
        name="tilts"
        one="lift"
        least={1}
        most={12}
        blank={blankTilt}
        className="grid grid-cols-[1fr_1fr_auto] items-end gap-3"
        removes="beside"
      >
        {(i) => (
          <>
            <Field name={`tilts.${i}.lift`} label={`Lift ${i + 1}: ${raised} axle raised by`} />
            <Field name={`tilts.${i}.gain`} label={`${level} axle gains`} />
          </>
        )}
      </Rows>
      <p
        aria-live="polite"
        data-testid="live-tilt"
        className="col-span-2 rounded-[3px] border border-dashed border-edge p-3"
      >
        Centre of mass{' '}
        <b className="figure text-[20px]">{shown ? `${shown.figure} ±${shown.spread} ${shown.unit}` : '–'}</b>{' '}
        above the ground
      </p>
      <Fields names={['gainSigma', 'liftSigma', 'note']} />
    </RecordSheet>
  )
}
