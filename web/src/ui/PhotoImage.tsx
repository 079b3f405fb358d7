import { useState } from 'react'

/** A photograph where there is one, and nothing where there is none. */
export function PhotoImage({
  src,
  alt,
  className,
  onThere,
}: {
  src: string
  alt: string
  className: string
  onThere?: (isThere: boolean) => void
}) {
  const [isThere, setThere] = useState(false)
  const say = (is: boolean) => {
    setThere(is)
    onThere?.(is)
  }
  return (
    <img
      src={src}
      alt={alt}
      hidden={!isThere}
      onLoad={() => say(true)}
      onError={() => say(false)}
      className={`rounded-[3px] border border-line object-contain ${className}`}
    />
  )
}
