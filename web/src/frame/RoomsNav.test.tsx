import { cleanup, fireEvent, render, screen, within } from '@testing-library/react'
import { MemoryRouter } from 'react-router'
import { afterEach, describe, expect, it } from 'vitest'
import { ROOM_GROUPS } from './rooms'
import { RoomsBar, RoomsNav, type RoomGroup } from './RoomsNav'

const room = (name: string) => ({ path: name.toLowerCase(), name, key: name[0]!.toLowerCase() })
/** As many as there will be. */
const ELEVEN: readonly RoomGroup[] = [
  { says: 'Plan', rooms: ['Board', 'Shop'].map(room) },
  { says: 'Build', rooms: ['Swaps'].map(room) },
  { says: 'Measure', rooms: ['Scales', 'Dyno'].map(room) },
  { says: 'Car', rooms: ['Driveline', 'Aero', 'Stance'].map(room) },
  { says: 'Track', rooms: ['Course', 'Days'].map(room) },
  { says: 'Proof', rooms: ['Proof'].map(room) },
]
const ALL = ELEVEN.flatMap((group) => group.rooms)
const pathOf = (path: string) => `/builds/b/stages/s/${path}`
const at = (path: string, children: React.ReactNode) =>
  render(<MemoryRouter initialEntries={[pathOf(path)]}>{children}</MemoryRouter>)
afterEach(cleanup)

describe('RoomsNav', () => {
  it('leads to every room, grouped by what it is for, and says which is open', () => {
    at('stance', <RoomsNav groups={ELEVEN} pathOf={pathOf} />)
    for (const { name, path } of ALL)
      expect(screen.getByRole('link', { name }).getAttribute('href')).toBe(pathOf(path))
    expect(within(screen.getByRole('group', { name: 'Car' })).getAllByRole('link')).toHaveLength(3)
    expect(screen.getByRole('link', { current: 'page' }).textContent).toBe('Stance')
  })
})

describe('RoomsBar', () => {
  it.each(ALL.map((r) => [r.name, r.path] as const))('is two touches from %s at most', (name, path) => {
    at('swaps', <RoomsBar groups={ELEVEN} pathOf={pathOf} />)
    const group = ELEVEN.find((g) => g.rooms.some((r) => r.path === path))!
    if (group.rooms.length > 1) fireEvent.click(screen.getByRole('button', { name: group.says }))
    const link = screen.getByRole('link', { name })
    expect(link.getAttribute('href')).toBe(pathOf(path))
    fireEvent.click(link)
    // It is open now: its group names it, and has folded again.
    const open = group.rooms.length > 1 ? screen.getByRole('button', { name: new RegExp(name) }) : link
    expect(open.textContent).toContain(name)
    expect(screen.queryAllByRole('link', { name: /Aero|Dyno|Shop/ }).length).toBe(0)
  })
  it('shows the rooms of one group at a time, and folds them at Escape and at a second touch', () => {
    at('board', <RoomsBar groups={ELEVEN} pathOf={pathOf} />)
    const car = screen.getByRole('button', { name: 'Car' })
    fireEvent.click(car)
    expect(car.getAttribute('aria-expanded')).toBe('true')
    fireEvent.click(screen.getByRole('button', { name: 'Track' }))
    expect(screen.queryByRole('link', { name: 'Aero' })).toBeNull()
    fireEvent.keyDown(screen.getByRole('link', { name: 'Days' }), { key: 'Escape' })
    expect(screen.queryByRole('link', { name: 'Days' })).toBeNull()
    fireEvent.click(car)
    fireEvent.click(car)
    expect(car.getAttribute('aria-expanded')).toBe('false')
  })
})

describe('the rooms of today', () => {
  it('each have a key and a place of their own', () => {
    const rooms = ROOM_GROUPS.flatMap<RoomGroup['rooms'][number]>((group) => group.rooms)
    for (const of of ['path', 'name', 'key'] as const)
      expect(new Set(rooms.map((r) => r[of])).size).toBe(rooms.length)
  })
})
