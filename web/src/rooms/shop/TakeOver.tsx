import { useState } from 'react'
import { Button } from '../../ui/Button'
import { Choose } from '../../ui/Choose'
import { SideSheet } from '../../ui/SideSheet'

export interface Takeable {
  readonly key: string
  readonly name: string
  /** Beside its name. */
  readonly says: string
}

/** Takes things over from lists where they stand already: all of a list, but for what is unticked. */
export function TakeOver<T extends Takeable>({
  title,
  sources,
  none,
  onTake,
  onClose,
}: {
  title: string
  sources: readonly { readonly name: string; readonly things: readonly T[] }[]
  /** What is said where there is nothing. */
  none: string
  onTake: (chosen: readonly T[]) => void
  onClose: () => void
}) {
  const [at, setAt] = useState('0')
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set())
  const source = sources[Number(at)]
  const chosen = source?.things.filter((thing) => !left.has(thing.key)) ?? []
  const tick = (key: string, isTaken: boolean) =>
    setLeft((old) => {
      const next = new Set(old)
      if (isTaken) next.delete(key)
      else next.add(key)
      return next
    })
  return (
    <SideSheet open onClose={onClose} title={title}>
      {!source ? (
        <p className="text-muted">{none}</p>
      ) : (
        <>
          <Choose
            label="From"
            value={at}
            options={sources.map((s, i) => [String(i), `${s.name} (${s.things.length})`] as const)}
            onChange={(v) => {
              setAt(v ?? '0')
              setLeft(new Set())
            }}
          />
          <ul className="my-3">
            {source.things.map((thing) => (
              <li key={thing.key} className="border-b border-line py-1">
                <label className="flex items-start gap-2">
                  <input
                    type="checkbox"
                    className="mt-1 size-4 accent-blued"
                    checked={!left.has(thing.key)}
                    onChange={(e) => tick(thing.key, e.target.checked)}
                  />
                  <span>
                    {thing.name} <span className="text-[13px] text-muted">{thing.says}</span>
                  </span>
                </label>
              </li>
            ))}
          </ul>
          <Button
            look="main"
            className="w-full"
            disabled={chosen.length === 0}
            onClick={() => {
              onTake(chosen)
              onClose()
            }}
          >
            Take over {chosen.length}
          </Button>
        </>
      )}
    </SideSheet>
  )
}
