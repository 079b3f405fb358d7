import type { Health } from '@bold-ballast/model'

export const HEALTH_TONE: Readonly<Record<Health, string>> = {
  go: 'text-zinc',
  look: 'text-ochre',
  stop: 'text-oxide',
}
