import {
  gearingFigures,
  solveGearing,
  type Gearing,
  type GearingFigures,
  type GearingGoal,
  type GearingTrial,
  type SolvedGearing,
  type Varied,
} from '@bold-ballast/core'
import { expose } from 'comlink'

const SOME = 10

const api = {
  /** What each gearing gives, saying how many are done; a message instead where one makes no sense. */
  compare(
    trial: GearingTrial,
    gearings: readonly Gearing[],
    onDone?: (count: number) => void,
  ): GearingFigures[] | { problem: string } {
    try {
      return gearings.map((gearing, i) => {
        const figures = gearingFigures(trial, gearing)
        if ((i + 1) % SOME === 0 || i + 1 === gearings.length) onDone?.(i + 1)
        return figures
      })
    } catch (error) {
      return { problem: (error as Error).message }
    }
  },
  /** The final drive or tyre that comes nearest to a goal, saying how far the search is. */
  solve(
    trial: GearingTrial,
    gearing: Gearing,
    goal: GearingGoal,
    vary: Varied,
    onProgress: (share: number) => void,
  ): SolvedGearing | { problem: string } {
    try {
      return solveGearing(trial, gearing, goal, vary, onProgress)
    } catch (error) {
      return { problem: (error as Error).message }
    }
  },
}
export type GearingApi = typeof api
expose(api)
