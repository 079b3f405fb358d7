import { ToggleGroup } from 'radix-ui'

export interface ChoiceProps<T extends string> {
  /** What is chosen, for screen readers. */
  readonly label: string
  readonly value: T
  readonly options: readonly (readonly [T, string])[]
  readonly onChange: (value: T) => void
}

/** One of a few, side by side. */
export function Choice<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
  return (
    <ToggleGroup.Root
      type="single"
      value={value}
      onValueChange={(v) => v && onChange(v as T)}
      aria-label={label}
      className="flex flex-wrap gap-1"
    >
      {options.map(([option, words]) => (
        <ToggleGroup.Item
          key={option}
          value={option}
          className="rounded-[3px] border border-edge px-3 py-1 data-[state=on]:border-blued data-[state=on]:bg-blued data-[state=on]:text-on-blued"
        >
          {words}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  )
}
