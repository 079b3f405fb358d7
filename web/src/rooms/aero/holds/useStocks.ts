import { type AeroElement, type SheetStock, SHEET } from '@bold-ballast/contract'
import { stockMaterial } from '@bold-ballast/model'
import { SHEET_NAMES, SHEETS, type SheetMaterial, type SheetName, itemWhere } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { SHEET_NOTE } from '@bold-ballast/words'

/** A sheet that panels can be cut from: a usual one, or one that can be had here. */
export interface Stock {
  readonly key: string
  readonly says: string
  readonly note: string
  readonly material: SheetMaterial
  readonly stock: SheetStock | null
}

export const usualKey = (sheet: SheetName): string => `usual ${sheet}`

/** Which of the sheets a panel is cut from. */
export const stockOf = (
  stocks: readonly Stock[],
  { sheet, stockId }: Pick<NonNullable<AeroElement['panel']>, 'sheet' | 'stockId'>,
): Stock =>
  stocks.find((s) => stockId !== null && s.stock?.id === stockId) ??
  itemWhere(stocks, (s) => s.key === usualKey(sheet))

/** Every sheet that can be chosen: those typed for this build first, then the usual ones. */
export function useStocks(): readonly Stock[] {
  const { view } = useBuild()
  return useMemo(() => {
    const own = [...view.sheetStocks].sort((a, b) => a.order - b.order)
    return [
      ...own.map((stock): Stock => ({
        key: stock.id,
        says: stock.name,
        note: stock.note,
        material: stockMaterial(stock),
        stock,
      })),
      ...SHEET_NAMES.map((name): Stock => ({
        key: usualKey(name),
        says: SHEET[name],
        note: SHEET_NOTE[name],
        material: SHEETS[name],
        stock: null,
      })),
    ]
  }, [view.sheetStocks])
}
