import {
  gearingFigures,
  solveFinalDrive,
  type Gearing,
  type GearingFigures,
  type GearingGoal,
  type GearingTrial,
  type SolvedFinalDrive,
} from '@bold-ballast/core'
import { expose } from 'comlink'

const api = {
  /** What each gearing gives; a message instead where one makes no sense. */
  compare(trial: GearingTrial, gearings: readonly Gearing[]): GearingFigures[] | { problem: string } {
    try {
      return gearings.map((gearing) => gearingFigures(trial, gearing))
    } catch (error) {
      return { problem: (error as Error).message }
    }
  },
  /** The final drive that comes nearest to a goal, saying how far the search is. */
  solve(
    trial: GearingTrial,
    gearing: Gearing,
    goal: GearingGoal,
    onProgress: (share: number) => void,
  ): SolvedFinalDrive | { problem: string } {
    try {
      return solveFinalDrive(trial, gearing, goal, onProgress)
    } catch (error) {
      return { problem: (error as Error).message }
    }
  },
}
export type GearingApi = typeof api
expose(api)
