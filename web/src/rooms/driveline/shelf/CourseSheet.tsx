import { choice, field, RECORDS, type RecordOf } from '@bold-ballast/contract'
import { fromSi, toSi, typedPoints, unitOf, type Unit, itemAt } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useWatch } from 'react-hook-form'
import * as z from 'zod'
import { useBuild } from '../../../store/useBuild'
import { fieldsTyped } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useTypedForm } from '../../../ui/record/useRecordForm'

type Course = RecordOf<'courseSpeeds'>
const SPEEDS = ['km/h', 'mph', 'm/s'] as const

/** The points of the text, SI, and the lines that are none. */
function pointsOf(text: string, symbol: string): { points: Course['points']; bad: readonly string[] } {
  const { pairs, bad } = typedPoints(text, { x: 'a time', fromZero: true })
  return {
    points: pairs.map(({ x, y }) => ({ time: x, speed: toSi(y, unitOf('velocity', symbol)) })),
    bad: bad.map((b) => `Line ${b.line}: ${b.problem}`),
  }
}
const typedCourse = z
  .object({
    id: z.string(),
    order: z.number(),
    name: RECORDS.courseSpeeds.shape.name,
    unit: choice(SPEEDS, { 'km/h': 'km/h', mph: 'mph', 'm/s': 'm/s' }, 'Speeds are in'),
    text: field(z.string(), {
      label: 'Seconds and speed, one lap',
      hint: 'One line for each slow and each fast place will do, such as 0 118 and below it 4.0 162; or paste a log',
    }),
    note: RECORDS.courseSpeeds.shape.note,
  })
  .superRefine(({ text, unit, ...record }, context) => {
    const { points, bad } = pointsOf(text, unit)
    if (bad[0]) return context.addIssue({ code: 'custom', path: ['text'], message: bad[0] })
    const fits = RECORDS.courseSpeeds.safeParse({ ...record, points })
    const fault = fits.success ? null : fits.error.issues.find((i) => i.path[0] === 'points')
    if (fault) context.addIssue({ code: 'custom', path: ['text'], message: fault.message })
  })
type Typed = z.infer<typeof typedCourse>

const { Field } = fieldsTyped<Typed>()

const read = ({ text, unit, ...record }: Typed): Course => ({
  ...record,
  points: pointsOf(text, unit).points,
})
const writtenIn =
  (velocity: Unit) =>
  (course: Course | null, id: string, order: number): Typed => ({
    id: course?.id ?? id,
    order: course?.order ?? order,
    name: course?.name ?? '',
    unit: SPEEDS.find((symbol) => symbol === velocity.symbol) ?? 'km/h',
    text: (course?.points ?? [])
      .map((p) => `${p.time}\t${Number(fromSi(p.speed, velocity).toFixed(2))}`)
      .join('\n'),
    note: course?.note ?? '',
  })

/** The speeds of one lap, typed or pasted: a time and a speed on each line. */
export function CourseSheet({ courseId, onClose }: { courseId: string | null; onClose: () => void }) {
  const { unit } = useBuild()
  const velocity = unit('velocity')
  const form = useTypedForm('courseSpeeds', courseId, {
    draft: 'course',
    schema: typedCourse,
    written: writtenIn(velocity),
    read,
    says: ({ name }, isNew) => `${isNew ? 'Add' : 'Change'} ${name}`,
    onSaved: onClose,
  })
  const [text, symbol] = useWatch({ control: form.control, name: ['text', 'unit'] })
  const { points, bad } = useMemo(
    () => pointsOf(text ?? '', symbol ?? velocity.symbol),
    [text, symbol, velocity],
  )
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Add the speeds of a course' : 'Change the speeds'}
      says="Save the speeds"
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <Field name="unit" />
      <span />
      <Field name="text" rows={12} />
      <p role="status" className="col-span-2 text-[13px] text-muted" data-testid="course-read">
        {points.length} points read
        {points.length > 1 && `, ${(itemAt(points, -1).time - itemAt(points, 0).time).toFixed(1)} s`}
        {bad.length > 0 && <span className="block text-oxide">{bad.slice(0, 3).join(' ')}</span>}
      </p>
      <Field name="note" />
    </RecordSheet>
  )
}
