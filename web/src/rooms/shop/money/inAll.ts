import type { Money } from '@bold-ballast/model'

/** What is spent, ordered and still to find together. */
export const inAll = ({ spent, ordered, toFind }: Money): number => spent + ordered + toFind
