import type { RuleResult } from '@bold-ballast/core'

export const RULE_SAYS: Record<RuleResult['verdict'], string> = {
  pass: '✓ passes',
  fail: '✗ fails',
  cantTell: 'can’t tell',
}
export const RULE_TONE: Record<RuleResult['verdict'], string> = {
  pass: 'text-zinc',
  fail: 'text-oxide',
  cantTell: 'text-ochre',
}
