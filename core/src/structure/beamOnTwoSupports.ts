/** A straight beam on two supports that stand evenly about its middle, loaded evenly along its whole length. SI. */
export interface Beam {
  readonly span: number
  /** Between the supports. */
  readonly apart: number
  /** All of it, N. */
  readonly load: number
  /** E·I, N·m². */
  readonly rigidity: number
}

export interface BeamUnderLoad {
  /** Largest bending moment, N·m, wherever it stands. */
  readonly moment: number
  /** How far the middle and the ends give way, m; below zero where they rise. */
  readonly middle: number
  readonly ends: number
}

/**
 * How a beam on two supports bends: a wing on its uprights.
 *
 * @throws {RangeError} for supports wider apart than the beam is long, or a size that is not above zero
 * @source Euler and Bernoulli: moments w·o²/2 over the supports and w·a²/8 less that between them; deflections of a
 * span with moments at its ends, and of a cantilever on a support that has turned
 * @example beamOnTwoSupports({ span: 1.6, apart: 1, load: 1000, rigidity: 3000 }).moment // 50
 */
export function beamOnTwoSupports({ span, apart, load, rigidity }: Beam): BeamUnderLoad {
  if (!(span > 0 && apart > 0 && rigidity > 0)) throw new RangeError('a beam has sizes above zero')
  if (apart > span) throw new RangeError('supports stand no wider apart than the beam is long')
  const each = load / span
  const over = (span - apart) / 2
  const atSupport = (each * over ** 2) / 2
  const between = (each * apart ** 2) / 8 - atSupport
  const turned = ((each * apart ** 3) / 24 - (atSupport * apart) / 2) / rigidity
  return {
    moment: Math.max(Math.abs(atSupport), Math.abs(between)),
    middle: ((5 * each * apart ** 4) / 384 - (atSupport * apart ** 2) / 8) / rigidity,
    ends: (each * over ** 4) / (8 * rigidity) - turned * over,
  }
}
