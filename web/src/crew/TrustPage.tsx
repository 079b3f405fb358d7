import { useTrustQuery } from '../store/accessApi'
import { problemOf } from '../store/api'
import { Door } from './Door'

/** What a phone's warning means, and how it is told to trust this machine, for the two kinds of phones there are. */
export function TrustPage() {
  const { data, error } = useTrustQuery()
  if (error)
    return (
      <Door title="No certificate of its own">
        <p>{problemOf(error).detail}</p>
        <p className="mt-3 text-muted">
          This server is reached some other way: whoever set that up knows what its certificate is.
        </p>
      </Door>
    )
  if (!data) return null
  return (
    <Door title="What your phone warns of">
      <p>
        Your phone says that it doesn’t know who made out the certificate. That is so: no public office did,
        the machine in the garage made it for itself. What goes to and fro is encrypted all the same; what the
        phone can’t know yet is that it talks to that machine and to no other.
      </p>
      <p className="mt-3">
        You can go on past the warning, each time. Or tell the phone once to trust the machine: then the
        warning is gone for good, and the phone keeps the application, so that it opens where there is no
        network.
      </p>
      <h2 className="mt-6 text-[19px]">By this you know it</h2>
      <p className="mt-1">{data.name}</p>
      <p className="mt-1 rounded-[3px] border border-edge bg-panel p-2 font-mono text-[13px] break-all">
        {data.fingerprint}
      </p>
      <p className="mt-1 text-[13.5px] text-muted">
        SHA-256. It is the same on the machine itself, under Crew. Compare them before you trust it: the first
        and the last few pairs will do.
      </p>
      <p className="mt-4">
        <a className="text-blued underline" href="/api/v1/garage/authority" download="bold-ballast.crt">
          Load the certificate
        </a>
      </p>
      <h2 className="mt-6 text-[19px]">A phone that asks whether to load a profile</h2>
      <ol className="mt-1 list-decimal pl-5">
        <li>Load the certificate and allow the profile.</li>
        <li>
          Open the settings: the profile that was loaded stands near the top. Look at its details, compare,
          install it.
        </li>
        <li>
          Still in the settings, where the phone tells about itself, the last entry is what certificates it
          trusts. Switch this one on: installed alone it is not trusted yet.
        </li>
      </ol>
      <h2 className="mt-6 text-[19px]">A phone that keeps a file</h2>
      <ol className="mt-1 list-decimal pl-5">
        <li>Load the certificate; it is kept among what was loaded.</li>
        <li>
          Search the settings for “certificate” and choose to install one for an authority (CA), not one for
          networks or for a person. The phone warns that somebody could listen: this one can speak for local
          addresses only.
        </li>
        <li>Choose the file. It stands among the user’s trusted ones then, with its fingerprint: compare.</li>
      </ol>
      <p className="mt-6 text-[13.5px] text-muted">
        To take it back, remove the profile or the certificate at the same place.
      </p>
    </Door>
  )
}
