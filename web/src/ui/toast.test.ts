import { describe, expect, it } from 'vitest'
import { showToastsBy, toast } from './toast'

describe('toast', () => {
  it('keeps what is said before anything shows it, in order, and says nothing twice', () => {
    toast('Saved.')
    toast.error('Not saved.')
    const shown: unknown[] = []
    showToastsBy((said) => shown.push(said))
    toast.warning('Almost.')
    expect(shown).toEqual([
      { says: 'Saved.', kind: 'message' },
      { says: 'Not saved.', kind: 'error' },
      { says: 'Almost.', kind: 'warning' },
    ])
  })
})
