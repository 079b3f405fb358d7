import { sharedAnswer } from '@bold-ballast/contract'
import { sampleSeal } from '@bold-ballast/contract/sampleBuild'
import { cleanup, render, screen } from '@testing-library/react'
import { Provider } from 'react-redux'
import { MemoryRouter, Route, Routes } from 'react-router'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { makeStore } from '../store/store'
import { stubServer } from '../testing/stubServer'
import { SharedPage } from './SharedPage'

const answer = sharedAnswer.parse({
  sheet: {
    build: 'Wren',
    stage: 'Hood off',
    place: 2,
    figures: {
      ...sampleSeal(crypto.randomUUID(), crypto.randomUUID()).figures,
      facts: [{ what: 'Mass', says: '868 ±3 kg' }],
    },
    signed: null,
    code: 'AB12',
    units: {},
  },
  sharedAt: '2026-11-01T08:00:00Z',
  endsAt: '2026-12-01T08:00:00Z',
})
/** The page at a token, with a server that answers so. */
function open(status: number, body: object) {
  stubServer({ status, body })
  render(
    <Provider store={makeStore()}>
      <MemoryRouter initialEntries={['/shared/token']}>
        <Routes>
          <Route path="/shared/:token" element={<SharedPage />} />
        </Routes>
      </MemoryRouter>
    </Provider>,
  )
}
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

describe('SharedPage', () => {
  it('shows the sheet and until when it can be read, and no way further in', async () => {
    open(200, answer)
    expect((await screen.findByRole('article')).textContent).toContain('868 ±3 kg')
    expect(screen.getByText(/to be read until 1 December 2026/)).toBeTruthy()
    expect(screen.queryAllByRole('link')).toEqual([])
    expect(screen.getAllByRole('button').map((b) => b.textContent)).toEqual(['PDF', 'Print'])
  })
  it('says what has become of a link that opens nothing', async () => {
    open(404, {
      type: '/problems/not-found',
      title: 'Not here',
      status: 404,
      detail: 'The link has ended.',
    })
    expect(await screen.findByText('The link has ended.')).toBeTruthy()
    expect(screen.queryByRole('article')).toBeNull()
  })
})
