import { useEffect } from 'react'
import { QrCode } from '../paper/QrCode'
import { useAddPairingMutation, usePairingQuery } from '../store/accessApi'
import { api, problemOf } from '../store/api'
import { useAppDispatch } from '../store/store'
import { Button } from '../ui/Button'
import { CopyLink } from '../ui/CopyLink'
import { SideSheet } from '../ui/SideSheet'
import { linkOf, linkWithTrust, OnlyHere } from './PassLink'

const LOOKED_MS = 1500

/** A code that signs one phone in, once and within minutes; says which phone it was. */
export function PairSheet({ name, onClose }: { name: string; onClose: () => void }) {
  const [add, { data: pass, error }] = useAddPairingMutation()
  useEffect(() => void add(), [add])
  const { data: state } = usePairingQuery(pass?.id ?? '', { skip: !pass, pollingInterval: LOOKED_MS })
  const isPaired = (state?.paired ?? null) !== null
  const dispatch = useAppDispatch()
  // The list of devices below has one more.
  useEffect(() => {
    if (isPaired) dispatch(api.util.invalidateTags(['People']))
  }, [isPaired, dispatch])
  return (
    <SideSheet open onClose={onClose} title="Pair a phone or a laptop">
      <div className="flex flex-col items-start gap-3">
        {error && (
          <p role="alert" className="text-oxide">
            {problemOf(error).detail}
          </p>
        )}
        {pass && state?.paired ? (
          <>
            <p role="status" data-testid="paired">
              Paired: a {state.paired.device.toLowerCase() || 'device'} at {state.paired.address} is signed in
              as {name}. If that is not yours, sign it out in the list of your devices.
            </p>
            <Button look="main" onClick={onClose}>
              Done
            </Button>
          </>
        ) : pass && state?.isOpen === false ? (
          <>
            <p role="status">The code is over: nobody read it within five minutes.</p>
            <Button look="main" onClick={() => void add()}>
              Show another
            </Button>
          </>
        ) : (
          pass && (
            <>
              <p>
                Point the phone’s camera at it. Whoever reads it is signed in as {name}: it works once, within
                five minutes.
              </p>
              <QrCode text={linkOf(pass)} label={`Leads to ${linkOf(pass)}`} size={220} />
              <p className="text-[13px] break-all text-muted" data-testid="pass-link">
                {linkOf(pass)}
              </p>
              <p>
                A laptop with an installation of its own takes the link in its Garage, under Another workshop:
                so it takes builds along, and brings them home.
              </p>
              <CopyLink link={linkWithTrust(pass)} />
              <OnlyHere pass={pass} />
            </>
          )
        )}
      </div>
    </SideSheet>
  )
}
