export function backupFolder(root: string): string
export function nameAt(time: Date): string
export function timeOf(name: string): Date | null
export function dumpsIn(folder: string): string[]
export function toDrop(names: readonly string[], now: Date): string[]
export function untilNight(now: Date): number
export function connectionOf(url: string): Record<string, string>
export function dump(url: string, folder: string, name?: string): Promise<string>
export function byOneOnly(url: string, work: () => Promise<unknown>): Promise<boolean>
/** How many were ended, by their table. */
export type Ended = Readonly<
  Partial<Record<'sessions' | 'passes' | 'homes' | 'known_devices' | 'presences', number>>
>
export function restore(url: string, path: string): Promise<Ended>
export function restoredSaid(ended: Ended): string[]
