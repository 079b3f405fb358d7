import { useEffect, useState } from 'react'
import { digestIn } from '../store/seenFiles'

/** What is at an address, as one that can be shown; null where there is none. */
function useFetched(src: string, onSeen: ((sha256: string | null) => void) | undefined): string | null {
  const [shown, setShown] = useState<string | null>(null)
  useEffect(() => {
    if (!onSeen) return
    const stop = new AbortController()
    let made: string | null = null
    const look = async () => {
      const answer = await fetch(src, { signal: stop.signal })
      onSeen(digestIn(answer))
      if (answer.status !== 200) return
      const picture = await answer.blob()
      if (stop.signal.aborted) return
      made = URL.createObjectURL(picture)
      setShown(made)
    }
    look().catch(() => undefined)
    return () => {
      stop.abort()
      if (made) URL.revokeObjectURL(made)
    }
  }, [src, onSeen])
  return onSeen ? shown : src
}

/** A photograph where there is one, and nothing where there is none. */
export function PhotoImage({
  src,
  alt,
  className,
  onThere,
  onSeen,
}: {
  src: string
  alt: string
  className: string
  onThere?: (isThere: boolean) => void
  /** Hears the SHA-256 of what the server has, null for none: for one that may be replaced here. */
  onSeen?: ((sha256: string | null) => void) | undefined
}) {
  const [isThere, setThere] = useState(false)
  const shown = useFetched(src, onSeen)
  const say = (is: boolean) => {
    setThere(is)
    onThere?.(is)
  }
  return (
    <img
      src={shown ?? undefined}
      alt={alt}
      hidden={!isThere}
      onLoad={() => say(true)}
      onError={() => say(false)}
      className={`rounded-[3px] border border-line object-contain ${className}`}
    />
  )
}
