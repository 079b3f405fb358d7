import type { Seal, SealedFigures } from '@bold-ballast/contract'
import { format, parseISO } from 'date-fns'
import { useBuild } from '../../store/useBuild'
import { VERDICT_TEXT } from '../../ui/PlumbBar'
import { ProofCurve } from './ProofCurve'
import { ProofLists } from './ProofLists'

/** A proof sheet, set like a printed ticket: as it stands now, or as it was signed. */
export function ProofArticle({ figures, seal }: { figures: SealedFigures; seal: Seal | null }) {
  const { view, stage, ledger } = useBuild()
  const at = ledger.stages.indexOf(stage)
  return (
    <article
      aria-label={`${view.build.name}, ${stage.name}`}
      data-testid="proof-sheet"
      className="max-w-[860px] border border-edge bg-panel px-6 py-5 [border-image:repeating-linear-gradient(90deg,var(--edge)_0_6px,transparent_6px_10px)_1] print:border-0 print:p-0"
    >
      <header className="!flex flex-wrap items-baseline justify-between gap-2 border-b border-dashed border-edge pb-2">
        <h2 className="text-[26px]">
          {view.build.name}, stage {at + 1}: {stage.name}
        </h2>
        <span className="text-muted">
          {seal
            ? `Signed ${format(parseISO(seal.at), 'd MMMM yyyy, HH:mm')} by ${seal.author}`
            : format(new Date(), 'd MMMM yyyy')}
        </span>
      </header>
      <dl className="mt-3 grid gap-x-6 gap-y-1 @xl:grid-cols-[140px_1fr]">
        {figures.facts.map(({ what, says }) => (
          <div key={what} className="contents">
            <dt className="text-[13px] text-muted">{what}</dt>
            <dd className="mb-1">{says}</dd>
          </div>
        ))}
      </dl>
      {figures.marks.length > 0 && (
        <section aria-label="Marks" className="mt-4 break-inside-avoid">
          <h3 className="text-[19px]">Marks</h3>
          <ul>
            {figures.marks.map((mark, i) => (
              <li
                key={i}
                className="grid items-baseline gap-x-4 border-b border-line py-1 @2xl:grid-cols-[170px_120px_110px_minmax(180px,1fr)]"
              >
                <span className="font-medium">
                  {mark.name} <span className="text-[12.5px] font-normal text-muted">{mark.target}</span>
                </span>
                <span className="figure text-[17px]">{mark.figure}</span>
                <span className={VERDICT_TEXT[mark.verdict]}>{mark.says}</span>
                <span className="text-[12.5px] text-muted">{mark.reason}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {figures.curve.length > 1 && <ProofCurve curve={figures.curve} dyno={figures.dyno} />}
      <ProofLists figures={figures} />
      <footer className="mt-4 border-t border-dashed border-edge pt-2 text-[12.5px] text-muted">
        Record {(seal ?? stage).id.slice(0, 8)}
        {seal ? ', kept as it was signed' : ', not signed'}. Computed, not certified: the organiser’s
        scrutineers decide.
      </footer>
    </article>
  )
}
