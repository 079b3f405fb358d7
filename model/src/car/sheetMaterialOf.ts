import { SHEETS, USUAL_CORE_SHEAR, type SheetMaterial } from '@bold-ballast/core'
import type { AeroElement, SheetStock } from '@bold-ballast/contract'

/** A sheet of the build's own as a material. */
export const stockMaterial = (stock: SheetStock): SheetMaterial => ({
  thicknesses: stock.thicknesses,
  across: stock.across,
  price: stock.price,
  // A sandwich has its skin and its core: its record is checked for them.
  build:
    stock.build === 'solid' || stock.skin === null || stock.coreDensity === null
      ? { kind: 'solid', stiffness: stock.stiffness, strength: stock.strength, density: stock.density }
      : {
          kind: 'sandwich',
          skin: stock.skin,
          stiffness: stock.stiffness,
          strength: stock.strength,
          skinDensity: stock.density,
          coreDensity: stock.coreDensity,
          coreShear: stock.coreShear ?? USUAL_CORE_SHEAR,
        },
})

/** What a panel is cut from: the build's own sheet where it names one that is still there, else the usual one. */
export function sheetMaterialOf(
  { sheet, stockId }: Pick<NonNullable<AeroElement['panel']>, 'sheet' | 'stockId'>,
  stocks: readonly SheetStock[],
): SheetMaterial {
  const own = stocks.find((s) => s.id === stockId)
  return own ? stockMaterial(own) : SHEETS[sheet]
}
