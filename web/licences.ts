import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Plugin } from 'vite'

const PACKAGE = /^(.*[\\/]node_modules[\\/](?:@[^\\/]+[\\/])?[^\\/]+)[\\/]/
const TEXT = /^(licen[cs]e|copying|ofl|notice)/i

/** Folders of the packages that something of is shipped; workers are bundled apart and add theirs before the page does. */
const shipped = new Set<string>()

/** Notes which packages a bundle is made of, fonts and styles too. */
export const noteShipped = (): Plugin => ({
  name: 'note-shipped',
  transform(_code, id) {
    const folder = PACKAGE.exec(id.replace(/^\0/, ''))?.[1]
    if (folder) shipped.add(folder)
  },
})

interface PackageFacts {
  readonly name: string
  readonly version: string
  readonly license?: string
  readonly homepage?: string
}

function sayLicence(folder: string): string {
  const facts = JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8')) as PackageFacts
  const texts = readdirSync(folder)
    .filter((name) => TEXT.test(name))
    .map((name) => readFileSync(join(folder, name), 'utf8').trim())
  const head = [`${facts.name} ${facts.version}`, facts.license, facts.homepage].filter(Boolean).join('\n')
  return [head, ...texts].join('\n\n')
}

/** Writes the licences of all that is shipped into one file beside the page. */
export const licencesFile = (): Plugin => ({
  name: 'licences-file',
  apply: 'build',
  // The service worker is bundled after the page, and adds to what is shipped.
  closeBundle: {
    order: 'post',
    sequential: true,
    handler() {
      const texts = [...shipped]
        .filter((folder) => existsSync(join(folder, 'package.json')))
        .sort()
        .map(sayLicence)
      const rule = `\n\n${'-'.repeat(72)}\n\n`
      const source = `What Bold Ballast is made of, and the licences of it.${rule}${texts.join(rule)}\n`
      writeFileSync(join(import.meta.dirname, 'dist/licences.txt'), source)
    },
  },
})
