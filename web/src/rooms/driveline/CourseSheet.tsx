import { RECORDS, type RecordOf, putEdit } from '@bold-ballast/contract'
import { fromSi, toSi, typedPoints, unitNamed, type Unit } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useMemo, useState } from 'react'
import { useWatch } from 'react-hook-form'
import * as z from 'zod'
import { useBuild } from '../../store/useBuild'
import { FormSelect, FormText } from '../../ui/form'
import { SheetForm } from '../../ui/SheetForm'
import { SideSheet } from '../../ui/SideSheet'
import { useKeptForm } from '../../ui/useKeptForm'

type Course = RecordOf<'courseSpeeds'>
const unitOf = (symbol: string): Unit => unitNamed('velocity', symbol)!

/** The points of the text, SI, and the lines that are none. */
function pointsOf(text: string, symbol: string): { points: Course['points']; bad: readonly string[] } {
  const { pairs, bad } = typedPoints(text, { x: 'a time', fromZero: true })
  return {
    points: pairs.map(({ x, y }) => ({ time: x, speed: toSi(y, unitOf(symbol)) })),
    bad: bad.map((b) => `Line ${b.line}: ${b.problem}`),
  }
}
const typedCourse = z
  .object({
    id: z.string(),
    order: z.number(),
    name: RECORDS.courseSpeeds.shape.name,
    unit: z.string(),
    text: z.string(),
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

/** The speeds of one lap, typed or pasted: a time and a speed on each line. */
export function CourseSheet({ courseId, onClose }: { courseId: string | null; onClose: () => void }) {
  const { view, unit, save } = useBuild()
  const course = view.courseSpeeds.find((c) => c.id === courseId)
  const velocity = unit('velocity')
  const [start] = useState<Typed>(() => ({
    id: course?.id ?? crypto.randomUUID(),
    order: course?.order ?? Math.max(-1, ...view.courseSpeeds.map((c) => c.order)) + 1,
    name: course?.name ?? '',
    unit: velocity.symbol,
    text: (course?.points ?? [])
      .map((p) => `${p.time}\t${Number(fromSi(p.speed, velocity).toFixed(2))}`)
      .join('\n'),
    note: course?.note ?? '',
  }))
  const { control, handleSubmit, kept } = useKeptForm<Typed>(`course.${courseId ?? view.build.id}`, {
    resolver: zodResolver(typedCourse),
    defaultValues: start,
  })
  const [text, symbol] = useWatch({ control, name: ['text', 'unit'] })
  const { points, bad } = useMemo(
    () => pointsOf(text ?? '', symbol ?? velocity.symbol),
    [text, symbol, velocity],
  )
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit(({ text: typed, unit: shown, ...record }) => {
    const faults = save(`${course ? 'Change' : 'Add'} ${record.name}`, [
      putEdit(view, 'courseSpeeds', { ...record, points: pointsOf(typed, shown).points }),
    ])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  return (
    <SideSheet open onClose={onClose} title={course ? 'Change the speeds' : 'Add the speeds of a course'}>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the speeds">
        <div className="col-span-2">
          <FormText control={control} name="name" label="Course" autoFocus />
        </div>
        <FormSelect
          control={control}
          name="unit"
          label="Speeds are in"
          options={['km/h', 'mph', 'm/s'].map((s) => [s, s])}
        />
        <span />
        <div className="col-span-2">
          <FormText
            control={control}
            name="text"
            label="Seconds and speed, one lap"
            hint="One line for each slow and each fast place will do, such as 0 118 and below it 4.0 162; or paste a log"
            rows={12}
          />
        </div>
        <p role="status" className="col-span-2 text-[13px] text-muted" data-testid="course-read">
          {points.length} points read
          {points.length > 1 && `, ${(points.at(-1)!.time - points[0]!.time).toFixed(1)} s`}
          {bad.length > 0 && <span className="block text-oxide">{bad.slice(0, 3).join(' ')}</span>}
        </p>
        <div className="col-span-2">
          <FormText control={control} name="note" label="Notes" rows={2} />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
