import { itemAt } from '@bold-ballast/core'
import type { Audited } from '@bold-ballast/contract'
import { format, parseISO } from 'date-fns'
import { useState } from 'react'
import { useAuditQuery } from '../store/accessApi'
import { Button } from '../ui/Button'

const WORDS: Readonly<Record<Audited, string>> = {
  signedIn: 'signed in',
  signInFailed: 'was not let in: another password',
  signedOut: 'signed out',
  sessionEnded: 'ended a session',
  passwordChanged: 'changed the password',
  passwordReset: 'chose a new password by a link',
  ownerMade: 'became the first owner',
  invited: 'made a link for',
  invitationWithdrawn: 'withdrew the invitation for',
  joined: 'joined',
  roleChanged: 'changed what somebody is here:',
  memberRemoved: 'sent away',
  paired: 'paired a device',
  exported: 'took out',
  imported: 'brought in',
  shared: 'gave out a link to',
  garageOpened: 'opened the garage',
  garageClosed: 'closed the garage',
}

/** Who came in, and what was taken out; for owners. */
export function Noted() {
  const [pages, setPages] = useState<readonly (string | null)[]>([null])
  const { data } = useAuditQuery(itemAt(pages, -1))
  if (!data) return null
  return (
    <section aria-label="What was noted" className="max-w-[980px]">
      <p className="mb-2 text-muted">
        Who came in, who was let in, and what was taken out. Nobody can change it.
      </p>
      <ol>
        {data.entries.map(({ id, at, who, what, about, address }) => (
          <li key={id} className="flex flex-wrap items-baseline gap-x-4 border-b border-line py-1">
            <span className="w-[150px] text-[13px] text-muted max-md:w-auto">
              {format(parseISO(at), 'd MMM yyyy, HH:mm')}
            </span>
            <span className="min-w-[200px] flex-1 max-md:order-last max-md:basis-full">
              <span className="font-medium">{who || 'Somebody'}</span> {WORDS[what]} {about}
            </span>
            <span className="text-[13px] text-muted">{address}</span>
          </li>
        ))}
      </ol>
      <p className="mt-2 flex gap-2">
        {pages.length > 1 && <Button onClick={() => setPages(pages.slice(0, -1))}>Newer</Button>}
        {data.isMore && (
          <Button onClick={() => setPages([...pages, itemAt(data.entries, -1).id])}>Older</Button>
        )}
      </p>
    </section>
  )
}
