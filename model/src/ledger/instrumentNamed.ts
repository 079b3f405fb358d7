import { isSameName, USUAL_BETWEEN_DAYS, USUAL_OWN_ERROR, type InstrumentKind } from '@bold-ballast/core'
import type { DynoDay, Instrument } from '@bold-ballast/contract'

/**
 * The instrument of a name, see `isSameName`.
 *
 * @param kinds that it may be of
 * @returns null for no name, or one that nobody noted
 * @example instrumentNamed(document.instruments, 'Yard hubs', ['dyno'])?.ownError
 */
export function instrumentNamed<T extends Pick<Instrument, 'name' | 'kind'>>(
  instruments: readonly T[],
  name: string,
  kinds: readonly InstrumentKind[],
): T | null {
  if (name.trim() === '') return null
  return instruments.find((i) => kinds.includes(i.kind) && isSameName(i.name, name)) ?? null
}

/** What the dyno of a day is off by: its own error and between days, as shares; what is usual where nobody noted it. */
export function dynoErrors(
  instruments: readonly Instrument[],
  day: Pick<DynoDay, 'dyno'>,
): { readonly ownError: number; readonly betweenDays: number } {
  const dyno = instrumentNamed(instruments, day.dyno, ['dyno'])
  return {
    ownError: dyno?.ownError ?? USUAL_OWN_ERROR.dyno,
    betweenDays: dyno?.betweenDays ?? USUAL_BETWEEN_DAYS,
  }
}
