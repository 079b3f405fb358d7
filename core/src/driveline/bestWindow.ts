import type { DriftWindow } from './driftWindow'

/** A gear that holds the slide, and between which road speeds, m/s. */
export interface HeldWindow {
  readonly gear: number
  readonly window: readonly [number, number]
}

/**
 * The gear whose window is of most use, and the one that holds the slide over a whole layout.
 *
 * @param layout road speeds that the layout is entered and left at, m/s; `null` where none is known
 * @returns the widest window, or the one with most of the layout in it, `null` where no gear holds a slide; and the first
 *   gear that covers the layout, `null` for none
 * @source definition
 * @example bestWindow([{ gear: 2, window: [20, 30], margin: 2, breaksLoose: 2, lower: 'boost', upper: 'limiter' }], null).best?.gear // 2
 */
export function bestWindow(
  windows: readonly DriftWindow[],
  layout: { readonly entry: number; readonly exit: number } | null,
): { readonly best: HeldWindow | null; readonly covering: HeldWindow | null } {
  const held = windows.flatMap(({ gear, window }): HeldWindow[] => (window ? [{ gear, window }] : []))
  const used = ({ window: [from, to] }: HeldWindow) =>
    Math.min(to, layout?.entry ?? Infinity) - Math.max(from, layout?.exit ?? 0)
  const best = held.reduce<HeldWindow | null>((a, w) => (!a || used(w) > used(a) ? w : a), null)
  const covering =
    (layout && held.find(({ window: [from, to] }) => from <= layout.exit && to >= layout.entry)) ?? null
  return { best, covering }
}
