import type { BuildDocument, PartToCome, RecordOf } from '@bold-ballast/contract'

/** A part that something planned will need, and that nobody has on the list yet. */
export interface PlannedPart {
  /** The line, component or option that it is for. */
  readonly key: string
  readonly part: Pick<PartToCome, 'name' | 'system'> &
    Partial<RecordOf<'part'>> & { readonly purpose: PartToCome['purpose'] }
}

/**
 * What a stage will need by what is planned: parts of its swaps that aren’t on yet, replacements of its components, options
 * that are compared, and spares of what wears that nobody has; less what stands on the list of parts already.
 *
 * @example partsPlanned(document, document.stages[0].id).length // 0
 */
export function partsPlanned(
  { swaps, lines, components, optionSets, parts }: BuildDocument,
  stageId: string,
): PlannedPart[] {
  const listed = new Set(parts.flatMap((p) => [p.lineId, p.componentId]).filter((id) => id !== null))
  const names = new Set(parts.filter((p) => p.stageId === stageId).map((p) => p.name.toLowerCase()))
  const here = new Set(swaps.filter((swap) => swap.stageId === stageId).map((swap) => swap.id))
  const planned: PlannedPart[] = [
    ...lines
      .filter((line) => here.has(line.swapId) && line.kind === 'on' && !line.fitted && line.role === 'part')
      .map(({ id, name, system, quantity }) => ({
        key: id,
        part: { name, system, quantity, lineId: id, purpose: 'planned' as const },
      })),
    ...components
      .filter((c) => c.stageId === stageId && c.replacement !== null)
      .map((c) => ({
        key: c.id,
        part: {
          name: c.replacement?.name ?? c.name,
          system: 'driveline' as const,
          price: c.replacement?.price ?? null,
          componentId: c.id,
          purpose: 'replacement' as const,
        },
      })),
    ...components
      .filter((c) => c.stageId === stageId && c.life !== null && c.spares === 0)
      .map((c) => ({
        key: `spare ${c.id}`,
        part: { name: `${c.name}, a spare`, system: 'driveline' as const, purpose: 'consumable' as const },
      })),
    ...optionSets
      .filter((set) => set.stageId === stageId)
      .flatMap((set) =>
        set.options.map((option) => ({
          key: option.id,
          part: { name: option.name, system: 'engine' as const, purpose: 'option' as const },
        })),
      ),
  ]
  return planned.filter(({ key, part }) => !listed.has(key) && !names.has(part.name.toLowerCase()))
}
