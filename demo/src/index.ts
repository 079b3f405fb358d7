import type { BuildFile } from '@bold-ballast/contract'
export const demo = { workshop: 'Lantern Yard', builds: (): BuildFile[] => [] }
