import { cleanup, fireEvent, render, screen } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { PartBoundary } from './ErrorBoundary'

function Room({ leadsNowhere }: { leadsNowhere: boolean }) {
  if (leadsNowhere) throw new RangeError('a car without mass')
  return <p>Drawn</p>
}
const page = (leadsNowhere: boolean, of: readonly unknown[]) => (
  <>
    <p>The tally</p>
    <PartBoundary what="This room" of={of}>
      <Room leadsNowhere={leadsNowhere} />
    </PartBoundary>
  </>
)
// React says on the console what a boundary has caught.
beforeEach(() => void vi.spyOn(console, 'error').mockImplementation(() => undefined))
afterEach(() => {
  cleanup()
  vi.restoreAllMocks()
})

describe('PartBoundary', () => {
  it('keeps the rest of the page where one part can’t be drawn, and says what to do', () => {
    render(page(true, [1]))
    expect(screen.getByText('The tally')).toBeTruthy()
    expect(screen.getByRole('alert').textContent).toMatch(/This room could not be drawn.*Ctrl\+Z/)
  })
  it('draws again as soon as what it is drawn of has changed, and when it is asked to', () => {
    const { rerender } = render(page(true, [1]))
    rerender(page(false, [1]))
    expect(screen.queryByText('Drawn')).toBeNull()
    rerender(page(false, [2]))
    expect(screen.getByText('Drawn')).toBeTruthy()
    rerender(page(true, [3]))
    rerender(page(false, [3]))
    fireEvent.click(screen.getByRole('button', { name: 'Draw it again' }))
    expect(screen.getByText('Drawn')).toBeTruthy()
  })
})
