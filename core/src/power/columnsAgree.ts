/** Ratios of power column to T·ω that a known mistake leaves behind. */
const MISTAKES: readonly { ratio: number; because: string }[] = [
  { ratio: 1.341, because: 'the power column is in hp, not kW' },
  { ratio: 1 / 1.341, because: 'the power column is in kW, not hp' },
  { ratio: 1.014, because: 'the power column is in PS where hp was assumed' },
  { ratio: 1 / 1.014, because: 'the power column is in hp where PS was assumed' },
  { ratio: 1.36, because: 'the power column is in PS, not kW' },
  { ratio: 1 / 1.36, because: 'the power column is in kW, not PS' },
  { ratio: 1.356, because: 'the torque column is in lb·ft, not N·m' },
  { ratio: 1 / 1.356, because: 'the torque column is in N·m, not lb·ft' },
]

/**
 * Checks that torque and power columns agree by P = T·ω within 1 %, and says which unit or gear mistake would
 * explain it when they don't.
 *
 * 1.360 (PS for kW) and 1.356 (lb·ft for N·m) are four parts in a thousand apart: where both fit, both are said.
 *
 * @param rows engine speed in rad/s, torque in N·m, power in W
 * @param overalls overall ratios of the car's gears by name: a torque at the hubs is larger by one of them
 * @returns the median ratio of power to T·ω, and the explanation, or `null` for one that fits no mistake
 * @throws {RangeError} when no row has both
 * @source P = T·ω; the list of mistakes is common practice
 * @example columnsAgree([{ speed: 600, torque: 200, power: 160920 }]).because // 'the power column is in hp, not kW'
 */
export function columnsAgree(
  rows: readonly { speed: number; torque: number; power: number }[],
  overalls: readonly { name: string; ratio: number }[] = [],
): {
  agree: boolean
  ratio: number
  because: string | null
} {
  const ratios = rows
    .filter((r) => r.speed > 0 && r.torque > 0 && r.power > 0)
    .map((r) => r.power / (r.torque * r.speed))
    .sort((a, b) => a - b)
  if (ratios.length === 0) throw new RangeError('no row has speed, torque and power')
  const ratio = ratios[Math.floor(ratios.length / 2)]!
  if (Math.abs(ratio - 1) <= 0.01) return { agree: true, ratio, because: null }
  const far = (m: { ratio: number }) => Math.abs(m.ratio / ratio - 1)
  const fitting = MISTAKES.filter((m) => far(m) <= 0.005).sort((a, b) => far(a) - far(b))
  if (fitting.length > 0) return { agree: false, ratio, because: fitting.map((m) => m.because).join(', or ') }
  const gear = overalls
    .flatMap(({ name, ratio: overall }) => [
      {
        ratio: 1 / overall,
        because: `the torque is at the hubs, behind ${name} (${overall.toFixed(2)} to 1)`,
      },
      {
        ratio: overall,
        because: `the engine speed is the hubs’, behind ${name} (${overall.toFixed(2)} to 1)`,
      },
    ])
    .filter((m) => far(m) <= 0.02)
    .sort((a, b) => far(a) - far(b))[0]
  const geared = ratio > 1.5 || ratio < 1 / 1.5
  return {
    agree: false,
    ratio,
    because: gear?.because ?? (geared ? 'one column may be at the wheels and the other behind a gear' : null),
  }
}
