import type * as Sonner from 'sonner'
import { useEffect, useState } from 'react'
import { useAppSelector } from '../store/store'
import { showToastsBy } from './toast'

/** At the foot of the page; what was not taken stands there too, and is never covered. */
const usePosition = (): 'bottom-right' | 'top-right' => {
  const isTaken = useAppSelector(({ outbox }) => outbox.refused.length + outbox.refusedFiles.length > 0)
  return isTaken ? 'top-right' : 'bottom-right'
}

/** Left of a side sheet, as long as there is room for it. */
const BESIDE = 'max(24px, min(calc(var(--sheet, 0px) + 24px), calc(100vw - 380px)))'

/** Shows what is said in passing. Nothing of it is needed for the first picture of a page, so it comes after that. */
export function Toasts() {
  const [sonner, setSonner] = useState<typeof Sonner | null>(null)
  const position = usePosition()
  useEffect(() => void import('sonner').then(setSonner), [])
  useEffect(() => {
    if (sonner) showToastsBy(({ says, kind }) => sonner.toast[kind](says))
  }, [sonner])
  return (
    sonner && (
      <sonner.Toaster
        position={position}
        // Beside a sheet that is open, never over its button: one that the pointer rests on stays.
        offset={{ bottom: 24, top: 64, right: BESIDE }}
        // Above the rooms at the foot of a phone.
        mobileOffset={{ bottom: 64, top: 64 }}
        toastOptions={{
          style: {
            background: 'var(--panel)',
            color: 'var(--ink)',
            border: '1px solid var(--edge)',
            fontFamily: 'Barlow',
          },
        }}
      />
    )
  )
}
