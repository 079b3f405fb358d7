import { shortcutsNow } from '../ui/shortcuts'
import { SideSheet } from '../ui/SideSheet'

const GRID: readonly (readonly [string, string])[] = [
  ['arrows', 'Move between cells of the ledger'],
  ['Enter', 'Edit the cell; again to keep it and go down'],
  ['Tab', 'Keep it and go to the next cell'],
  ['Esc', 'Leave the cell as it was; close a sheet'],
  ['Delete', 'Remove the line or swap'],
  ['Alt+↑ ↓', 'Move the line or swap'],
  ['i', 'Add a line to this swap'],
]

/** Every key, on `?`. */
export function ShortcutSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const list = (rows: readonly (readonly [string, string])[]) => (
    <dl className="mb-5 grid grid-cols-[auto_1fr] items-baseline gap-x-4 gap-y-2">
      {rows.map(([keys, says]) => (
        <div key={keys} className="contents">
          <dt>
            {keys.split(' ').map((k) => (
              <kbd key={k} className="mr-1 rounded-[3px] border border-edge px-1.5 font-sans text-[12px]">
                {k}
              </kbd>
            ))}
          </dt>
          <dd>{says}</dd>
        </div>
      ))}
    </dl>
  )
  return (
    <SideSheet open={open} onClose={onClose} title="Keys">
      {open && list(shortcutsNow().map(({ keys, says }) => [keys, says] as const))}
      <h3 className="mb-2 text-[18px]">In the ledger</h3>
      {list(GRID)}
    </SideSheet>
  )
}
