import type { LapPart } from '@bold-ballast/core'
import { sayCorners } from '../sayCorners'

/** What gives up first in most corners, and what of the car would help there. */
export function balanceSays(parts: readonly LapPart[]): string {
  const held = (by: LapPart['limit']) => parts.filter(({ limit }) => limit === by).length
  const [pushes, slides, pulls, all] = [held('front'), held('rear'), held('driven'), parts.length]
  const of = (count: number) => `in ${count} of ${sayCorners(all)}`
  const most = Math.max(pushes, slides, pulls)
  if (most === 0) return 'No corner is slow enough for the tyres to be what holds it.'
  if (pulls === most)
    return `The driven tyres give up first ${of(pulls)}: more lock, or less load going to their outside, makes it quicker there.`
  if (pushes === slides) return 'Front and rear axle give up first in as many corners.'
  return pushes > slides
    ? `The front axle gives up first ${of(pushes)}: grip or load in front is what makes it quicker there.`
    : `The rear axle gives up first ${of(slides)}: what presses or holds it behind makes it quicker there.`
}
