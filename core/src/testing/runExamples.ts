import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import { plainNumber } from './asSaid'

/** An example of a comment: what is run, and what it says of the result. */
export interface Example {
  /** From the source folder on, without its ending: `scales/crossWeight`. */
  readonly file: string
  readonly code: string
  /** What stands after the code; empty where an example only runs. */
  readonly says: string
}

/** The examples of all comments below a folder. */
export function examplesBelow(folder: string): Example[] {
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && !name.includes('testing'))
    .sort()
    .flatMap((name) => {
      const source = readFileSync(join(folder, name), 'utf8')
      return [...source.matchAll(/@example[ \t]*\n?([^@]*?)(?=\n\s*\*\s*@|\s*\*\/)/g)].map(
        ([, body = '']) => {
          const text = body.replace(/^\s*\*[ \t]?/gm, '').trim()
          // A comment stands at the end; “//” within a string is none.
          const at = text.search(/\s\/\/ (?=[^\n]*$)/)
          const [code, says] = at < 0 ? [text, ''] : [text.slice(0, at), text.slice(at + 4)]
          return { file: name.replace(/\.ts$/, ''), code, says: says.trim() }
        },
      )
    })
}

/** What an example comes to. */
export function runExample(code: string, scope: Readonly<Record<string, unknown>>): unknown {
  // What is named first stands in statements of its own; the last of them is what it comes to.
  const statements = /^(const|let) /.test(code) ? code.split(/\n|; /) : [code]
  const result = statements.pop()!
  const body = [...statements, `return (${result})`].join('\n')
  const { outputText } = ts.transpileModule(`function run() {\n${body}\n}`, {
    compilerOptions: { target: ts.ScriptTarget.ES2022 },
  })
  // An example is the house's own text, and runs in nothing but a test.
  return new Function(...Object.keys(scope), `${outputText}\nreturn run()`)(...Object.values(scope))
}

/** What a comment says of a result, as a value; undefined where it says it in words. */
export function expectedOf(says: string): { readonly value: unknown } | null {
  // “, which is …”, “: the middle …” and “ at 35 °C” are words after a value.
  const number = /^−?-?[\d][\d .,]*(?:e-?\d+)?/.exec(says)?.[0]
  if (number !== undefined) return { value: Number(plainNumber(number)) }
  const literal = /^(\[.*\]|\{.*\}|'.*?'|true|false|null)/s.exec(says)?.[1]
  if (literal === undefined) return null
  const whole = literal.replace(/,?\s*…/g, '').replace(/−/g, '-')
  try {
    return { value: new Function(`return (${whole})`)() }
  } catch {
    return null
  }
}
