import type { Drive } from '@bold-ballast/contract'
import { useCar } from './useCar'

/** Gears, grip and drag as they are at this stage; null while nobody has typed them. */
export const useDrive = (): Drive | null => useCar().gears?.value ?? null
