import type { PassAdded } from '@bold-ballast/contract'
import { format, parseISO } from 'date-fns'
import { QrCode } from '../paper/QrCode'
import { Button } from '../ui/Button'
import { SideSheet } from '../ui/SideSheet'
import { toast } from '../ui/toast'

/** A link that was made just now: it is said here once, and nowhere again. */
export function PassLink({
  title,
  says,
  pass,
  onClose,
}: {
  title: string
  says: string
  pass: PassAdded
  onClose: () => void
}) {
  const link = `${location.origin}/join/${pass.token}`
  return (
    <SideSheet open onClose={onClose} title={title}>
      <div className="flex flex-col items-start gap-3" data-testid="pass-made">
        <p>
          {says} It works once, until {format(parseISO(pass.endsAt), 'd MMMM, HH:mm')}, and is shown only now.
        </p>
        <p className="w-full rounded-[3px] border border-edge bg-panel p-2 break-all" data-testid="pass-link">
          {link}
        </p>
        <QrCode text={link} label={`Leads to ${link}`} size={168} />
        <p className="flex gap-2">
          <Button
            look="main"
            onClick={() => void navigator.clipboard.writeText(link).then(() => toast('Link copied.'))}
          >
            Copy the link
          </Button>
          <Button onClick={onClose}>Done</Button>
        </p>
      </div>
    </SideSheet>
  )
}
