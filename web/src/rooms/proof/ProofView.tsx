import { fileOf, sealOf } from '@bold-ballast/contract'
import { Suspense, useState } from 'react'
import { useBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { csvOf, download } from '../../ui/download'
import { later } from '../../ui/later'
import { ProofArticle } from './ProofArticle'
import { SealedBefore } from './SealedBefore'
import { useSheetFigures } from './useSheetFigures'

const FreezeSheet = later(() => import('./FreezeSheet'), 'FreezeSheet')
const ReopenSheet = later(() => import('./ReopenSheet'), 'ReopenSheet')

/** The printable verdict of a stage, as it stands or as it was signed; and freezing it. */
export function ProofView() {
  const { view, stage } = useBuild()
  const now = useSheetFigures()
  const [open, setOpen] = useState<'freeze' | 'reopen' | null>(null)
  const seal = sealOf(view, stage.id)
  const figures = seal?.figures ?? now
  const { build } = view
  const saveCsv = () =>
    download(
      `${build.name} ${stage.name} proof.csv`,
      csvOf(
        ['what', 'says', 'verdict', 'reason'],
        [
          ...figures.facts.map((f) => [f.what, f.says, '', '']),
          ...figures.marks.map((m) => [m.name, `${m.figure} (${m.target})`, m.says, m.reason]),
          ...figures.gears.map((g, i) => [`Gear ${i + 1}`, `${g.ratio}, ${g.speed.toFixed(2)} m/s`, '', '']),
          ...figures.links.map((l) => [l.name, `margin ${l.margin.toFixed(2)}`, l.verdict, '']),
          ...figures.risks.map((r) => ['Open', r, '', '']),
        ],
      ),
      'text/csv',
    )
  const saveJson = () =>
    download(
      `${build.name} ${stage.name} proof.json`,
      JSON.stringify(
        { build: build.name, stage: stage.name, stageId: stage.id, seal, figures, record: fileOf(view) },
        null,
        2,
      ),
      'application/json',
    )
  return (
    <section aria-label="Proof sheet">
      <p className="no-print mb-3 flex flex-wrap items-center gap-2">
        {seal ? (
          <Button onClick={() => setOpen('reopen')}>Open it again</Button>
        ) : (
          <Button look="main" onClick={() => setOpen('freeze')}>
            Freeze this stage
          </Button>
        )}
        <Button onClick={() => window.print()}>Print, or save as PDF</Button>
        <Button onClick={saveCsv}>CSV</Button>
        <Button onClick={saveJson}>JSON, with the whole record</Button>
      </p>
      {seal && (
        <p className="no-print mb-3 text-zinc" data-testid="frozen">
          Frozen. What is shown is what was signed; nothing of this stage can be changed.
        </p>
      )}
      <ProofArticle figures={figures} seal={seal} />
      <SealedBefore />
      <Suspense>
        {open === 'freeze' && <FreezeSheet figures={now} onClose={() => setOpen(null)} />}
        {open === 'reopen' && seal && <ReopenSheet seal={seal} onClose={() => setOpen(null)} />}
      </Suspense>
    </section>
  )
}
