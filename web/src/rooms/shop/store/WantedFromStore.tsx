import { putEdit, withoutVersion } from '@bold-ballast/contract'
import { formatQuantity } from '@bold-ballast/core'
import { storedFor } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useWorkLibrary } from '../../../store/useWorkLibrary'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'
import { today } from '../../../ui/today'

/** What lies in the store and is called like a part that this build, or another of the workshop, wants. */
export function WantedFromStore() {
  const { view, saveSaying, unit } = useBuild()
  const library = useWorkLibrary()
  const kg = unit('mass')
  // What is wanted here first, then what lies here and is wanted elsewhere.
  const fits = useMemo(
    () => [
      ...storedFor(view.parts, library).map((one) => ({ ...one, wantedBy: null })),
      ...library
        .filter(({ buildId }) => buildId !== view.build.id)
        .flatMap(({ build, parts }) =>
          storedFor(
            parts,
            library.filter(({ buildId }) => buildId === view.build.id),
          ).map((one) => ({ ...one, wantedBy: build })),
        ),
    ],
    [view.parts, view.build.id, library],
  )
  const take = ({ part, stored, build }: (typeof fits)[number]) => {
    const wanted = view.parts.find((one) => one.id === part.id)
    if (!wanted) return
    const own = view.lines.find((line) => line.id === stored.id)
    saveSaying(
      `${part.name}: ${stored.name} out of the store`,
      [
        putEdit(view, 'part', {
          ...withoutVersion(wanted),
          state: 'arrived',
          condition: 'used',
          price: 0,
          priceGrade: 'measured',
          arrivedOn: today(),
          note: [wanted.note, `${stored.name} off ${build}, out of the store`].filter(Boolean).join('. '),
        }),
        ...(own ? [putEdit(view, 'line', { ...withoutVersion(own), liesAt: `taken for ${part.name}` })] : []),
      ],
      `${stored.name} is there for ${part.name}.`,
    )
  }
  if (fits.length === 0) return null
  return (
    <div className="mt-3">
      <h2 className="text-[20px]">Wanted, and perhaps in the store</h2>
      <ul aria-label="Wanted, and perhaps in the store">
        {fits.map((fit) => {
          const { part, stored, build, wantedBy } = fit
          return (
            <li
              key={part.id + stored.id}
              className="flex flex-wrap items-center justify-between gap-x-3 border-b border-line py-1 text-[15px]"
            >
              <span>
                <span className="font-medium">{part.name}</span>
                {wantedBy && ` for ${wantedBy}`}: {stored.name} off {build}
                {stored.liesAt && `, ${stored.liesAt}`}{' '}
                <span className="text-muted">{formatQuantity(stored.mass, kg)}</span>
              </span>
              {wantedBy === null && (
                <MayOnly right="log">
                  <Button className="!px-2" onClick={() => take(fit)}>
                    Take it
                    <span className="sr-only">
                      {' '}
                      {stored.name} for {part.name}
                    </span>
                  </Button>
                </MayOnly>
              )}
            </li>
          )
        })}
      </ul>
      <p className="text-[13px] text-muted">
        By their names and systems: whether it fits is looked at by hand.
      </p>
    </div>
  )
}
