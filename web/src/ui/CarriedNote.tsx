/** What a sheet shows of a stage that has no such record of its own yet. */
export function CarriedNote({
  from,
  stage,
}: {
  /** The stage it was carried on from; null where it is the stage's own. */
  from: { readonly name: string } | null
  stage: { readonly name: string }
}) {
  return (
    from && (
      <p className="mb-3 text-[13.5px] text-muted">
        Carried on from {from.name}; what is changed here holds from {stage.name} on.
      </p>
    )
  )
}
