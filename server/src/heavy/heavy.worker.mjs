import { register } from 'tsx/esm/api'

// A thread starts without the loader that its process was started with.
register()
const { runHeavy } = await import('./heavyTasks.ts')

export default runHeavy
