/** Across a bar that decides the date: told apart by more than its colour. */
export const HATCHED = 'repeating-linear-gradient(135deg, var(--blued) 0 3px, var(--panel) 3px 7px)'

/** What the bars and lines of the timeline say. */
export function TimelineKey() {
  return (
    <p className="mt-2 flex flex-wrap gap-x-4 gap-y-1 text-[12.5px] text-muted" aria-hidden>
      <span>
        <span
          className="mr-1 inline-block h-3 w-6 border-2 border-ink align-middle"
          style={{
            background: HATCHED,
          }}
        />
        decides in more than half of the cases
      </span>
      <span>
        <span className="mr-1 inline-block h-3 w-6 border border-blued bg-solid align-middle" />
        another job
      </span>
      <span>
        <span className="mr-1 inline-block h-3 w-6 border border-dashed border-edge align-middle" />
        something that is waited for
      </span>
      <span>
        <span className="mr-1 inline-block h-[2px] w-6 bg-edge align-middle" />
        to where nine of ten cases have ended
      </span>
    </p>
  )
}
