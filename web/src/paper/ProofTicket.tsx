import { CORNER_WORDS, type SealedFigures } from '@bold-ballast/contract'
import { CORNERS, formatKnown, formatQuantity, preferredUnit, type UnitPreferences } from '@bold-ballast/core'
import { ticketRows } from './ticketRows'

/** The weighing that a stage stands on, as it was read. */
export function ProofTicket({
  ticket,
  units,
}: {
  ticket: NonNullable<SealedFigures['ticket']>
  units: UnitPreferences
}) {
  const mass = preferredUnit('mass', units)
  const { corners } = ticket
  return (
    <section aria-label="Weigh ticket" className="mt-4 break-inside-avoid" data-testid="proof-ticket">
      <h3 className="text-[19px]">Weigh ticket</h3>
      <p className="text-[12.5px] text-muted">
        {ticket.date}, {ticket.method}
      </p>
      <div className="mt-1 grid gap-x-8 @xl:grid-cols-2">
        {corners && (
          <dl className="grid grid-cols-2 gap-2 self-start">
            {CORNERS.map((corner) => (
              <div key={corner} className="border border-line px-2 py-1">
                <dt className="text-[12.5px] text-muted">{CORNER_WORDS[corner]}</dt>
                <dd className="figure text-[19px]">{formatQuantity(corners[corner], mass)}</dd>
              </div>
            ))}
          </dl>
        )}
        <ul className="self-start">
          {ticketRows(ticket, units).map(({ what, known, unit }) => {
            const { figure, spread, unit: symbol } = formatKnown(known.value, known.sigma, unit)
            return (
              <li key={what} className="flex justify-between gap-3 border-b border-line py-0.5">
                <span>{what}</span>
                <span className="figure">
                  {figure} ±{spread} {symbol}
                </span>
              </li>
            )
          })}
          <li className="py-0.5 text-[12.5px] text-muted">{ticket.books}</li>
        </ul>
      </div>
    </section>
  )
}
