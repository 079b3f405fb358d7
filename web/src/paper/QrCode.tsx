import encode from 'qr'
import { useMemo } from 'react'

/** Modules of quiet around a code, so that a reader finds it. */
const QUIET = 4

/** The modules of a QR code, row by row; true is dark. */
export const qrModules = (text: string): boolean[][] => encode(text, 'raw', { ecc: 'medium', border: QUIET })

/** A QR code: dark on light in both themes, because readers expect it so. */
export function QrCode({ text, label, size = 84 }: { text: string; label: string; size?: number }) {
  const modules = useMemo(() => qrModules(text), [text])
  const path = modules
    .flatMap((row, y) => row.flatMap((dark, x) => (dark ? [`M${x} ${y}h1v1h-1z`] : [])))
    .join('')
  return (
    <svg
      role="img"
      aria-label={label}
      data-testid="qr"
      width={size}
      height={size}
      viewBox={`0 0 ${modules.length} ${modules.length}`}
      shapeRendering="crispEdges"
      className="shrink-0"
    >
      <rect width={modules.length} height={modules.length} fill="#fff" />
      <path d={path} fill="#000" />
    </svg>
  )
}
