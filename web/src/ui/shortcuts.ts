import { useLayoutEffect, useRef } from 'react'

export interface Shortcut {
  readonly keys: string
  readonly says: string
}

const registered = new Map<string, { says: string; act: () => void }>()
let prefix: string | null = null
let forgetting: ReturnType<typeof setTimeout> | undefined

/** True where keys are letters of a text, not commands. */
const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))

type TextField = HTMLElement & { readonly value: string }

const TEXTS: ReadonlySet<string> = new Set(['text', 'search', 'number', 'email', 'url', 'tel', 'password'])

const isText = (target: EventTarget | null): target is TextField =>
  target instanceof HTMLElement &&
  (target.tagName === 'TEXTAREA' ||
    (target.tagName === 'INPUT' && 'type' in target && TEXTS.has(String(target.type))))

/** What was last typed into each field. */
const typed = new WeakMap<EventTarget, string>()

function onInput({ target }: Event): void {
  if (isText(target)) typed.set(target, target.value)
}

/**
 * True where undo is the field's own: in a text. An empty field has nothing to take back, unless it was emptied by hand;
 * one that the page has emptied, since what stood there was added, has not.
 */
function undoesItself(target: EventTarget | null): boolean {
  if (target instanceof HTMLElement && target.isContentEditable) return true
  return isText(target) && (target.value !== '' || typed.get(target) === '')
}

/** `n`, `g b` (one after the other), `ctrl+z`. */
function onKey(event: KeyboardEvent): void {
  if (event.defaultPrevented || event.altKey) return
  const name = event.key.length === 1 ? event.key.toLowerCase() : event.key
  const withControl = event.ctrlKey || event.metaKey
  if (!withControl && isTyping(event.target)) return
  // A letter that closes a sheet or a menu is that sheet's business.
  const spoken = withControl
    ? `ctrl+${event.shiftKey ? 'shift+' : ''}${name}`
    : prefix
      ? `${prefix} ${name}`
      : name
  if (withControl && (name === 'z' || name === 'y') && undoesItself(event.target)) return
  prefix = null
  // One that was left over from the key before would forget the next one's.
  clearTimeout(forgetting)
  const found = registered.get(spoken)
  if (found) {
    event.preventDefault()
    found.act()
  } else if (!withControl && [...registered.keys()].some((k) => k.startsWith(`${name} `))) {
    prefix = name
    forgetting = setTimeout(() => (prefix = null), 1500)
  }
}

if (typeof window !== 'undefined') {
  window.addEventListener('keydown', onKey)
  window.addEventListener('input', onInput, true)
}

/** A key that does something while the component stands. The newest registration of a key wins. */
export function useShortcut(keys: string, says: string, act: () => void): void {
  const current = useRef(act)
  // Before it is painted: what shows its key on a button has it.
  useLayoutEffect(() => {
    current.current = act
  })
  useLayoutEffect(() => {
    const before = registered.get(keys)
    const mine = { says, act: () => current.current() }
    registered.set(keys, mine)
    return () => {
      if (registered.get(keys) === mine) {
        if (before) registered.set(keys, before)
        else registered.delete(keys)
      }
    }
  }, [keys, says])
}

/** Every key that works at this moment. */
export const shortcutsNow = (): Shortcut[] => [...registered].map(([keys, { says }]) => ({ keys, says }))
