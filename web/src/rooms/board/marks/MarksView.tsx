import { totalsOfStage, type HeadlineMeasure } from '@bold-ballast/core'
import type { Mark } from '@bold-ballast/contract'
import { Fragment, Suspense, useMemo, useState } from 'react'
import { marksOf } from '@bold-ballast/model'
import { nameOfMark, sayOdds } from '@bold-ballast/words'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { useNextDate } from '../../../store/useNextDate'
import { useMarkChance } from '../../../store/useMarkChance'
import { useReadMark } from '../../../store/useReadMark'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'
import { GradeKey } from '../../../ui/grades'
import { CarColumns } from './CarColumns'
import { MarkRow } from './MarkRow'
import { NextDate } from './NextDate'
import { MeasureByStage } from './MeasureByStage'
import { TableHead } from '../../../ui/TableHead'
import { later } from '../../../ui/later'

const MarkMatrix = later(() => import('./MarkMatrix'), 'MarkMatrix')
const NextSteps = later(() => import('./NextSteps'), 'NextSteps')
const MarkSheet = later(() => import('./MarkSheet'), 'MarkSheet')

const HEAD = [
  { says: 'Mark', className: 'w-[120px] @3xl:w-[190px]' },
  { says: 'Planned, and what we know' },
  { says: 'Figure', figures: true, className: 'w-[110px] @3xl:w-[150px]' },
  { says: 'Verdict', className: 'w-[104px] pl-4 @3xl:w-[150px]' },
  { says: 'Change', unseen: true, className: 'w-[68px] @3xl:w-[90px]' },
]

/** How many marks are met, missed and open, and of the open ones which are likely to end where. */
function MarkCounts({ marks }: { marks: readonly Mark[] }) {
  const { units, view } = useBuild()
  const read = useReadMark()
  const chanceOf = useMarkChance()
  const readings = marks.map((mark) => ({ mark, reading: read(mark) }))
  const count = (verdict: string) => readings.filter(({ reading }) => reading.verdict === verdict).length
  const counts = [
    [count('met'), 'met'],
    [count('missed'), 'missed'],
    [count('cantTell'), 'open'],
  ].filter(([n]) => n)
  const open = readings
    .filter(({ reading }) => reading.verdict === 'cantTell')
    .flatMap(({ mark, reading }) => {
      const chance = chanceOf(mark, reading)
      return chance === null ? [] : [{ mark, chance }]
    })
    .sort((a, b) => a.chance - b.chance)
  return (
    <div className="mb-3 max-w-[980px]">
      <p className="text-muted">
        {marks.length === 0
          ? 'No marks set.'
          : `${marks.length} ${marks.length === 1 ? 'mark' : 'marks'}: ${counts.map(([n, w]) => `${n} ${w}`).join(', ')}.`}
      </p>
      {open.length > 1 && (
        <p data-testid="ranked">
          Least likely to be met first:{' '}
          {open.map(({ mark, chance }, i) => (
            <Fragment key={mark.id}>
              {i > 0 && ', '}
              <span className="whitespace-nowrap">
                {nameOfMark(mark, units, view.conditions)}{' '}
                <span className="text-muted">{sayOdds(chance)}</span>
              </span>
            </Fragment>
          ))}
          .
        </p>
      )}
    </div>
  )
}

/** The marks of the stage, what to do next, and how all marks move stage by stage. */
export function MarksView({
  open,
  onOpen,
}: {
  open: Mark | 'new' | null
  onOpen: (open: Mark | 'new' | null) => void
}) {
  const { view, stage } = useBuild()
  const { ledger: liveLedger } = useLiveBuild()
  const [measure, setMeasure] = useState<HeadlineMeasure>('powerToWeight')
  const marks = marksOf(view, stage.id)
  const next = useNextDate()
  const pending = useMemo(
    () => totalsOfStage(liveLedger.swapsOf(stage.id).map((s) => s.counted)).pending.value,
    [liveLedger, stage.id],
  )
  return (
    <>
      <MarkCounts marks={marks} />
      <CarColumns />
      {next && <NextDate reckoned={next.reckoned} target={next.target} />}
      {marks.length > 0 ? (
        <table className="w-full max-w-[980px]">
          <TableHead folds columns={HEAD} />
          <tbody>
            {marks.map((mark) => (
              <MarkRow key={mark.id} mark={mark} pending={pending} onOpen={() => onOpen(mark)} />
            ))}
          </tbody>
        </table>
      ) : (
        <p className="mb-4 max-w-[560px] text-muted">
          A mark is a target that this stage should reach: a mass, a power, a top speed, a balance, a gap, a
          lap. Set one, and the Board says met, missed, or can’t tell yet, with the reason, and what to do
          next.{' '}
          <MayOnly right="plan">
            <Button look="quiet" className="!px-0" onClick={() => onOpen('new')}>
              Set a mark
            </Button>
          </MayOnly>
        </p>
      )}
      <div className="mt-3">
        <GradeKey />
      </div>
      {/* What stands below comes together: what somebody is about to press would move away under their finger. */}
      <Suspense>
        <NextSteps next={next} />
        <MarkMatrix />
        <MeasureByStage measure={measure} onMeasure={setMeasure} />
      </Suspense>
      <Suspense>
        {open && (
          <MarkSheet
            key={open === 'new' ? 'new' : open.id}
            mark={open === 'new' ? null : open}
            onClose={() => onOpen(null)}
          />
        )}
      </Suspense>
    </>
  )
}
