import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'
import type * as Axe from 'axe-core'

const SOURCE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')
const TAGS = ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice']
/** What a theme changes: colours. Everything else is the same page. */
const OF_COLOURS = ['color-contrast', 'link-in-text-block']

type Inspected = typeof globalThis & { readonly axe?: typeof Axe }

/**
 * What axe finds serious on the page as it stands, by all rules or by some.
 *
 * It is put into the page once, and asked for violations only: what passes is most of what it finds, and nobody reads it.
 */
async function serious(page: Page, only?: readonly string[]): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in globalThis))) await page.evaluate(SOURCE)
  return page.evaluate(
    async ([runOnly]) => {
      const { axe } = globalThis as Inspected
      if (!axe) throw new Error('axe is not in the page')
      const { violations } = await axe.run(document, { runOnly, resultTypes: ['violations'] })
      return violations
        .filter((v) => v.impact === 'serious' || v.impact === 'critical')
        .map(
          (v) =>
            `${v.id}: ${v.nodes
              .map((n) => n.target.join(' '))
              .slice(0, 3)
              .join(' | ')}`,
        )
    },
    [only ? { type: 'rule' as const, values: [...only] } : { type: 'tag' as const, values: TAGS }] as const,
  )
}

/** What axe finds serious on the page as it stands, in both themes. */
export async function seriousInBothThemes(page: Page): Promise<string[]> {
  await page.emulateMedia({ colorScheme: 'light' })
  const light = await serious(page)
  await page.emulateMedia({ colorScheme: 'dark' })
  const dark = await serious(page, OF_COLOURS)
  return [...light, ...dark.map((what) => `in the dark: ${what}`)]
}

/** What a finger can't hit on the page as it stands. */
export const tooSmall = (page: Page): Promise<string[]> => serious(page, ['target-size'])
