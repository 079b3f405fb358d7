import { RECORDS, type RecordOf, putEdit } from '@bold-ballast/contract'
import { courseFrom, formatNumber, fromSi, unitNamed } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useWatch } from 'react-hook-form'
import * as z from 'zod'
import { useBuild } from '../../store/useBuild'
import { FormCheck, FormSelect, FormText } from '../../ui/form'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'

type Course = RecordOf<'course'>
const metresIn = (symbol: string) => unitNamed('length', symbol)!.factor
const read = (text: string, symbol: string) => courseFrom(text, metresIn(symbol))

const typedLine = z
  .object({
    id: z.string(),
    order: z.number(),
    name: RECORDS.course.shape.name,
    note: RECORDS.course.shape.note,
    unit: z.string(),
    text: z.string(),
    closed: z.boolean(),
  })
  .superRefine(({ text, unit, ...record }, context) => {
    const { sections, bad } = read(text, unit)
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

/** The line of a course, typed or pasted: straights and corners in the order they are driven. */
export function CourseLineSheet({ courseId, onClose }: { courseId: string | null; onClose: () => void }) {
  const { view, save, unit } = useBuild()
  const course = view.courses.find((c) => c.id === courseId)
  const [start] = useState<Typed>(() => {
    const symbol = unit('length').factor === metresIn('in') ? 'ft' : 'm'
    return {
      id: course?.id ?? crypto.randomUUID(),
      name: course?.name ?? '',
      note: course?.note ?? '',
      order: course?.order ?? Math.max(-1, ...view.courses.map((c) => c.order)) + 1,
      unit: symbol,
      text: course ? asText(course, symbol) : '',
      closed: course?.closed ?? true,
    }
  })
  const { control, handleSubmit, kept } = useKeptForm<Typed>(`courseLine.${courseId ?? view.build.id}`, {
    resolver: zodResolver(typedLine),
    defaultValues: start,
  })
  const [text, symbol] = useWatch({ control, name: ['text', 'unit'] })
  const { sections } = read(text ?? '', symbol ?? 'm')
  const whole = sections.reduce((sum, s) => sum + s.length, 0)
  const corners = sections.filter((s) => s.radius !== null).length
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit(({ text: typed, unit: shown, ...record }) => {
    const faults = save(`${course ? 'Change' : 'Add'} the line of ${record.name}`, [
      putEdit(view, 'course', { ...record, sections: [...read(typed, shown).sections] }),
    ])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title={course ? 'Change the line' : 'Add the line of a course'}>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the line">
        <div className="col-span-2">
          <FormText control={control} name="name" label="Course" autoFocus />
        </div>
        <FormSelect
          control={control}
          name="unit"
          label="Lengths are in"
          options={[
            ['m', 'm'],
            ['ft', 'ft'],
          ]}
        />
        <div className="flex items-end pb-1">
          <FormCheck control={control} name="closed" label="Ends where it starts" />
        </div>
        <div className="col-span-2">
          <FormText
            control={control}
            name="text"
            label="Straights and corners, as they come"
            hint="One a line: 420 is a straight; r32 75 a corner of radius 32 and length 75; r32 134° the same by its angle. Of the line that is driven, not of the road"
            rows={14}
          />
        </div>
        <p role="status" className="col-span-2 text-[13px] text-muted" data-testid="line-read">
          {formatNumber(fromSi(whole, unitNamed('length', symbol ?? 'm')!), 0)} {symbol}, {corners} corners
        </p>
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
