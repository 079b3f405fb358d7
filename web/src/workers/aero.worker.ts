import { aeroDraws, type AeroDraws, type AeroElement } from '@bold-ballast/core'
import { expose } from 'comlink'

const api = {
  /** How far off the balance may be; a message instead where an element makes no sense. */
  draw(
    elements: readonly AeroElement[],
    where: { readonly wheelbase: number; readonly massFront: number },
  ): AeroDraws | { problem: string } {
    try {
      return aeroDraws(elements, where)
    } catch (error) {
      return { problem: (error as Error).message }
    }
  },
}
export type AeroApi = typeof api
expose(api)
