import { Suspense, useState } from 'react'
import { COURSE_VIEWS } from '../../roomViews'
import { useBuild } from '../../store/useBuild'
import { later } from '../../ui/later'
import { RoomHead, type RoomAction } from '../../ui/RoomHead'
import { RoomViews, useRoomView } from '../../ui/RoomViews'

const LapView = later(() => import('./lap/LapView'), 'LapView')
const WorthView = later(() => import('./worth/WorthView'), 'WorthView')
const TradeView = later(() => import('./trade/TradeView'), 'TradeView')
const CoursesView = later(() => import('./courses/CoursesView'), 'CoursesView')
const CourseLineSheet = later(() => import('./courses/CourseLineSheet'), 'CourseLineSheet')
const LapBasisSheet = later(() => import('./lap/LapBasisSheet'), 'LapBasisSheet')
const DrivetrainSheet = later(() => import('../../sheets/DrivetrainSheet'), 'DrivetrainSheet')

/** The sheet that is open, and the course it is about; a null id is a new one. */
type Sheet =
  { readonly kind: 'basis' | 'gears' } | { readonly kind: 'line' | 'points'; readonly id: string | null }

/** What a lap of the car takes, where it wins and loses it, and what each change is worth in seconds. */
export function CourseRoom() {
  const { stage, ledger } = useBuild()
  const open = useRoomView(COURSE_VIEWS)
  const [sheet, setSheet] = useState<Sheet | null>(null)
  const close = () => setSheet(null)
  const basis: RoomAction = {
    label: 'Tyres, differential, driver',
    kind: 'lapBasis',
    act: () => setSheet({ kind: 'basis' }),
  }
  const addLine: RoomAction = {
    label: 'Add a course',
    kind: 'course',
    act: () => setSheet({ kind: 'line', id: null }),
  }
  const actions: Readonly<Record<typeof open, RoomAction>> = {
    lap: basis,
    worth: basis,
    trade: basis,
    courses: addLine,
  }
  const ways = {
    onGears: () => setSheet({ kind: 'gears' }),
    onCourse: addLine.act,
    onBasis: basis.act,
  }
  return (
    <>
      <RoomHead title="Course" action={actions[open]}>
        Stage {ledger.stages.indexOf(stage) + 1}, {stage.name}
      </RoomHead>
      <RoomViews label="Views of the course" views={COURSE_VIEWS} open={open} />
      <Suspense>
        {open === 'lap' && <LapView {...ways} />}
        {open === 'worth' && <WorthView {...ways} />}
        {open === 'trade' && <TradeView {...ways} />}
        {open === 'courses' && <CoursesView onLine={(id) => setSheet({ kind: 'line', id })} />}
      </Suspense>
      <Suspense>
        {sheet?.kind === 'basis' && <LapBasisSheet onClose={close} />}
        {sheet?.kind === 'gears' && <DrivetrainSheet onClose={close} />}
        {sheet?.kind === 'line' && (
          <CourseLineSheet key={sheet.id ?? 'new'} courseId={sheet.id} onClose={close} />
        )}
      </Suspense>
    </>
  )
}
