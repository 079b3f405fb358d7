import type { ChildProcess } from 'node:child_process'

export function startServer(
  root: string,
  env: Record<string, string>,
): Promise<{ child: ChildProcess; port: number }>
