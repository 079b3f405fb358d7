import { ember } from './ember'
import { nightjar } from './nightjar'
import { wren } from './wren'

/** The invented workshop with its three builds, in the shape of a person's own export. */
export const demo = { workshop: 'Lantern Yard', builds: () => [wren(), ember(), nightjar()] }
export { demoBuild, engineCurve, idFor, noise } from './demoBuild'
