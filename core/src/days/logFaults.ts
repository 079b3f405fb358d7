/** One channel of a log; NaN where it has nothing. */
export interface LogChannel {
  readonly name: string
  readonly values: ArrayLike<number>
}

/** What is wrong with a log, the worst first. Moments in s of its clock. */
export type LogFault =
  | { readonly kind: 'recordedNothing'; readonly channel: string }
  | { readonly kind: 'backwards'; readonly at: number; readonly by: number }
  | { readonly kind: 'gap'; readonly from: number; readonly to: number }
  | { readonly kind: 'flat'; readonly channel: string; readonly value: number }
  | { readonly kind: 'dropout'; readonly channel: string; readonly share: number; readonly longest: number }

/** So many usual steps without a sample are a gap. */
const GAP_STEPS = 8
/** A channel that is missing for less than that share of a log dropped nothing worth a word. */
const DROPPED = 0.005
const ORDER: readonly LogFault['kind'][] = ['recordedNothing', 'backwards', 'gap', 'flat', 'dropout']

/**
 * What is wrong with a log before anybody reads it: channels that recorded nothing or never moved, holes, and a clock that
 * jumps.
 *
 * A device that recorded nothing is the first thing to say: whoever looks for it in the curves loses an evening.
 *
 * @param time s; @param channels each as long as the clock
 * @param steady channels that may well stand still, such as a gear or a switch
 * @source common practice
 * @example logFaults([0, 1, 2], [{ name: 'speed', values: [NaN, NaN, NaN] }])[0].kind // 'recordedNothing'
 */
export function logFaults(
  time: ArrayLike<number>,
  channels: readonly LogChannel[],
  steady: ReadonlySet<string> = new Set(),
): LogFault[] {
  const faults: LogFault[] = []
  const usual = usualStep(time)
  for (let i = 1; i < time.length; i += 1) {
    const step = time[i]! - time[i - 1]!
    if (step < 0) faults.push({ kind: 'backwards', at: time[i - 1]!, by: -step })
    else if (usual > 0 && step > GAP_STEPS * usual)
      faults.push({ kind: 'gap', from: time[i - 1]!, to: time[i]! })
  }
  for (const { name, values } of channels) {
    let [least, most, missing, hole, longest] = [Infinity, -Infinity, 0, 0, 0]
    for (let i = 0; i < values.length; i += 1) {
      const value = values[i]!
      if (Number.isNaN(value)) {
        missing += 1
        hole += i > 0 ? Math.max(0, time[i]! - time[i - 1]!) : 0
        longest = Math.max(longest, hole)
        continue
      }
      hole = 0
      least = Math.min(least, value)
      most = Math.max(most, value)
    }
    if (missing === values.length) faults.push({ kind: 'recordedNothing', channel: name })
    else if (least === most && values.length > 20 && !steady.has(name))
      faults.push(
        least === 0
          ? { kind: 'recordedNothing', channel: name }
          : { kind: 'flat', channel: name, value: least },
      )
    else if (missing > DROPPED * values.length)
      faults.push({ kind: 'dropout', channel: name, share: missing / values.length, longest })
  }
  return faults.sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind))
}

/** The middle one of the steps from sample to sample. */
function usualStep(time: ArrayLike<number>): number {
  const steps: number[] = []
  const every = Math.max(1, Math.floor(time.length / 2000))
  for (let i = 1; i < time.length; i += every) {
    const step = time[i]! - time[i - 1]!
    if (step > 0) steps.push(step)
  }
  return steps.sort((a, b) => a - b)[Math.floor(steps.length / 2)] ?? 0
}
