import { useId } from 'react'
import { Link } from 'react-router'
import type { InstrumentChoice } from '../store/useInstruments'

const BOX = 'w-full min-w-0 rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink'

/** The name of a scale or dyno, chosen from those of the workshop or typed; what is known of it is taken with it. */
export function InstrumentField({
  label,
  choice,
  value,
  problem,
  onChoose,
  autoFocus,
}: {
  label: string
  choice: InstrumentChoice
  value: string
  problem?: string | undefined
  onChoose: (name: string, known: InstrumentChoice['usual']) => void
  autoFocus?: boolean
}) {
  const id = useId()
  const known = choice.named(value)
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="text-[13px] text-muted">
        {label}
      </label>
      <input
        id={id}
        list={`${id}-known`}
        autoComplete="off"
        autoFocus={autoFocus}
        maxLength={80}
        className={BOX}
        value={value}
        aria-invalid={problem ? true : undefined}
        aria-describedby={`${id}-say`}
        onChange={(e) => onChoose(e.target.value, choice.named(e.target.value))}
      />
      <datalist id={`${id}-known`}>
        {choice.known.map((i) => (
          <option key={i.id} value={i.name} />
        ))}
      </datalist>
      <span
        id={`${id}-say`}
        role={problem ? 'alert' : undefined}
        className={`text-[12.5px] ${problem ? 'text-oxide' : 'text-muted'}`}
      >
        {problem ? (
          problem
        ) : known ? (
          <>
            Its own error ±{Number((known.ownError * 100).toFixed(2))} %
            {known.checkedOn ? `, checked ${known.checkedOn}` : ', never checked'}
          </>
        ) : (
          <>
            Not noted yet: the usual error is taken.{' '}
            <Link className="text-blued hover:underline" to="../scales?view=instruments" relative="path">
              Note it
            </Link>
          </>
        )}
      </span>
    </div>
  )
}
