export function plainLoop(): number
export function inLoops(printed: string, loop: number): string
