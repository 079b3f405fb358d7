export interface Claim {
  listensOn(port: number): void
  release(): void
}
export function claimRunning(root: string, command?: string): Claim | null
export function portOfRunning(root: string, patience?: number): Promise<number | null>
