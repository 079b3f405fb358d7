import type { SealedFigures } from '@bold-ballast/contract'
import { METRIC } from '@bold-ballast/core'
import { cleanup, render, screen, within } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { ProofPaper, type Paper } from './ProofPaper'

const figures: SealedFigures = {
  facts: [{ what: 'Mass', says: '1,236 ±5 kg, by the scales' }],
  marks: [
    {
      measure: 'mass',
      name: 'Mass',
      target: 'at most 1,220 kg',
      figure: '1,236 ±5 kg',
      says: 'missed by 16 kg',
      reason: 'Missed: 1,236 kg is 16 kg off the mark.',
      verdict: 'missed',
      value: { value: 1236, sigma: 5, grade: 'proven' },
    },
  ],
  ticket: {
    date: '2026-03-14',
    method: 'Four pads at once',
    corners: { frontLeft: 367, frontRight: 367.5, rearLeft: 276, rearRight: 284.5 },
    total: { value: 1295, sigma: 2.3 },
    front: { value: 0.567, sigma: 0.001 },
    left: { value: 0.4965, sigma: 0.001 },
    cross: { value: 0.497, sigma: 0.005 },
    books: 'The books balance: 0 ±4 kg apart.',
  },
  curve: [],
  dyno: '',
  gears: [{ ratio: 3.32, speed: 17 }],
  finalDrive: 4.1,
  links: [{ name: 'Half-shafts', margin: 0.93, sigma: 0.1, verdict: 'cantTell' }],
  changed: [{ swap: 'Inside out', mass: -114 }],
  expectedWrong: 0.02,
  risks: ['Nobody has pulled it at this stage.'],
}
const paper: Paper = {
  build: 'Ember',
  stage: 'Strip and cage',
  place: 2,
  figures,
  signed: { at: '2025-11-09T18:20:00Z', author: 'M. Orlow' },
  code: 'AB12-CD34',
  link: 'http://localhost/record/AB12-CD34',
  units: METRIC,
}
const sheet = () => screen.getByRole('article', { name: 'Ember, Strip and cage' })
afterEach(cleanup)

describe('ProofPaper', () => {
  it('says every figure as it was signed, by whom and when, and the code that leads back', () => {
    render(<ProofPaper paper={paper} />)
    const text = sheet().textContent
    for (const said of [
      'Signed 9 November 2025',
      'M. Orlow',
      '1,236 ±5 kg, by the scales',
      'at most 1,220 kg',
      'missed by 16 kg',
      'Missed: 1,236 kg is 16 kg off the mark.',
      'Of 1 verdict, 0.02 would be expected to be wrong by chance alone; more where work stopped as soon as a mark was met.',
      'The books balance: 0 ±4 kg apart.',
      'Inside out',
      'Half-shafts',
      'Nobody has pulled it at this stage.',
      'AB12-CD34',
      'kept as it was signed',
      'Computed, not certified',
    ])
      expect(text).toContain(said)
    expect(screen.getByLabelText('Leads to http://localhost/record/AB12-CD34')).toBeTruthy()
    expect(screen.queryByTestId('moved')).toBeNull()
  })
  it('says that it is not signed', () => {
    render(<ProofPaper paper={{ ...paper, signed: null }} />)
    expect(sheet().textContent).toMatch(/Not signed, .*not signed\. Computed/s)
  })
  it('lists beside the signature what the records say otherwise today', () => {
    const moved = [{ what: 'Mass', before: '1,236 ±5 kg', after: '1,240 ±5 kg' }]
    render(<ProofPaper paper={{ ...paper, moved }} />)
    const [, row] = within(screen.getByTestId('moved')).getAllByRole('row')
    expect(row!.textContent).toMatch(/Mass.*1,236 ±5 kg.*1,240 ±5 kg/)
  })
})
