import { fileOf, sealOf } from '@bold-ballast/contract'
import { csvOf, differingFigures, sealedFiguresOf } from '@bold-ballast/words'
import { Suspense, useMemo, useState } from 'react'
import { ProofPaper } from '../../../paper/ProofPaper'
import { savePdf } from '../../../paper/savePdf'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'
import { download } from '../../../ui/download'
import { later } from '../../../ui/later'
import { SealedBefore } from './SealedBefore'
import { SharedLinks } from './SharedLinks'
import { usePaper } from './usePaper'

const FreezeSheet = later(() => import('./FreezeSheet'), 'FreezeSheet')
const ReopenSheet = later(() => import('./ReopenSheet'), 'ReopenSheet')
const ShareSheet = later(() => import('./ShareSheet'), 'ShareSheet')

/** The printable verdict of a stage, as it stands or as it was signed; freezing it, and showing it to others. */
export function ProofView() {
  const { view, stage, branch, units } = useBuild()
  const now = useMemo(() => sealedFiguresOf(view, stage.id), [view, stage.id])
  const [open, setOpen] = useState<'freeze' | 'reopen' | 'share' | null>(null)
  const seal = sealOf(view, stage.id)
  const figures = seal?.figures ?? now
  const moved = useMemo(() => (seal ? differingFigures(seal.figures, now, units) : []), [seal, now, units])
  const paper = { ...usePaper(figures, seal), moved }
  const { build } = view
  const name = `${build.name} ${stage.name} proof`
  const saveCsv = () =>
    download(
      `${name}.csv`,
      csvOf(
        ['what', 'says', 'verdict', 'reason'],
        [
          ...figures.facts.map((f) => [f.what, f.says, '', '']),
          ...figures.marks.map((m) => [m.name, `${m.figure} (${m.target})`, m.says, m.reason]),
          ...figures.gears.map((g, i) => [`Gear ${i + 1}`, `${g.ratio}, ${g.speed.toFixed(2)} m/s`, '', '']),
          ...figures.links.map((l) => [l.name, `margin ${l.margin.toFixed(2)}`, l.verdict, '']),
          ...figures.changed.map((c) => ['Changed', `${c.swap}, ${c.mass.toFixed(2)} kg`, '', '']),
          ...figures.risks.map((r) => ['Open', r, '', '']),
        ],
      ),
      'text/csv',
    )
  const saveJson = () =>
    download(
      `${name}.json`,
      JSON.stringify(
        {
          build: build.name,
          stage: stage.name,
          stageId: stage.id,
          code: paper.code,
          seal,
          figures,
          record: fileOf(view),
        },
        null,
        2,
      ),
      'application/json',
    )
  return (
    <section aria-label="Proof sheet">
      <p className="no-print mb-3 flex flex-wrap items-center gap-2">
        {seal ? (
          <MayOnly right="plan">
            <Button onClick={() => setOpen('reopen')}>Open it again</Button>
          </MayOnly>
        ) : (
          !branch && (
            <Button look="main" onClick={() => setOpen('freeze')}>
              Freeze this stage
            </Button>
          )
        )}
        <Button onClick={() => void savePdf(paper)}>PDF</Button>
        <Button onClick={() => window.print()}>Print</Button>
        <MayOnly right="share">
          {!branch && <Button onClick={() => setOpen('share')}>Share a link</Button>}
        </MayOnly>
        <Button onClick={saveCsv}>CSV</Button>
        <Button onClick={saveJson}>JSON, with the whole record</Button>
      </p>
      {seal && (
        <p className="no-print mb-3 text-zinc" data-testid="frozen">
          Frozen. What is shown is what was signed; nothing of this stage can be changed.
        </p>
      )}
      <ProofPaper paper={paper} />
      <SharedLinks />
      <SealedBefore />
      <Suspense>
        {open === 'freeze' && <FreezeSheet figures={now} onClose={() => setOpen(null)} />}
        {open === 'reopen' && seal && <ReopenSheet seal={seal} onClose={() => setOpen(null)} />}
        {open === 'share' && <ShareSheet paper={paper} onClose={() => setOpen(null)} />}
      </Suspense>
    </section>
  )
}
