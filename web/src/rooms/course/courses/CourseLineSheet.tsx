import { choice, field, RECORDS, type RecordOf } from '@bold-ballast/contract'
import { courseFrom, formatNumber, fromSi, unitOf } from '@bold-ballast/core'
import { useWatch } from 'react-hook-form'
import * as z from 'zod'
import { useBuild } from '../../../store/useBuild'
import { fieldsTyped } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useTypedForm } from '../../../ui/record/useRecordForm'

type Course = RecordOf<'course'>
const metresIn = (symbol: string) => unitOf('length', symbol).factor
const sectionsOf = (text: string, symbol: string) => courseFrom(text, metresIn(symbol))

const typedLine = z
  .object({
    id: z.string(),
    order: z.number(),
    name: RECORDS.course.shape.name,
    note: RECORDS.course.shape.note,
    unit: choice(['m', 'ft'], { m: 'm', ft: 'ft' }, 'Lengths are in'),
    text: field(z.string(), {
      label: 'Straights and corners, as they come',
      hint: 'One a line: 420 is a straight; r32 75 a corner of radius 32 and length 75; r32 134° the same by its angle. Of the line that is driven, not of the road',
    }),
    closed: RECORDS.course.shape.closed,
  })
  .superRefine(({ text, unit, ...record }, context) => {
    const { sections, bad } = sectionsOf(text, unit)
    const [first] = bad
    if (first)
      return context.addIssue({
        code: 'custom',
        path: ['text'],
        message: `Line ${first.line}, “${first.text}”: write a length, or r, a radius and a length.`,
      })
    const fault = RECORDS.course
      .safeParse({ ...record, sections })
      .error?.issues.find((i) => i.path[0] === 'sections')
    if (fault) {
      const at = fault.path[1] === undefined ? '' : `Section ${Number(fault.path[1]) + 1}: `
      context.addIssue({ code: 'custom', path: ['text'], message: `${at}${fault.message}` })
    }
  })
type Typed = z.infer<typeof typedLine>

const asText = ({ sections }: Pick<Course, 'sections'>, symbol: string) =>
  sections
    .map(({ length, radius }) => {
      const say = (metres: number) => String(Number((metres / metresIn(symbol)).toFixed(1)))
      return radius === null ? say(length) : `r${say(radius)} ${say(length)}`
    })
    .join('\n')

const { Field } = fieldsTyped<Typed>()

const read = ({ text, unit, ...record }: Typed): Course => ({
  ...record,
  sections: [...sectionsOf(text, unit).sections],
})
const writtenIn =
  (symbol: 'ft' | 'm') =>
  (course: Course | null, id: string, order: number): Typed => ({
    id: course?.id ?? id,
    name: course?.name ?? '',
    note: course?.note ?? '',
    order: course?.order ?? order,
    unit: symbol,
    text: course ? asText(course, symbol) : '',
    closed: course?.closed ?? true,
  })

/** The line of a course, typed or pasted: straights and corners in the order they are driven. */
export function CourseLineSheet({ courseId, onClose }: { courseId: string | null; onClose: () => void }) {
  const { unit } = useBuild()
  const form = useTypedForm('course', courseId, {
    draft: 'courseLine',
    schema: typedLine,
    written: writtenIn(unit('length').factor === metresIn('in') ? 'ft' : 'm'),
    read,
    says: ({ name }, isNew) => `${isNew ? 'Add' : 'Change'} the line of ${name}`,
    onSaved: onClose,
  })
  const [text, symbol] = useWatch({ control: form.control, name: ['text', 'unit'] })
  const { sections } = sectionsOf(text ?? '', symbol ?? 'm')
  const whole = sections.reduce((sum, s) => sum + s.length, 0)
  const corners = sections.filter((s) => s.radius !== null).length
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Add the line of a course' : 'Change the line'}
      says="Save the line"
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <Field name="unit" />
      <Field name="closed" />
      <Field name="text" rows={14} />
      <p role="status" className="col-span-2 text-[13px] text-muted" data-testid="line-read">
        {formatNumber(fromSi(whole, unitOf('length', symbol ?? 'm')), 0)} {symbol}, {corners} corners
      </p>
      <Field name="note" />
    </RecordSheet>
  )
}
