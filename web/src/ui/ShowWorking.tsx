import { Popover } from 'radix-ui'

export interface Working {
  readonly title: string
  readonly formula: string
  readonly inputs: readonly (readonly [string, string])[]
  readonly result: string
  readonly source: string
}

/** The small = beside a computed figure: inputs, formula, source and result. */
export function ShowWorking({ working }: { working: Working }) {
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`Show working: ${working.title}`}
        title="Show working"
        className="no-print inline-flex size-5 pointer-coarse:size-11 items-center justify-center rounded-[3px] border border-line text-[12px] leading-none text-muted hover:border-blued hover:text-blued"
      >
        =
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          className="z-40 w-[320px] rounded-[4px] border border-edge bg-panel p-4 text-[13px] shadow-lg"
        >
          <h3 className="mb-2 text-[17px]">{working.title}</h3>
          <table className="w-full">
            <tbody>
              {working.inputs.map(([name, value]) => (
                <tr key={name} className="border-b border-line">
                  <th scope="row" className="py-1 pr-2 text-left font-normal text-muted">
                    {name}
                  </th>
                  <td className="py-1 text-right whitespace-nowrap">{value}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-2 rounded-[3px] bg-bench px-2 py-1">{working.formula}</p>
          <p className="figure mt-2 text-[18px]">= {working.result}</p>
          <p className="mt-1 text-[12px] text-muted">{working.source}</p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
