/** A sheet as a plate: how stiff and how strong it is by its thickness. SI, by generic names. */
export interface SheetMaterial {
  /** Thicknesses it comes in, m. */
  readonly thicknesses: readonly number[]
  /** Solid all through, or two skins on a core that carries only shear. */
  readonly build:
    | {
        readonly kind: 'solid'
        readonly stiffness: number
        readonly strength: number
        readonly density: number
      }
    | {
        readonly kind: 'sandwich'
        readonly skin: number
        readonly stiffness: number
        readonly strength: number
        readonly skinDensity: number
        readonly coreDensity: number
        /** Shear modulus of the core, Pa. */
        readonly coreShear: number
      }
  /** Stiffness and strength across the grain or the flutes, over those along; 1 for the same both ways. */
  readonly across: number
  /** For a square metre: what it costs before thickness counts, and for each mm of it; of usual sheets about so many EUR. */
  readonly price: { readonly base: number; readonly perMillimetre: number }
}

export const SHEET_NAMES = ['plywood', 'abs', 'corrugated', 'aluminium', 'carbon', 'honeycomb'] as const
export type SheetName = (typeof SHEET_NAMES)[number]

/** Shear modulus of a fluted plastic core or a plain foam, Pa, where nobody says another (common practice). */
export const USUAL_CORE_SHEAR = 20e6

/** Poisson's ratio that the tables are for. */
export const POISSON = 0.3

/**
 * Sheets that splitters and floors are made of: usual figures for generic materials, common practice; a maker's sheet
 * goes before them.
 */
export const SHEETS: Readonly<Record<SheetName, SheetMaterial>> = {
  plywood: {
    thicknesses: [0.009, 0.012, 0.015, 0.018],
    across: 0.6,
    build: { kind: 'solid', stiffness: 9e9, strength: 45e6, density: 680 },
    price: { base: 8, perMillimetre: 2.4 },
  },
  abs: {
    thicknesses: [0.006, 0.008, 0.01],
    across: 1,
    build: { kind: 'solid', stiffness: 2.2e9, strength: 40e6, density: 1050 },
    price: { base: 4, perMillimetre: 7 },
  },
  corrugated: {
    thicknesses: [0.006, 0.01],
    across: 0.45,
    build: {
      kind: 'sandwich',
      skin: 0.0003,
      stiffness: 70e9,
      strength: 110e6,
      skinDensity: 2700,
      coreDensity: 260,
      coreShear: USUAL_CORE_SHEAR,
    },
    price: { base: 30, perMillimetre: 2.5 },
  },
  aluminium: {
    thicknesses: [0.003, 0.004, 0.005],
    across: 1,
    build: { kind: 'solid', stiffness: 70e9, strength: 240e6, density: 2700 },
    price: { base: 5, perMillimetre: 22 },
  },
  carbon: {
    thicknesses: [0.004, 0.005, 0.006],
    across: 1,
    build: { kind: 'solid', stiffness: 50e9, strength: 350e6, density: 1550 },
    price: { base: 60, perMillimetre: 85 },
  },
  honeycomb: {
    thicknesses: [0.012, 0.019, 0.025],
    across: 1,
    build: {
      kind: 'sandwich',
      skin: 0.0008,
      stiffness: 50e9,
      strength: 250e6,
      skinDensity: 1550,
      coreDensity: 60,
      coreShear: 30e6,
    },
    price: { base: 260, perMillimetre: 5 },
  },
}

/** In which money the usual sheets have their prices, whatever a build reckons in. */
export const USUAL_SHEET_CURRENCY = 'EUR'

/** What a square metre of a sheet costs at a thickness, in whatever money its price is. */
export const sheetPrice = ({ price }: SheetMaterial, thickness: number): number =>
  price.base + price.perMillimetre * thickness * 1000

export interface Plate {
  /** Bending stiffness of a strip, N·m. */
  readonly rigidity: number
  /** Bending moment that a strip bears, N·m for each m of its width. */
  readonly moment: number
  /** Shear stiffness of a strip, N for each m of its width: a soft core gives way; Infinity for a solid sheet. */
  readonly shear: number
  /** kg/m² */
  readonly areaDensity: number
}

/** How sheets lie: with the grain across the short span, along it, or two of half the thickness crossed. */
export const LAYS = ['strong', 'weak', 'crossed'] as const
export type Lay = (typeof LAYS)[number]

/**
 * A sheet of a thickness as a plate.
 *
 * @throws {RangeError} for a thickness that is not above zero, or not above the skins of a sandwich
 * @source solid: D = E·t³/12(1 − ν²), m = σ·t²/6; sandwich: D = E·s·d²/2(1 − ν²), m = σ·s·d with d from skin to skin
 * (thin skins; plate theory), U = G·d²/c with c the core's thickness (Allen, Analysis and Design of Structural
 * Sandwich Panels, chapter 2). Two crossed layers, bonded, take the mean of both ways.
 * @example plateOf(SHEETS.aluminium, 0.004).rigidity // 410
 */
export function plateOf(material: SheetMaterial, thickness: number, lay: Lay = 'strong'): Plate {
  const { build, across } = material
  const by = lay === 'strong' ? 1 : lay === 'weak' ? across : (1 + across) / 2
  if (!(thickness > 0)) throw new RangeError('a thickness is above zero')
  if (build.kind === 'solid') {
    return {
      rigidity: (by * build.stiffness * thickness ** 3) / (12 * (1 - POISSON ** 2)),
      moment: (by * build.strength * thickness ** 2) / 6,
      shear: Infinity,
      areaDensity: build.density * thickness,
    }
  }
  const between = thickness - build.skin
  if (!(between > build.skin)) throw new RangeError('a sandwich is thicker than its skins')
  return {
    rigidity: (by * build.stiffness * build.skin * between ** 2) / (2 * (1 - POISSON ** 2)),
    moment: by * build.strength * build.skin * between,
    shear: (build.coreShear * between ** 2) / (thickness - 2 * build.skin),
    areaDensity: 2 * build.skin * build.skinDensity + (thickness - 2 * build.skin) * build.coreDensity,
  }
}
