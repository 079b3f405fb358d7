import type { ButtonHTMLAttributes } from 'react'

type Look = 'main' | 'plain' | 'quiet' | 'danger'
const LOOKS: Record<Look, string> = {
  main: 'bg-blued text-on-blued border-blued font-medium hover:brightness-110',
  plain: 'bg-panel text-ink border-edge hover:border-blued',
  quiet:
    'border-transparent text-blued font-medium hover:underline aria-pressed:border-blued aria-pressed:bg-panel',
  danger: 'bg-panel text-oxide border-oxide hover:brightness-95',
}

export interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly look?: Look
  /** The key that does the same, shown beside the words. */
  readonly keys?: string
}

export function Button({
  look = 'plain',
  keys,
  className = '',
  children,
  type = 'button',
  ...rest
}: ButtonProps) {
  return (
    <button
      type={type}
      title={keys ? `Key: ${keys}` : undefined}
      className={`inline-flex min-h-8 items-center justify-center gap-2 rounded-[3px] border px-3 py-1 whitespace-nowrap disabled:opacity-50 ${LOOKS[look]} ${className}`}
      {...rest}
    >
      {children}
      {keys && (
        <kbd className="rounded-[3px] border border-current px-1 font-sans text-[11px] opacity-75 max-sm:hidden">
          {keys}
        </kbd>
      )}
    </button>
  )
}
