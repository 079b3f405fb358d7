import { format, parseISO } from 'date-fns'
import { Link } from 'react-router'
import { useGarageQuery, useOpenGarageMutation } from '../store/accessApi'
import { problemOf } from '../store/api'
import { Button } from '../ui/Button'
import { toast } from '../ui/toast'

/** Opens the garage to phones on the local network, and closes it. */
export function GarageSwitch() {
  const { data } = useGarageQuery(undefined, { pollingInterval: 15_000, skipPollingIfUnfocused: true })
  const [open, { isLoading }] = useOpenGarageMutation()
  if (!data) return null
  const { isOn, origins, fingerprint, endsAt, hindrance } = data
  const turn = async () => {
    const { error } = await open(!isOn)
    if (error) toast.error(problemOf(error).detail)
    else toast(isOn ? 'The garage is closed: only this machine is answered.' : 'The garage is open.')
  }
  return (
    <section aria-label="Phones in the garage" className="mt-6 max-w-[980px]">
      <h2 className="text-[19px]">Phones in the garage</h2>
      {isOn ? (
        <>
          <p className="mt-1">
            {origins.length > 0 ? 'Open on the local network, to whoever signs in:' : hindrance}
          </p>
          <ul>
            {origins.map((origin) => (
              <li key={origin} className="figure text-[20px]" data-testid="garage-origin">
                {origin}
              </li>
            ))}
          </ul>
          <p className="mt-2 text-[13.5px] text-muted">
            A phone will warn of the certificate, which this machine made for itself:{' '}
            <Link to="/trust" className="text-blued underline">
              what that means, and how to trust it
            </Link>
            . By this fingerprint it is known (SHA-256):
          </p>
          <p className="font-mono text-[12.5px] break-all text-muted">{fingerprint}</p>
          {endsAt && (
            <p className="text-[13.5px] text-muted">
              What phones are shown is renewed by itself, before {format(parseISO(endsAt), 'd MMMM yyyy')}.
            </p>
          )}
        </>
      ) : (
        <p className="mt-1 max-w-[620px] text-muted">
          {hindrance ??
            'Closed: only this machine is answered. Open it, and phones and laptops on the same network reach the workshop over HTTPS, once somebody signs in on them.'}
        </p>
      )}
      {(isOn || hindrance === null) && (
        <p className="mt-2">
          <Button look={isOn ? 'plain' : 'main'} disabled={isLoading} onClick={() => void turn()}>
            {isOn ? 'Close the garage' : 'Open the garage'}
          </Button>
        </p>
      )}
    </section>
  )
}
