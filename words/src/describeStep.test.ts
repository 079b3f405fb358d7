import { documentFrom, sampleBuild, sampleComponent } from '@bold-ballast/contract/sampleBuild'
import type { Mark } from '@bold-ballast/contract'
import type { Step } from '@bold-ballast/model'
import { doubtName, METRIC, US } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { hoursOf, nameOfStep, whyOfStep } from './describeStep'

const newId = () => crypto.randomUUID()
const KINDS: readonly Step['kind'][] = [
  ...([
    'weighCar',
    'weighCorners',
    'weighPart',
    'pull',
    'checkInstrument',
    'logDownforce',
    'sayPitch',
    'drive',
  ] as const),
  ...(['measureForClass', 'typeIn', 'finishSwap', 'bringForward', 'findKilos', 'findPower'] as const),
  ...(['strengthen', 'trim', 'support', 'mendRules'] as const),
]
const file = sampleBuild(newId)
file.components.push({ ...sampleComponent(file.stages[0]!.id, newId()), name: 'Old box' })
file.build.currency = 'EUR'
const view = documentFrom(file)
const mark = (measure: Mark['measure'], more: Partial<Mark> = {}): Mark => ({
  id: newId(),
  stageId: view.stages[0]!.id,
  measure,
  comparator: 'atMost',
  value: 1,
  tolerance: 0,
  weight: 1,
  conditionId: null,
  gear: null,
  place: '',
  part: '',
  speed: null,
  version: 1,
  ...more,
})
const step = (kind: Step['kind'], more: Partial<Step> = {}): Step => ({
  key: kind,
  kind,
  marks: [mark('mass')],
  lineId: null,
  swapId: null,
  componentId: null,
  source: null,
  certainty: null,
  workTime: 7200,
  cost: null,
  kilograms: -12.5,
  watts: 8000,
  worth: 1,
  ...more,
})

describe('the words of a step', () => {
  it.each(KINDS)('%s has a name and a reason, and nothing of the program in them', (kind) => {
    const words = [nameOfStep(step(kind), view, METRIC), whyOfStep(step(kind), view, METRIC)]
    for (const said of words) {
      expect(said).not.toBe('')
      expect(said).not.toMatch(/undefined|null|NaN/)
    }
    expect(words[1]).toMatch(/^(Helps|Moves|Settles) mass; 2\.0 h/)
  })
  it('says what is missing in the person’s own units', () => {
    expect(nameOfStep(step('findKilos'), view, METRIC)).toBe('Find 12.5\u00a0kg more to take off')
    expect(nameOfStep(step('findKilos'), view, US)).toBe('Find 27.6\u00a0lb more to take off')
    expect(nameOfStep(step('findPower'), view, METRIC)).toBe('Find 8.0\u00a0kW more at the wheels')
    expect(nameOfStep(step('findPower'), view, US)).toBe('Find 10.7\u00a0hp more at the wheels')
  })
  it('names what it is about: the part, the swap, the link and what would replace it', () => {
    const [line, swap, component] = [view.lines[0]!, view.swaps[0]!, view.components[0]!]
    expect(nameOfStep(step('weighPart', { lineId: line.id }), view, METRIC)).toBe(`Weigh ${line.name}`)
    expect(nameOfStep(step('finishSwap', { swapId: swap.id }), view, METRIC)).toBe(`Finish ${swap.name}`)
    const weak = step('strengthen', { componentId: component.id })
    expect(nameOfStep(weak, view, METRIC)).toBe('Strengthen Old box')
    const replacement = {
      name: 'Dog box',
      rating: 900,
      mass: 44,
      massGrade: 'claim' as const,
      price: 3000,
      workTime: 1,
    }
    const noted = { ...view, components: [{ ...component, replacement }] }
    expect(nameOfStep(weak, noted, METRIC)).toBe('Fit Dog box for Old box')
    // Ratings are there: what is wanting is somebody who has tested them.
    const typeIn = step('typeIn', { marks: [mark('weakestLink')] })
    expect(nameOfStep(typeIn, view, METRIC)).toContain('test or a certificate')
    expect(nameOfStep(typeIn, { ...view, components: [] }, METRIC)).toContain('Add components')
  })
  it('says every mark once, what it weighs and what it costs', () => {
    const why = whyOfStep(
      step('finishSwap', {
        marks: [mark('mass'), mark('powerToWeight'), mark('mass')],
        cost: 480,
        workTime: 1500,
      }),
      view,
      METRIC,
    )
    expect(why).toBe('Moves mass and power to weight; 25 min, −12.5\u00a0kg, 480 EUR')
    expect(whyOfStep(step('pull', { marks: [mark('quarterMile')], kilograms: null }), view, METRIC)).toBe(
      'Settles 402 m; 2.0 h',
    )
  })
  it('rounds time as a person would', () =>
    expect([300, 3000, 5400, 36_000].map(hoursOf)).toEqual(['5 min', '50 min', '1.5 h', '10 h']))
  it('says what a measurement leaves of the ±, and how likely that settles it', () => {
    const certainty = { mark: mark('mass', { value: 1200 }), now: 12.3, then: 1.1, chance: 0.71 }
    const weigh = step('weighCar', { certainty, kilograms: null })
    expect(whyOfStep(weigh, view, METRIC)).toBe('Settles mass, 7 in 10: ±12 to ±1.1 kg; 2.0 h')
    const dull = step('weighCar', { certainty: { ...certainty, chance: 0.02 }, kilograms: null })
    expect(whyOfStep(dull, view, METRIC)).toContain('is unlikely to settle it')
    const check = step('checkInstrument', { source: doubtName.scale('Yard pads') })
    expect(nameOfStep(check, view, METRIC)).toBe('Find out what the scale “yard pads” is off by itself')
  })
})
