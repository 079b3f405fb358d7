export interface Cluster {
  readonly url: string
  readonly data: string
  stop(): void
  start(): void
  watch(tell: (text: string) => void, every?: number): () => void
}
export function startCluster(root: string, options?: { throwaway?: boolean }): Promise<Cluster>
export function isClusterRunning(root: string): boolean
export function freePort(): Promise<number>
