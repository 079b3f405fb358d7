import type { PassAdded } from '@bold-ballast/contract'
import { format, parseISO } from 'date-fns'
import { QrCode } from '../paper/QrCode'
import { Button } from '../ui/Button'
import { CopyLink } from '../ui/CopyLink'
import { SideSheet } from '../ui/SideSheet'

/** Where it is opened: by others on the network, or else here. */
export const linkOf = ({ token, origin }: PassAdded): string => `${origin ?? location.origin}/join/${token}`

/** The same for an installation of its own, which is told by it what it may trust. */
export const linkWithTrust = (pass: PassAdded): string =>
  pass.fingerprint === null ? linkOf(pass) : `${linkOf(pass)}#${pass.fingerprint}`

/** Says so where nobody but this machine would find what a link leads to. */
export function OnlyHere({ pass }: { pass: PassAdded }) {
  if (pass.origin !== null) return null
  return (
    <p className="text-[13.5px] text-ochre">
      This link works on this machine only. Open the garage first (under Crew), so that others reach it.
    </p>
  )
}

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
  const link = linkOf(pass)
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
          <CopyLink look="main" link={link} />
          <Button onClick={onClose}>Done</Button>
        </p>
        <OnlyHere pass={pass} />
      </div>
    </SideSheet>
  )
}
