import { idStart } from '@bold-ballast/contract'
import { Command } from 'cmdk'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { useBuildsQuery } from '../store/api'
import { settings } from '../store/settings'
import { useAppDispatch } from '../store/store'
import { shortcutsNow } from '../ui/shortcuts'
import { useFrameActions, type FrameAction } from './useFrameActions'

export interface PaletteProps {
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
  /** What the page adds: its stages, its rooms, its export. */
  readonly actions: readonly FrameAction[]
}

const ITEM =
  'flex cursor-pointer justify-between gap-3 rounded-[3px] px-3 py-1.5 data-[selected=true]:bg-blued data-[selected=true]:text-on-blued'

/** Search and commands, on `/`. */
export function CommandPalette({ open, onOpenChange, actions }: PaletteProps) {
  const { data: builds = [] } = useBuildsQuery()
  const navigate = useNavigate()
  const dispatch = useAppDispatch()
  const common = useFrameActions()
  const [typed, setTyped] = useState('')
  const keysOf = (says: string) => shortcutsNow().find((s) => s.says === says)?.keys
  const pick = (act: () => void) => () => {
    onOpenChange(false)
    act()
  }
  const themes = (['light', 'dark', 'system'] as const).map((theme): FrameAction => ({
    says:
      theme === 'dark'
        ? 'Lights off (dark theme)'
        : theme === 'light'
          ? 'Lights on (light theme)'
          : 'Theme of the system',
    act: () => dispatch(settings.actions.themeChosen(theme)),
  }))
  return (
    <Command.Dialog
      open={open}
      onOpenChange={onOpenChange}
      label="Find or do"
      overlayClassName="fixed inset-0 z-40 bg-rail/60"
      contentClassName="fixed top-[12vh] left-1/2 z-50 w-[min(560px,calc(100vw-2rem))] -translate-x-1/2 rounded-[4px] border border-edge bg-panel p-2 shadow-xl"
    >
      <Command.Input
        placeholder="A build, a stage, a room, the code on a sheet, or what you want to do"
        aria-label="Find or do"
        value={typed}
        onValueChange={setTyped}
        className="mb-2 w-full rounded-[3px] border border-edge bg-chalk px-3 py-2"
      />
      <Command.List className="max-h-[50vh] overflow-y-auto">
        <Command.Empty className="px-3 py-2 text-muted">
          Nothing by that name. Try a build, a stage or a room.
        </Command.Empty>
        {idStart(typed) !== null && (
          <Command.Item
            value={typed}
            onSelect={pick(() => void navigate(`/record/${typed.trim()}`))}
            className={ITEM}
          >
            Open the record {typed.trim().toUpperCase()}
          </Command.Item>
        )}
        {[...actions, ...common, ...themes].map((action) => (
          <Command.Item key={action.says} value={action.says} onSelect={pick(action.act)} className={ITEM}>
            {action.says}
            <kbd className="font-sans text-[12px] opacity-75">{keysOf(action.says)}</kbd>
          </Command.Item>
        ))}
        {builds.map((build) => (
          <Command.Item
            key={build.id}
            value={`Open ${build.name} ${build.car}`}
            onSelect={pick(() => void navigate(`/builds/${build.id}`))}
            className={ITEM}
          >
            Open {build.name}
            <span className="text-[12px] opacity-75">{build.car}</span>
          </Command.Item>
        ))}
      </Command.List>
    </Command.Dialog>
  )
}
