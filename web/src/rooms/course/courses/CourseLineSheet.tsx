import { choice, field, LINE_SOURCE, RECORDS, type RecordOf } from '@bold-ballast/contract'
import { itemAt, courseFrom, formatNumber, fromSi, unitOf } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useWatch } from 'react-hook-form'
import * as z from 'zod'
import { useBuild } from '../../../store/useBuild'
import { fieldsTyped } from '../../../ui/record/fieldsOf'
import { NOTHING } from '../../../ui/record/nothing'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useOpenForm } from '../../../ui/record/RecordFormContext'
import { Rows } from '../../../ui/record/Rows'
import { useTypedForm } from '../../../ui/record/useRecordForm'
import { CourseMap } from '../../../ui/CourseMap'
import { sayCorners } from '../sayCorners'
import { drawnOr } from '../drawnOr'
import { DrawPad } from './DrawPad'
import { LineFile } from './LineFile'
import { pointsAsText, pointsFromText } from './pointsText'

type Course = RecordOf<'course'>
const metresIn = (symbol: string) => unitOf('length', symbol).factor
const sectionsOf = (text: string, symbol: string) => courseFrom(text, metresIn(symbol))
const ENDS = /[\s,;]+/
const endsOf = (text: string) =>
  text
    .trim()
    .split(ENDS)
    .filter(Boolean)
    .map((part) => Number(part))

const { shape } = RECORDS.course
const typedLine = z
  .object({
    id: z.string(),
    order: z.number(),
    name: shape.name,
    note: shape.note,
    how: choice(
      ['sections', 'points'],
      { sections: 'straights and corners, typed', points: 'points: drawn, logged or from a file' },
      'Its line is',
    ),
    unit: choice(['m', 'ft'], { m: 'm', ft: 'ft' }, 'Lengths are in'),
    text: field(z.string(), {
      label: 'Straights and corners, as they come',
      hint: 'One a line: 420 is a straight; r32 75 a corner to the right of radius 32 and length 75; l32 134° one to the left, by its angle. Of the line that is driven, not of the road',
    }),
    points: field(z.string(), {
      label: 'Points, as they come',
      hint: 'One a line, in metres: east, north and, where it is known, up',
    }),
    from: choice(['drawn', 'logged', 'file'], LINE_SOURCE, 'From'),
    closingError: z.number().nullable(),
    origin: z.object({ latitude: z.number(), longitude: z.number() }).nullable(),
    closed: shape.closed,
    corners: shape.corners,
    ends: field(z.string(), {
      label: 'Sectors end at, m',
      hint: 'From the start, such as 1010 1940; the last ends with the lap',
    }),
    stretches: shape.stretches,
    width: shape.width,
  })
  .superRefine((typed, context) => {
    const wrong = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message })
    if (endsOf(typed.ends).some((n) => !Number.isFinite(n)))
      return wrong('ends', 'Write distances from the start in metres, such as 1010 1940.')
    const path = typed.how === 'sections' ? 'text' : 'points'
    const [first] =
      typed.how === 'sections' ? sectionsOf(typed.text, typed.unit).bad : pointsFromText(typed.points).bad
    if (first)
      return wrong(
        path,
        typed.how === 'sections'
          ? `Line ${first.line}, “${first.text}”: write a length; or r or l, a radius and a length.`
          : `Line ${first.line}, “${first.text}”: write two or three lengths in metres.`,
      )
    const course = read(typed)
    const issue = RECORDS.course
      .safeParse(course)
      .error?.issues.find((i) => ['sections', 'line', 'sectors'].includes(String(i.path[0])))
    if (issue) {
      const at = typeof issue.path[1] === 'number' ? `Section ${issue.path[1] + 1}: ` : ''
      return wrong(issue.path[0] === 'sectors' ? 'ends' : path, `${at}${issue.message}`)
    }
    const drawn = drawnOr(course)
    if (typeof drawn === 'string') return wrong(path, `${drawn.replace(/^./, (c) => c.toUpperCase())}.`)
    return undefined
  })
type Typed = z.infer<typeof typedLine>

const asText = ({ sections }: Pick<Course, 'sections'>, symbol: string) =>
  sections
    .map(({ length, radius }) => {
      const say = (metres: number) => String(Number((metres / metresIn(symbol)).toFixed(1)))
      return radius === null
        ? say(length)
        : `${radius > 0 ? 'l' : 'r'}${say(Math.abs(radius))} ${say(length)}`
    })
    .join('\n')

const { Field } = fieldsTyped<Typed>()

function read({ text, unit, how, points, from, closingError, origin, ends, ...record }: Typed): Course {
  const isPoints = how === 'points'
  return {
    ...record,
    sections: isPoints ? [] : [...sectionsOf(text, unit).sections],
    line: isPoints ? { from, points: [...pointsFromText(points).points], closingError, origin } : null,
    sectors: endsOf(ends),
  }
}

