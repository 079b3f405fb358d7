import { HANDLING, type Run } from '@bold-ballast/contract'
import { useMay } from '../../../store/me'

type Words = Run['words']
const PARTS = [
  ['braking', 'Braking', ['front', 'right', 'rear']],
  ['entry', 'Entry', ['pushes', 'right', 'turnsTooMuch']],
  ['middle', 'Middle', ['pushes', 'right', 'turnsTooMuch']],
  ['exit', 'Exit', ['pushes', 'right', 'turnsTooMuch']],
  ['traction', 'Traction', ['front', 'right', 'rear']],
] as const

/** What the driver says of each part of a corner: a touch each; the same touch again takes it back. */
export function DriverSays({
  words,
  isEntered,
  onWords,
}: {
  words: Words
  isEntered: boolean
  onWords: (words: Words) => void
}) {
  const may = useMay('log')
  if (!may || !isEntered) {
    const said = PARTS.flatMap(([part, label]) => {
      const word = words[part]
      return word === null ? [] : [`${label.toLowerCase()} ${HANDLING[word]}`]
    })
    return said.length === 0 ? null : (
      <p className="mt-1 text-[14.5px]" data-testid="driver-says">
        The driver says: {said.join(', ')}.
      </p>
    )
  }
  return (
    <fieldset className="mt-2" data-testid="driver-says">
      <legend className="text-[13px] text-muted">The driver says</legend>
      <div className="grid gap-1 @2xl:grid-cols-5 @2xl:gap-2">
        {PARTS.map(([part, label, says]) => (
          <div
            key={part}
            role="group"
            aria-label={label}
            className="flex items-center gap-1 @2xl:flex-col @2xl:items-stretch"
          >
            <span className="w-[64px] shrink-0 text-[13px] text-muted @2xl:w-auto">{label}</span>
            {says.map((say) => {
              const isOn = words[part] === say
              return (
                <button
                  key={say}
                  type="button"
                  disabled={!may}
                  aria-pressed={isOn}
                  onClick={() => onWords({ ...words, [part]: isOn ? null : say })}
                  className={`min-h-[30px] flex-1 rounded-[3px] border px-1.5 text-[13px] ${isOn ? 'border-blued bg-blued text-on-blued' : 'border-line text-muted hover:border-edge'} ${isOn ? '' : 'no-print'}`}
                >
                  {HANDLING[say]}
                </button>
              )
            })}
          </div>
        ))}
      </div>
    </fieldset>
  )
}
