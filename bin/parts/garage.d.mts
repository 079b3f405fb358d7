import type { OpenedGarage } from '../../server/src/garage/openGarage'

export declare function garageFolder(root: string): string
export declare function garageWords(opened: OpenedGarage, port: number): Promise<string[]>