const writtenIn =
  (symbol: 'ft' | 'm') =>
  (course: Course | null, id: string, order: number): Typed => ({
    id: course?.id ?? id,
    name: course?.name ?? '',
    note: course?.note ?? '',
    order: course?.order ?? order,
    how: course?.line ? 'points' : 'sections',
    unit: symbol,
    text: course ? asText(course, symbol) : '',
    points: course?.line ? pointsAsText(course.line.points) : '',
    from: course?.line?.from ?? 'drawn',
    closingError: course?.line?.closingError ?? null,
    origin: course?.line?.origin ?? null,
    closed: course?.closed ?? true,
    corners: course?.corners ?? [],
    ends: course?.sectors.join(' ') ?? '',
    stretches: course?.stretches ?? [],
    width: course?.width ?? null,
  })

/** The line of a course: typed section by section, drawn, or read from a log or a file; with what is along it. */
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
  const how = useWatch({ control: form.control, name: 'how' })
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Add the line of a course' : 'Change the line'}
      says="Save the line"
      wide
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <Field name="how" />
      <Field name="closed" />
      {how === 'points' ? (
        <>
          <DrawPad />
          <LineFile />
          <Field name="points" rows={6} />
          <Preview />
        </>
      ) : (
        <>
          <Field name="unit" />
          <span />
          <Field name="text" rows={12} />
          <Preview />
        </>
      )}
      <Rows
        name="corners"
        one="corner"
        adds="name of a corner"
        begins="Name its corners"
        most={100}
        blank={() => ({ name: '', at: NOTHING })}
        removes="beside"
        className="grid grid-cols-[1fr_1fr_auto] items-end gap-3"
      >
        {(i) => (
          <>
            <Field name={`corners.${i}.name`} label={`Corner ${i + 1}`} />
            <Field name={`corners.${i}.at`} />
          </>
        )}
      </Rows>
      <Field name="ends" />
      <Field name="width" />
      <Rows
        name="stretches"
        one="stretch"
        adds="stretch"
        begins="A stretch that climbs, is banked or grips otherwise"
        most={100}
        blank={() => ({ from: NOTHING, to: NOTHING, gradient: null, banking: 0, grip: 1 })}
      >
        {(i) => (
          <>
            <Field name={`stretches.${i}.from`} />
            <Field name={`stretches.${i}.to`} />
            <Field name={`stretches.${i}.gradient`} />
            <Field name={`stretches.${i}.banking`} />
            <Field name={`stretches.${i}.grip`} />
          </>
        )}
      </Rows>
      <Field name="note" />
    </RecordSheet>
  )
}

const AS_TYPED = [{ says: 'as typed', colour: '--blued', width: 4 }]

/** The map of what is typed so far, its length and corners, and how it closes. */
function Preview() {
  const { control } = useOpenForm()
  const typed = useWatch({ control }) as Typed
  const drawn = useMemo(() => {
    const isBlank = typed.how === 'points' ? !typed.points.trim() : !typed.text.trim()
    return isBlank ? null : drawnOr(read(typed))
  }, [typed])
  if (drawn === null) return null
  if (typeof drawn === 'string')
    return (
      <p role="status" className="col-span-2 text-[13px] text-ochre" data-testid="line-read">
        Not a line yet: {drawn}.
      </p>
    )
  const symbol = typed.how === 'points' ? 'm' : typed.unit
  return (
    <div className="col-span-2">
      <CourseMap
        label="The line as it is typed"
        points={drawn.points}
        closed={drawn.closed}
        length={drawn.length}
        stretches={[{ from: 0, to: drawn.length, look: itemAt(AS_TYPED, 0) }]}
        corners={drawn.corners}
        marks={drawn.sectors.slice(0, -1).map(([, to]) => to)}
      />
      <p role="status" className="text-[13px] text-muted" data-testid="line-read">
        {formatNumber(fromSi(drawn.length, unitOf('length', symbol)), 0)} {symbol},{' '}
        {sayCorners(drawn.corners.length)}
        {drawn.gap !== null && drawn.gap > 1 && (
          <span className="text-ochre">; its end lies {formatNumber(drawn.gap, 0)} m from its start</span>
        )}
        {typed.how === 'points' && typed.closingError !== null && (
          <>; the log closed to {formatNumber(typed.closingError, 1)} m, shared out</>
        )}
        {drawn.crossings.length > 0 && (
          <span className="text-ochre">
            ; it crosses itself at {formatNumber(itemAt(drawn.crossings, 0)[0], 0)} and{' '}
            {formatNumber(itemAt(drawn.crossings, 0)[1], 0)} m
          </span>
        )}
      </p>
    </div>
  )
}
