import type { BuildFile } from '@bold-ballast/contract'
import type { ShopData } from './ShopData'

type Line = BuildFile['lines'][number]

/** Lines with what became of what came off. */
export const afterwards = (lines: readonly Line[], store: ShopData['store'] = {}): Line[] =>
  lines.map((line) => {
    const known = line.kind === 'off' ? store[line.name] : undefined
    if (!known) return line
    const [fate] = known
    return {
      ...line,
      fate,
      liesAt: known[0] === 'stored' ? known[1] : '',
      soldFor: known[0] === 'sold' ? known[1] : null,
    }
  })
