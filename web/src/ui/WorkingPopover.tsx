import { Popover } from 'radix-ui'
import type { RefObject } from 'react'
import type { WhyRow, Working } from './ShowWorking'

/** A figure with its unit stays on one line; words that are longer than that don't fit on one. */
const ONE_LINE = 28
/** Sentences have the whole width below their name. */
const SENTENCES = 70

/** What a computed figure was computed from, beside the button that asked for it. */
export function WorkingPopover({
  working,
  anchor,
  onClose,
}: {
  working: Working
  anchor: RefObject<HTMLButtonElement | null>
  onClose: () => void
}) {
  return (
    <Popover.Root open onOpenChange={(open) => !open && onClose()}>
      <Popover.Anchor virtualRef={anchor as RefObject<HTMLButtonElement>} />
      <Popover.Portal>
        <Popover.Content
          aria-label={`Working: ${working.title}`}
          sideOffset={6}
          collisionPadding={12}
          // The button closes it by itself; closed here as well, it would open again.
          onInteractOutside={(event) =>
            anchor.current?.contains(event.target as Node) && event.preventDefault()
          }
          onCloseAutoFocus={(event) => {
            event.preventDefault()
            // Back to the button, unless somebody has gone elsewhere meanwhile.
            if (document.activeElement === document.body) anchor.current?.focus()
          }}
          className="z-40 max-h-[var(--radix-popover-content-available-height)] w-[320px] overflow-y-auto rounded-[4px] border border-edge bg-panel p-4 text-[13px] shadow-lg"
        >
          <h3 className="mb-2 text-[17px]">{working.title}</h3>
          <table className="w-full">
            <tbody>
              {working.inputs.map(([name, value]) => {
                const isText = value.length > SENTENCES
                const fits = isText ? 'block pb-1' : 'py-1 text-right'
                return (
                  <tr key={name} className={`border-b border-line ${isText ? 'block' : ''}`}>
                    <th
                      scope="row"
                      className={`pt-1 pr-2 text-left font-normal text-muted ${isText ? 'block' : 'pb-1'}`}
                    >
                      {name}
                    </th>
                    <td className={`${fits} ${value.length > ONE_LINE ? '' : 'whitespace-nowrap'}`}>
                      {value}
                    </td>
                  </tr>
                )
              })}
            </tbody>
          </table>
          <p className="mt-2 rounded-[3px] bg-bench px-2 py-1">{working.formula}</p>
          <p className="figure mt-2 text-[18px]">= {working.result}</p>
          <p className="mt-1 text-[12px] text-muted">{working.source}</p>
          {working.why && <WhyThis rows={working.why()} />}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

/** Why the ± is what it is: the largest first, and what settling each would leave. */
function WhyThis({ rows }: { rows: readonly WhyRow[] }) {
  if (rows.length === 0) return null
  return (
    <table className="mt-3 w-full border-t border-line" data-testid="why-this">
      <caption className="pt-2 text-left text-[15px]">
        Why this ±
        <span className="block text-[12px] text-muted">
          It is one standard uncertainty: two times in three the truth lies within it.
        </span>
      </caption>
      <thead className="text-[12px] text-muted">
        <tr>
          <th scope="col" className="text-left font-normal">
            From
          </th>
          <th scope="col" className="px-2 text-right font-normal">
            Share
          </th>
          <th scope="col" className="text-right font-normal whitespace-nowrap">
            Without it
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ says, share, without }) => (
          <tr key={says} className="border-b border-line">
            <th scope="row" className="py-1 text-left font-normal">
              {says}
            </th>
            <td className="px-2 text-right whitespace-nowrap tabular-nums">{share}</td>
            <td className="text-right whitespace-nowrap tabular-nums">{without}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
