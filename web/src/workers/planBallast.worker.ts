import { planBallast, type BallastAnswer, type BallastInputs } from '@bold-ballast/core'
import { expose } from 'comlink'
import loadHighs from 'highs'
import runtime from 'highs/runtime?url'

const solver = loadHighs({ locateFile: () => runtime })

const api = {
  /** Plans ballast with the HiGHS solver; a message instead where the question makes no sense. */
  async plan(inputs: BallastInputs): Promise<BallastAnswer | { problem: string }> {
    const highs = await solver
    try {
      return planBallast(inputs, (text, gap) => {
        const solution = highs.solve(text, { mip_abs_gap: gap, presolve: 'off' })
        if (solution.Status !== 'Optimal') return null
        return Object.fromEntries(
          Object.entries(solution.Columns).map(([name, column]) => [
            name,
            (column as { Primal: number }).Primal,
          ]),
        )
      })
    } catch (error) {
      return { problem: (error as Error).message }
    }
  },
}
export type PlanBallastApi = typeof api
expose(api)
