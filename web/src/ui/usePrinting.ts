import { useEffect, useState } from 'react'
import { flushSync } from 'react-dom'

/** True while the page is being printed, from before the browser looks at it. */
export function usePrinting(): boolean {
  const [isPrinting, setPrinting] = useState(false)
  useEffect(() => {
    // The browser takes the page as it stands when the event is over.
    const before = () => flushSync(() => setPrinting(true))
    const after = () => flushSync(() => setPrinting(false))
    window.addEventListener('beforeprint', before)
    window.addEventListener('afterprint', after)
    return () => {
      window.removeEventListener('beforeprint', before)
      window.removeEventListener('afterprint', after)
    }
  }, [])
  return isPrinting
}
