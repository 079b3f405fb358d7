import { register } from 'tsx/esm/api'

// A thread starts without the loader that its process was started with.
register()
await import('./readInThread.ts')
