import type * as Shortcuts from './shortcuts'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

/** A page as far as keys need one. */
class FakeElement {
  isContentEditable = false
  constructor(
    readonly tagName: string,
    readonly type = '',
    public value = '',
  ) {}
}
let typeInto: (target: FakeElement, value: string) => void
let press: (key: string, more?: object) => boolean
let shortcuts: typeof Shortcuts
const acted: string[] = []

/** Registers a key without React: its hook is only an effect. */
vi.mock('react', () => ({
  useRef: (current: unknown) => ({ current }),
  useLayoutEffect: (effect: () => unknown) => void effect(),
}))

beforeEach(async () => {
  vi.useFakeTimers()
  vi.resetModules()
  acted.length = 0
  const listeners: Record<string, (event: object) => void> = {}
  vi.stubGlobal('HTMLElement', FakeElement)
  vi.stubGlobal('window', {
    addEventListener: (name: string, on: (event: object) => void) => (listeners[name] = on),
  })
  shortcuts = await import('./shortcuts')
  press = (key, more = {}) => {
    let prevented = false
    const target = new FakeElement('BODY')
    const plain = { altKey: false, ctrlKey: false, metaKey: false, shiftKey: false, defaultPrevented: false }
    listeners['keydown']!({ ...plain, key, target, preventDefault: () => (prevented = true), ...more })
    return prevented
  }
  typeInto = (target, value) => {
    target.value = value
    listeners['input']!({ target })
  }
  for (const keys of ['n', 'b', 'g b', 'g s', 'ctrl+z', 'ctrl+shift+z', '['])
    shortcuts.useShortcut(keys, `Does ${keys}`, () => acted.push(keys))
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('keys', () => {
  it('do what they say, alone or one after the other', () => {
    press('n')
    press('g')
    press('s')
    press('[')
    expect(acted).toEqual(['n', 'g s', '['])
  })
  it('soon after another pair are a pair as well, not the second key alone', () => {
    press('g')
    press('s')
    vi.advanceTimersByTime(1400)
    press('g')
    vi.advanceTimersByTime(300)
    press('b')
    expect(acted).toEqual(['g s', 'g b'])
  })
  it('of a pair that wasn’t finished are forgotten', () => {
    press('g')
    vi.advanceTimersByTime(1600)
    press('b')
    expect(acted).toEqual(['b'])
  })
  it('are letters where somebody types, and a field’s own undo stays its own', () => {
    const target = new FakeElement('INPUT', 'text', 'Ben')
    for (const key of ['n', 'g', 'b']) expect(press(key, { target })).toBe(false)
    press('z', { ctrlKey: true, target })
    expect(acted).toEqual([])
    press('z', { ctrlKey: true })
    press('Z', { metaKey: true, shiftKey: true })
    expect(acted).toEqual(['ctrl+z', 'ctrl+shift+z'])
  })
  it('that something else has taken, or that come with Alt, do nothing', () => {
    press('n', { defaultPrevented: true })
    press('n', { altKey: true })
    expect(acted).toEqual([])
  })
  it('are listed with what they do', () =>
    expect(shortcuts.shortcutsNow()).toContainEqual({ keys: 'g b', says: 'Does g b' }))
})

describe('undo', () => {
  const undoIn = (target: FakeElement) => {
    acted.length = 0
    press('z', { ctrlKey: true, target })
    return acted.includes('ctrl+z') ? 'the page’s' : 'its own'
  }
  it('is a text’s own, as long as something stands in it', () => {
    const field = new FakeElement('INPUT', 'text')
    typeInto(field, 'Ben')
    expect(undoIn(field)).toBe('its own')
    expect(undoIn(new FakeElement('TEXTAREA', 'textarea', 'kept from before'))).toBe('its own')
  })
  it('is the page’s in a field that nothing was typed into', () =>
    expect(undoIn(new FakeElement('INPUT', 'text'))).toBe('the page’s'))
  it('brings back what was emptied by hand', () => {
    const field = new FakeElement('INPUT', 'search')
    typeInto(field, 'Ben')
    typeInto(field, '')
    expect(undoIn(field)).toBe('its own')
  })
  it('is the page’s in a field that was emptied since what stood there was added', () => {
    const field = new FakeElement('TEXTAREA', 'textarea')
    typeInto(field, 'Bench')
    field.value = ''
    expect(undoIn(field)).toBe('the page’s')
  })
  it('is the page’s in what holds no text', () => {
    for (const target of [
      new FakeElement('SELECT', 'select-one', 'on'),
      new FakeElement('INPUT', 'checkbox', 'on'),
    ])
      expect(undoIn(target)).toBe('the page’s')
  })
})
