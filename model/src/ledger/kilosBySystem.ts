import type { Line } from '@bold-ballast/contract'
import { kilosOf } from '@bold-ballast/core'

/** What the lines of one system took off and put on. */
export interface SystemKilos {
  readonly system: Line['system']
  readonly kilos: ReturnType<typeof kilosOf>
}

/**
 * Which systems the kilos came from, what lost most first.
 *
 * @param lines as they count
 * @param height of the centre of mass, m, that they are seen from
 * @example kilosBySystem(document.lines, 0.5).length // 1
 */
export function kilosBySystem(lines: readonly Line[], height: number): SystemKilos[] {
  const bySystem = new Map<Line['system'], Line[]>()
  for (const line of lines) bySystem.set(line.system, [...(bySystem.get(line.system) ?? []), line])
  return [...bySystem]
    .map(([system, of]) => ({ system, kilos: kilosOf(of, height) }))
    .sort((a, b) => a.kilos.net.value - b.kilos.net.value)
}
