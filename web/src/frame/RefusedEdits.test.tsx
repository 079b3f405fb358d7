import type { Problem } from '@bold-ballast/contract'
import { documentFrom, sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react'
import { Provider } from 'react-redux'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api } from '../store/api'
import { outbox } from '../store/outbox'
import { makeStore } from '../store/store'
import { stubServer } from '../testing/stubServer'
import { RefusedEdits } from './RefusedEdits'

const newId = () => crypto.randomUUID()
beforeEach(() => stubServer('never'))
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

/** A mass that two people typed: 18.2 kg here, 19 kg there. */
async function refused(more: Partial<Problem> = {}, theirs: 'changed' | 'gone' = 'changed') {
  const document = documentFrom(sampleBuild(newId))
  const line = document.lines[0]!
  const store = makeStore()
  await store.dispatch(api.util.upsertQueryData('build', document.build.id, document))
  const yours = { ...line, name: 'Bonnet', mass: 18.2 }
  const batch = {
    id: newId(),
    label: 'Bonnet: mass 18.2 kg',
    edits: [{ op: 'put' as const, kind: 'line' as const, record: yours }],
  }
  const conflicts: Problem['conflicts'] = [
    {
      kind: 'line',
      id: line.id,
      yours,
      theirs: theirs === 'gone' ? null : { ...yours, mass: 19, version: 2 },
    },
  ]
  const problem: Problem = {
    type: '/problems/conflict',
    title: 'Changed by somebody else',
    status: 409,
    detail: 'Choose which version stays.',
    conflicts,
    ...more,
  }
  store.dispatch(
    outbox.actions.refused({ buildId: document.build.id, batch: batch as never, by: null, problem }),
  )
  render(
    <Provider store={store}>
      <RefusedEdits />
    </Provider>,
  )
  return { store, batch }
}

describe('RefusedEdits', () => {
  it('shows a conflict figure by figure, in the build’s units, and nothing that both say', async () => {
    await refused()
    const rows = within(screen.getByRole('table')).getAllByRole('row').slice(1)
    expect(rows.map((r) => r.textContent)).toEqual(['mass of one piece18.2 kg19.0 kg'])
    expect(screen.getByText(/The line Bonnet/)).toBeTruthy()
  })
  it('keeps mine by sending it again over theirs', async () => {
    const { store, batch } = await refused()
    fireEvent.click(screen.getByRole('button', { name: 'Keep mine' }))
    const { pending, refused: left } = store.getState().outbox
    expect(left).toEqual([])
    expect(pending).toMatchObject([{ batch: { edits: [{ record: { mass: 18.2, version: 2 } }] } }])
    expect(pending[0]!.batch.label).toBe(batch.label)
  })
  it('takes theirs by letting mine go', async () => {
    const { store } = await refused()
    fireEvent.click(screen.getByRole('button', { name: 'Take theirs' }))
    expect(store.getState().outbox).toMatchObject({ pending: [], refused: [] })
    expect(screen.queryByRole('alertdialog')).toBeNull()
  })
  it('says that a record is gone, and offers no comparison', async () => {
    await refused({}, 'gone')
    expect(screen.getByText('It has been removed meanwhile.')).toBeTruthy()
    expect(screen.queryByRole('table')).toBeNull()
  })
  it('says why something else was not taken, and keeps it until it is dropped', async () => {
    const { store } = await refused({
      status: 422,
      title: 'It isn’t what was shown',
      detail: 'Mass: shown as 900 kg, it is 1,236 kg.',
      conflicts: undefined,
    })
    expect(screen.getByRole('alertdialog').textContent).toContain('Mass: shown as 900 kg, it is 1,236 kg.')
    fireEvent.click(screen.getByRole('button', { name: 'Drop it' }))
    expect(store.getState().outbox.refused).toEqual([])
  })
})
