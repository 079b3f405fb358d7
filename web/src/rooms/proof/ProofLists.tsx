import { formatFigure, formatNumber, formatQuantity } from '@bold-ballast/core'
import { useBuild } from '../../store/useBuild'
import { VERDICT_TEXT } from '../../ui/PlumbBar'
import type { Proof } from './useProof'

const LINKS_SHOWN = 5

/** Gears, weak links, changes since the stage before and open risks, side by side. */
export function ProofLists({ proof, risks }: { proof: Proof; risks: readonly string[] }) {
  const { unit } = useBuild()
  const { gears, rungs, changed, car } = proof
  const [mass, speed] = [unit('mass'), unit('velocity')]
  return (
    <div className="grid gap-x-8 @xl:grid-cols-2">
      {gears.length > 0 && (
        <section aria-label="Gearing" className="mt-3 break-inside-avoid">
          <h3 className="text-[19px]">Gearing</h3>
          <ul>
            {gears.map((g, i) => (
              <li key={i} className="flex justify-between border-b border-line py-0.5">
                <span>
                  {i + 1} <span className="text-muted">{formatNumber(g.ratio, 3)}</span>
                </span>
                <span className="figure">{formatQuantity(g.speed, speed, 0)}</span>
              </li>
            ))}
          </ul>
          <p className="text-[12.5px] text-muted">
            Final drive {formatNumber(car!.drive.finalDrive, 3)}; road speed at the limiter.
          </p>
        </section>
      )}
      {rungs.length > 0 && (
        <section aria-label="Weak links" className="mt-3 break-inside-avoid">
          <h3 className="text-[19px]">Weak links</h3>
          <ul>
            {rungs.slice(0, LINKS_SHOWN).map((r) => (
              <li key={r.part.id} className="flex justify-between gap-3 border-b border-line py-0.5">
                <span>{r.part.name}</span>
                <span className={`figure ${VERDICT_TEXT[r.verdict]}`}>{formatNumber(r.margin, 2)}</span>
              </li>
            ))}
          </ul>
          <p className="text-[12.5px] text-muted">Rating over what is asked of it.</p>
        </section>
      )}
      {changed.length > 0 && (
        <section aria-label="Changed" className="mt-3 break-inside-avoid">
          <h3 className="text-[19px]">Changed since the stage before</h3>
          <ul>
            {changed.map(({ entry, mass: kg }) => (
              <li key={entry.swap.id} className="flex justify-between gap-3 border-b border-line py-0.5">
                <span>{entry.swap.name}</span>
                <span className="figure">
                  {kg > 0 ? '+' : ''}
                  {formatFigure(kg, mass)} {mass.symbol}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <section aria-label="Open risks" className="mt-3 break-inside-avoid">
        <h3 className="text-[19px]">Open risks</h3>
        {risks.length === 0 ? (
          <p className="text-zinc">None that the record knows of.</p>
        ) : (
          <ul className="list-disc pl-5">
            {risks.map((risk) => (
              <li key={risk}>{risk}</li>
            ))}
          </ul>
        )}
      </section>
    </div>
  )
}
