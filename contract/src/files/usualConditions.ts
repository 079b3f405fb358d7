import type { Build, Condition, Load } from '../records/kinds'

/**
 * Loads and conditions to start from: coolant and engine oil, and the five conditions that builders speak of.
 *
 * @param newId makes an id; handed in, because nothing here reads a random source
 */
export function usualConditions(
  build: Pick<Build, 'wheelbase' | 'driverMass' | 'reference'>,
  newId: () => string,
): { loads: Omit<Load, 'version'>[]; conditions: Omit<Condition, 'version'>[] } {
  const fluid = (name: string, density: number, litres: number, along: number, order: number) => ({
    id: newId(),
    name,
    kind: 'fluid' as const,
    density,
    capacity: litres / 1000,
    mass: null,
    base: 1,
    order,
    position: { x: along * build.wheelbase, y: 0, z: 0.45 },
  })
  const loads = [fluid('Coolant', 1050, 7, -0.1, 0), fluid('Engine oil', 870, 5, 0.05, 1)]
  const full = Object.fromEntries(loads.map((l) => [l.id, 1]))
  const empty = Object.fromEntries(loads.map((l) => [l.id, 0]))
  const { driverMass } = build
  const usual = [
    { name: 'Dry', fuel: 0, driver: 0, amounts: empty },
    { name: 'Wet', fuel: build.reference.fuel, driver: 0, amounts: full },
    { name: 'Race start', fuel: 0.025, driver: driverMass, amounts: full },
    { name: 'End of race', fuel: 0.005, driver: driverMass, amounts: full },
    { name: 'As the class weighs it', fuel: 0.005, driver: driverMass, amounts: full },
  ]
  return { loads, conditions: usual.map((condition, order) => ({ ...condition, id: newId(), order })) }
}
