import type { Right } from '@bold-ballast/contract'
import type { ReactNode } from 'react'
import { useMay } from '../store/me'

/** What is there only for those who may do it; to others it would be a button that refuses. */
export function MayOnly({ right, children }: { right: Right; children: ReactNode }) {
  return useMay(right) ? children : null
}
