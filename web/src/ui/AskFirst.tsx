import { AlertDialog } from 'radix-ui'
import type { ReactNode } from 'react'
import { Button } from './Button'

export interface AskFirstProps {
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
  readonly title: string
  readonly children: ReactNode
  /** A way out that keeps what would be lost. */
  readonly instead?: ReactNode
  /** What is done, and what isn't, in words. */
  readonly yes?: string
  readonly no?: string
  readonly onYes: () => void
}

/** The question before a removal that undo can't, or can't for long, bring back. Everything else is just undone. */
export function AskFirst({
  open,
  onOpenChange,
  title,
  children,
  instead,
  yes = 'Delete it',
  no = 'Keep it',
  onYes,
}: AskFirstProps) {
  return (
    <AlertDialog.Root open={open} onOpenChange={onOpenChange}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-rail/60" />
        <AlertDialog.Content className="fixed top-1/3 left-1/2 z-50 w-[min(440px,calc(100vw-2rem))] -translate-x-1/2 rounded-[4px] border border-edge bg-panel p-5">
          <AlertDialog.Title className="text-[20px]">{title}</AlertDialog.Title>
          <AlertDialog.Description className="my-3 text-muted">{children}</AlertDialog.Description>
          <div className="flex flex-wrap gap-2">
            <AlertDialog.Cancel asChild>
              <Button>{no}</Button>
            </AlertDialog.Cancel>
            {instead}
            <AlertDialog.Action asChild>
              <Button look="danger" onClick={onYes}>
                {yes}
              </Button>
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  )
}
