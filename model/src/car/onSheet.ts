import type { AeroElement, Build, Drive, Setup } from '@bold-ballast/contract'
import { atAngle, mean } from '@bold-ballast/core'

/** Gears with the grip of the driven tyres that the set-up sheet names, where it says one. */
export function onSheetsTyres(drive: Drive, layout: Build['layout'], setup: Setup | null): Drive {
  if (!setup) return drive
  const { front, rear } = setup.tyres
  const driven = layout === 'front' ? [front.grip] : layout === 'rear' ? [rear.grip] : [front.grip, rear.grip]
  const said = driven.filter((grip) => grip !== null)
  return said.length === driven.length ? { ...drive, grip: mean(said) } : drive
}

/** A wing in the hole that the set-up sheet says. */
export function onSheetsHole(element: AeroElement, setup: Setup | null): AeroElement {
  const angle = setup?.wings.find((w) => w.elementId === element.id)?.angle ?? null
  return angle === null || !element.wing ? element : (atAngle(element, angle) as AeroElement)
}
