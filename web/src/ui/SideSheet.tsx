import { X } from 'lucide-react'
import { Dialog } from 'radix-ui'
import type { ReactNode } from 'react'

/**
 * A form beside what it changes. It doesn't dim or block the page, so the figure being worked to stays in
 * view and can be read and scrolled.
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
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()} modal={false}>
      <Dialog.Portal>
        <Dialog.Content
          aria-describedby={undefined}
          onInteractOutside={(event) => event.preventDefault()}
          className={`fixed top-[52px] right-0 bottom-0 z-30 flex w-full flex-col overflow-y-auto border-l border-edge bg-chalk p-5 shadow-[-8px_0_24px_rgb(0_0_0/0.12)] ${wide ? 'sm:w-[620px]' : 'sm:w-[430px]'}`}
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
