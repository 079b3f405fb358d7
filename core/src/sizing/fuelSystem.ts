import { bisect } from '../numeric/bisect'
import { bsfcOn, fuelBlend } from './fuelBlend'
import { lineLoss, pumpFlow, type PumpCurve } from './fuelPump'
import { injectorNeed, type Injectors } from './injectors'

/** What feeds the engine. SI. */
export interface FuelSystem {
  readonly injectors: Injectors
  readonly pumps: readonly { readonly name: string; readonly count: number; readonly curve: PumpCurve }[]
  /** At the pumps under load. */
  readonly voltage: number
  /** Rail over manifold (referenced) or over the outside air. */
  readonly railPressure: number
  readonly regulator: 'referenced' | 'fixed'
  readonly lineBore: number
  readonly lineLength: number
  /** Share of pump flow kept in hand. */
  readonly spare: number
}

/** The engine at the power that is asked of it. */
export interface FuelDemand {
  /** At the crank, W. */
  readonly power: number
  /** Manifold over the outside air, Pa; below 0 for vacuum. */
  readonly boost: number
  readonly speed: number
  /** Ethanol by volume. */
  readonly ethanol: number
  /** Brake specific fuel consumption on petrol, kg/J. */
  readonly bsfc: number
}

/**
 * What all pumps give together against a pressure, m³/s.
 *
 * @param pressure that they work against, Pa
 * @throws {RangeError} as {@link pumpFlow} does
 * @source pumps beside each other: flows add
 * @example flowOfPumps(system, 3e5) > flowOfPumps(system, 5e5) // true
 */
export const flowOfPumps = ({ pumps, voltage }: FuelSystem, pressure: number): number =>
  pumps.reduce((sum, pump) => sum + pump.count * pumpFlow(pump.curve, pressure, voltage), 0)

export type FuelLink = 'injectors' | 'pumps'
export interface FuelSizing {
  /** kg/s and m³/s */
  readonly fuelMass: number
  readonly fuelVolume: number
  readonly pressureAcrossInjector: number
  /** That the pumps work against, line included. */
  readonly pumpPressure: number
  readonly lineLoss: number
  readonly duty: number
  readonly injectorFlowNeeded: number
  /** All pumps together at that pressure, m³/s. */
  readonly pumpFlow: number
  /** Crank power that each supports, W. */
  readonly supports: Readonly<Record<FuelLink, number>>
  readonly limit: FuelLink
  readonly enough: boolean
}

const POWERS_TRIED = 48

/**
 * Sizes a fuel system for a power on a fuel: what flows, what that asks of injectors and pumps, and the power
 * that each of them supports.
 *
 * @throws {RangeError} as {@link injectorNeed} and {@link pumpFlow} do
 * @source fuel = power · BSFC; BSFC by equal heat; the rest in {@link injectorNeed}, {@link pumpFlow}
 * @example sizeFuel(system, { power: 300e3, boost: 1.2e5, speed: 730, ethanol: 0.79, bsfc: 84.5e-9 }).limit
 */
export function sizeFuel(system: FuelSystem, demand: FuelDemand): FuelSizing {
  const { density } = fuelBlend(demand.ethanol)
  const bsfc = bsfcOn(demand.ethanol, demand.bsfc)
  const fuelMass = demand.power * bsfc
  const across = system.regulator === 'referenced' ? system.railPressure : system.railPressure - demand.boost
  if (!(across > 0))
    throw new RangeError(
      'boost is as high as the rail pressure: no fuel flows. Reference the regulator or raise it',
    )
  const rail = across + demand.boost
  const injectors = injectorNeed(system.injectors, fuelMass, density, across, demand.speed)
  const givenAt = (volume: number) => {
    const loss = lineLoss(volume, system.lineBore, system.lineLength, density)
    const flow = flowOfPumps(system, rail + loss)
    return { loss, flow }
  }
  const fuelVolume = fuelMass / density
  const { loss, flow } = givenAt(fuelVolume)
  // What goes through the line sets the pressure that the pumps see, so the most they give is searched for.
  const most = flowOfPumps(system, 0) * 1.5
  const { low } = bisect((asked) => givenAt(asked).flow * (1 - system.spare) >= asked, 0, most, POWERS_TRIED)
  const supports = { injectors: injectors.most / bsfc, pumps: (low * density) / bsfc }
  const limit: FuelLink = supports.injectors <= supports.pumps ? 'injectors' : 'pumps'
  return {
    fuelMass,
    fuelVolume,
    pressureAcrossInjector: across,
    pumpPressure: rail + loss,
    lineLoss: loss,
    duty: injectors.duty,
    injectorFlowNeeded: injectors.flowNeeded,
    pumpFlow: flow,
    supports,
    limit,
    enough: supports[limit] >= demand.power,
  }
}

/**
 * What to change for the system to reach the power, each change by itself, in plain figures.
 *
 * @returns nothing when it reaches it as it is
 * @example whatToChange(system, demand)[0] // { link: 'injectors', flow: 9.78e-6, … }
 */
export function whatToChange(
  system: FuelSystem,
  demand: FuelDemand,
): (
  | { readonly link: 'injectors'; readonly flow: number; readonly railPressure: number | null }
  | {
      readonly link: 'pumps'
      readonly flowShort: number
      readonly pumpPressure: number
      readonly oneMore: boolean
    }
  | { readonly link: 'fuel'; readonly supports: number }
)[] {
  const now = sizeFuel(system, demand)
  if (now.enough) return []
  const changes: ReturnType<typeof whatToChange> = []
  if (now.supports.injectors < demand.power) {
    // Flow goes with the root, so pressure goes with the square of what is short.
    const pressure = now.pressureAcrossInjector * (now.injectorFlowNeeded / system.injectors.flow) ** 2
    const rail = system.regulator === 'referenced' ? pressure : pressure + demand.boost
    const reaches =
      rail <= 6e5 &&
      sizeFuel({ ...system, railPressure: rail }, demand).supports.injectors >= demand.power * 0.999
    changes.push({ link: 'injectors', flow: now.injectorFlowNeeded, railPressure: reaches ? rail : null })
  }
  if (now.supports.pumps < demand.power) {
    const [first, ...rest] = system.pumps
    const more = first ? [{ ...first, count: first.count + 1 }, ...rest] : []
    changes.push({
      link: 'pumps',
      flowShort: now.fuelVolume / (1 - system.spare) - now.pumpFlow,
      pumpPressure: now.pumpPressure,
      oneMore: more.length > 0 && sizeFuel({ ...system, pumps: more }, demand).supports.pumps >= demand.power,
    })
  }
  if (demand.ethanol > 0.1) {
    const petrol = sizeFuel(system, { ...demand, ethanol: 0.05 })
    changes.push({ link: 'fuel', supports: petrol.supports[petrol.limit] })
  }
  return changes
}
