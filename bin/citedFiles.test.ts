import { readdirSync, readFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { describe, expect, it } from 'vitest'

const root = resolve(import.meta.dirname, '..')
/** What isn't ours, or is made anew. */
const NOT_OURS = new Set(['node_modules', '.git', '.data', 'dist', 'test-results'])
const below = (folder: string): string[] =>
  readdirSync(join(root, folder), { withFileTypes: true }).flatMap((entry) => {
    if (NOT_OURS.has(entry.name)) return []
    const path = join(folder, entry.name)
    return entry.isDirectory() ? below(path) : [path]
  })
const files = below('')
/** What the API answers, which is no file. */
const ANSWERS = /^\/api\//

describe('what the documents cite', () => {
  it.each(files.filter((f) => f.endsWith('.md')))('%s names files that are there', (document) => {
    const text = readFileSync(join(root, document), 'utf8')
    const cited = [...text.matchAll(/`([\w/.-]+\.(?:ts|tsx|mjs|json|css))`/g)].map(([, path]) => path!)
    const missing = cited.filter(
      (path) => !ANSWERS.test(path) && !files.some((f) => f === path || f.endsWith(`/${path}`)),
    )
    expect(missing).toEqual([])
  })
})
