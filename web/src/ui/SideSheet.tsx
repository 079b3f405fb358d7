import { X } from 'lucide-react'
import { Dialog } from 'radix-ui'
import { useEffect, useRef, type ReactNode } from 'react'

const WIDTHS = { usual: 430, wide: 540 }

/**
 * A form beside what it changes. It doesn't dim or block the page, and at a bench the page makes room for
 * it (`--sheet`), so that the figure being worked to is never covered.
 */
export function SideSheet({
  open,
  onClose,
  title,
  children,
  wide = false,
}: {
  open: boolean
  onClose: () => void
  title: string
  children: ReactNode
  wide?: boolean
}) {
  const content = useRef<HTMLDivElement>(null)
  const width = WIDTHS[wide ? 'wide' : 'usual']
  useEffect(() => {
    if (!open) return
    document.documentElement.style.setProperty('--sheet', `${width}px`)
    // Charts listen to the window only.
    window.dispatchEvent(new Event('resize'))
    return () => {
      document.documentElement.style.removeProperty('--sheet')
      window.dispatchEvent(new Event('resize'))
    }
  }, [open, width])
  const focusFirstField = (event: Event) => {
    const fields = 'input, select, textarea'
    const start = content.current?.querySelector('[data-start]')
    const field = (start ?? content.current)?.querySelector<HTMLElement>(fields)
    if (!field) return
    event.preventDefault()
    field.focus()
  }
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()} modal={false}>
      <Dialog.Portal>
        <Dialog.Content
          ref={content}
          aria-describedby={undefined}
          style={{ maxWidth: width }}
          onOpenAutoFocus={focusFirstField}
          onInteractOutside={(event) => event.preventDefault()}
          className="fixed top-[52px] right-0 bottom-0 z-30 flex w-full flex-col overflow-y-auto border-l border-edge bg-chalk p-5 shadow-[-8px_0_24px_rgb(0_0_0/0.12)] max-sm:!max-w-full"
        >
          <div className="mb-4 flex items-start justify-between gap-3">
            <Dialog.Title className="text-[24px]">{title}</Dialog.Title>
            <Dialog.Close
              className="inline-flex size-8 shrink-0 items-center justify-center rounded-[3px] border border-edge"
              aria-label="Close"
              title="Key: Esc"
            >
              <X size={16} aria-hidden />
            </Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
