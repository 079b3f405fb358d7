/** The mark of the house: three plates, stacked. */
export function Plates() {
  return (
    <svg width="16" height="22" aria-hidden className="shrink-0">
      <g fill="#C9CF7A">
        <rect width="16" height="6" y="0" />
        <rect width="16" height="6" y="8" />
        <rect width="16" height="6" y="16" />
      </g>
    </svg>
  )
}
