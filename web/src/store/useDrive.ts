import type { Drive } from '@bold-ballast/contract'
import { useCarried } from './useCarried'

/** Gears, grip and drag as they are at this stage; null while nobody has typed them. */
export const useDrive = (): Drive | null => useCarried('drivetrain').record?.drive ?? null
