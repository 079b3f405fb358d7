import type { SealedFigures } from '@bold-ballast/contract'
import type { UnitPreferences } from '@bold-ballast/core'
import { format, parseISO } from 'date-fns'
import type { ReactNode } from 'react'
import { VERDICT_TEXT } from '../ui/PlumbBar'
import { ProofCurve } from './ProofCurve'
import { ProofLists } from './ProofLists'
import { ProofTicket } from './ProofTicket'
import { QrCode } from './QrCode'
import { describeExpectedWrong, type DifferingFigure } from '@bold-ballast/words'
import { MovedSince } from './MovedSince'

export interface Paper {
  readonly build: string
  readonly stage: string
  /** Which stage it is, counted from 1. */
  readonly place: number
  readonly figures: SealedFigures
  readonly signed: { readonly at: string; readonly author: string } | null
  /** What leads back to the record: typed, and scanned. */
  readonly code: string
  readonly link: string
  readonly units: UnitPreferences
  /** What the records say otherwise today than it was signed with. */
  readonly moved?: readonly DifferingFigure[]
}

export const whenSigned = ({ signed }: Pick<Paper, 'signed'>): string =>
  signed
    ? `Signed ${format(parseISO(signed.at), 'd MMMM yyyy, HH:mm')} by ${signed.author}`
    : `Not signed, ${format(new Date(), 'd MMMM yyyy')}`
export const DISCLAIMER = 'Computed, not certified: the organiser’s scrutineers decide.'

/** A proof sheet, set like a printed ticket: as it stands now, as it was signed, or as it was shared. */
export function ProofPaper({ paper, back }: { paper: Paper; back?: ReactNode }) {
  const { build, stage, place, figures, units } = paper
  const byChance = describeExpectedWrong(figures)
  return (
    <article
      aria-label={`${build}, ${stage}`}
      data-testid="proof-sheet"
      className="@container max-w-[860px] border border-edge bg-panel px-6 py-5 [border-image:repeating-linear-gradient(90deg,var(--edge)_0_6px,transparent_6px_10px)_1] max-sm:px-3 print:max-w-none print:border-0 print:bg-transparent print:p-0"
    >
      <header className="!flex flex-wrap items-baseline justify-between gap-2 border-b border-dashed border-edge pb-2">
        <h2 className="text-[26px]">
          {build}, stage {place}: {stage}
        </h2>
        <span className="text-muted">{whenSigned(paper)}</span>
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
        <section aria-label="Marks" className="mt-4">
          <h3 className="text-[19px]">Marks</h3>
          <ul>
            {figures.marks.map((mark, i) => (
              <li
                key={i}
                className="grid break-inside-avoid items-baseline gap-x-4 border-b border-line py-1 @2xl:grid-cols-[170px_120px_110px_minmax(180px,1fr)]"
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
          {byChance && <p className="mt-1 text-[12.5px] text-muted">{byChance}</p>}
        </section>
      )}
      {figures.ticket && <ProofTicket ticket={figures.ticket} units={units} />}
      {figures.curve.length > 1 && (
        <ProofCurve
          curve={figures.curve}
          dyno={figures.dyno}
          units={units}
          filename={`${build} ${stage} curve`}
        />
      )}
      <ProofLists figures={figures} units={units} />
      {paper.moved && paper.moved.length > 0 && <MovedSince moved={paper.moved} />}
      <footer className="mt-4 flex items-end justify-between gap-4 border-t border-dashed border-edge pt-2 text-[12.5px] text-muted">
        <span>
          Record <b className="figure text-[15px] text-ink">{paper.code}</b>
          {paper.signed ? ', kept as it was signed' : ', not signed'}. {DISCLAIMER}
          {back && <span className="block">{back}</span>}
        </span>
        <QrCode text={paper.link} label={`Leads to ${paper.link}`} />
      </footer>
    </article>
  )
}
