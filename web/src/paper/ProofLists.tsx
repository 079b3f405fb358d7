import type { SealedFigures } from '@bold-ballast/contract'
import {
  formatFigure,
  formatNumber,
  formatQuantity,
  preferredUnit,
  type UnitPreferences,
} from '@bold-ballast/core'
import type { ReactNode } from 'react'
import { VERDICT_TEXT } from '../ui/PlumbBar'

export const LINKS_SHOWN = 5

function List({ title, note, children }: { title: string; note?: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="mt-3 break-inside-avoid">
      <h3 className="text-[19px]">{title}</h3>
      {children}
      {note && <p className="text-[12.5px] text-muted">{note}</p>}
    </section>
  )
}
const ROW = 'flex justify-between gap-3 border-b border-line py-0.5'

/** Gears, weak links, changes since the stage before and open risks, side by side. */
export function ProofLists({ figures, units }: { figures: SealedFigures; units: UnitPreferences }) {
  const { gears, finalDrive, links, changed, risks } = figures
  const mass = preferredUnit('mass', units)
  const velocity = preferredUnit('velocity', units)
  return (
    <div className="grid gap-x-8 @xl:grid-cols-2">
      {gears.length > 0 && (
        <List
          title="Gearing"
          note={`${finalDrive === null ? '' : `Final drive ${formatNumber(finalDrive, 3)}; `}road speed at the limiter.`}
        >
          <ul>
            {gears.map((g, i) => (
              <li key={i} className={ROW}>
                <span>
                  {i + 1} <span className="text-muted">{formatNumber(g.ratio, 3)}</span>
                </span>
                <span className="figure">{formatQuantity(g.speed, velocity, 0)}</span>
              </li>
            ))}
          </ul>
        </List>
      )}
      {links.length > 0 && (
        <List title="Weak links" note="Rating over what is asked of it.">
          <ul>
            {links.slice(0, LINKS_SHOWN).map((link, i) => (
              <li key={i} className={ROW}>
                <span>{link.name}</span>
                <span className={`figure ${VERDICT_TEXT[link.verdict]}`}>{formatNumber(link.margin, 2)}</span>
              </li>
            ))}
          </ul>
        </List>
      )}
      {changed.length > 0 && (
        <List title="Changed since the stage before">
          <ul>
            {changed.map((c, i) => (
              <li key={i} className={ROW}>
                <span>{c.swap}</span>
                <span className="figure">
                  {c.mass > 0 ? '+' : ''}
                  {formatFigure(c.mass, mass)} {mass.symbol}
                </span>
              </li>
            ))}
          </ul>
        </List>
      )}
      <List title="Open risks">
        {risks.length === 0 ? (
          <p className="text-zinc">None that the record knows of.</p>
        ) : (
          <ul className="list-disc pl-5">
            {risks.map((risk) => (
              <li key={risk}>{risk}</li>
            ))}
          </ul>
        )}
      </List>
    </div>
  )
}
