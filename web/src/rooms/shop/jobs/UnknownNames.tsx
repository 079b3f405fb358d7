import type { JobLine } from '@bold-ballast/model'

/** Names that a line says its job comes after or needs, and that nothing has. */
export function UnknownNames({ line: { unknown } }: { line: JobLine }) {
  if (unknown.length === 0) return null
  return (
    <span className="block text-oxide">
      Nothing is called {unknown.map((one) => `“${one}”`).join(' or ')}: it will wait for nothing there.
    </span>
  )
}
