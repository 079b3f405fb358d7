import type { JobLine, NameAnswer, UnknownName } from '@bold-ballast/model'
import { Button } from '../../../ui/Button'

const CALLED: Readonly<Record<UnknownName['kind'], string>> = {
  person: 'Nobody is called',
  part: 'No part is called',
  job: 'No job is called',
}
/** What may be made of a name, what is likeliest first. */
const CHOICES: Readonly<Record<UnknownName['kind'], readonly (readonly [NameAnswer['as'], string])[]>> = {
  person: [
    ['person', 'Somebody new'],
    ['words', 'Part of the job’s name'],
  ],
  part: [
    ['part', 'Make a part'],
    ['job', 'Make a job'],
  ],
  job: [
    ['job', 'Make a job'],
    ['part', 'Make a part'],
  ],
}

/** Names in a line that nobody and nothing has, each with what could be made of it. */
export function UnknownNames({
  line: { unknown },
  onAnswer,
}: {
  line: JobLine
  onAnswer: (name: string, as: NameAnswer['as']) => void
}) {
  if (unknown.length === 0) return null
  const asked = unknown.map(({ kind, name }) => (
    <span key={`${kind} ${name}`} className="mt-1 flex flex-wrap items-center gap-x-2 gap-y-1">
      <span className="text-oxide">
        {CALLED[kind]} “{name}”.
      </span>
      {CHOICES[kind].map(([as, says]) => (
        <Button key={as} onClick={() => onAnswer(name, as)}>
          {says}
          <span className="sr-only"> {name}</span>
        </Button>
      ))}
    </span>
  ))
  return (
    <>
      {asked}
      <span className="mt-1 block">What isn’t made is kept in the job’s note.</span>
    </>
  )
}
