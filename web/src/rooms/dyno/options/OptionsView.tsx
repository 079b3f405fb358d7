import { withoutVersion, COMPARATOR, MEASURE, putEdit, type OptionSet } from '@bold-ballast/contract'
import { isHeadline, marksOf, powerOf } from '@bold-ballast/model'
import { csvOf, HEADLINE_QUANTITY } from '@bold-ballast/words'
import {
  compareOptions,
  formatNumber,
  formatQuantity,
  fromSi,
  spreadFromSi,
  type OptionFigures,
  itemAt,
} from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { useMoney } from '../../../store/useMoney'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { VERDICT_TEXT } from '../../../ui/PlumbBar'
import { RowButtons } from '../../../ui/RowButtons'

type Option = OptionSet['options'][number]

/** Alternatives for one job side by side: complete price, mass, power, what they force, and the marks. */
export function OptionsView({ onOpen }: { onOpen: (id: string | null) => void }) {
  const { view, stage } = useBuild()
  const sets = useMemo(
    () => view.optionSets.filter((s) => s.stageId === stage.id).sort((a, b) => a.order - b.order),
    [view.optionSets, stage.id],
  )
  const others = view.optionSets.length - sets.length
  if (sets.length === 0)
    return (
      <EmptyRoom
        title="Nothing to compare at this stage"
        action={
          <Button look="main" onClick={() => onOpen(null)}>
            Compare for a job
          </Button>
        }
      >
        Two or more ways to do one job: cams or throttle bodies, a thicker core or a radiator in the boot.
        Each with everything that has to be bought with it, its mass and power, and what else it forces;
        beside the marks of this stage.
        {others > 0 && ` There ${others === 1 ? 'is one' : `are ${others}`} at other stages.`}
      </EmptyRoom>
    )
  return sets.map((set) => <Comparison key={set.id} set={set} onOpen={onOpen} />)
}

function Comparison({ set, onOpen }: { set: OptionSet; onOpen: (id: string) => void }) {
  const { view, stage, unit, save, removeSaying } = useBuild()
  const { summary } = useLiveBuild()
  const marks = useMemo(() => marksOf(view, stage.id).filter(isHeadline), [view, stage.id])
  const car = useMemo(() => ({ mass: summary.mass, power: powerOf(summary) }), [summary])
  const figures = useMemo(
    () =>
      compareOptions(
        set.options.map((o) => ({ ...o, forces: o.forces ? [o.forces] : [] })),
        car,
        marks,
      ),
    [set.options, marks, car],
  )
  const mass = unit('mass')
  const power = unit('power')
  const money = useMoney(view.build.currency)
  const want = (option: Option, item: number, wanted: boolean) =>
    save(`${wanted ? 'Want' : 'Don’t want'} ${itemAt(option.items, item).name}`, [
      putEdit(view, 'optionSet', {
        ...withoutVersion(set),
        options: set.options.map((o) =>
          o.id === option.id
            ? { ...o, items: o.items.map((x, i) => (i === item ? { ...x, wanted } : x)) }
            : o,
        ),
      }),
    ])
  const remove = () => {
    removeSaying('optionSet', set.id, set.name)
  }
  const signed = (si: number, of: typeof mass, decimals = of.decimals) =>
    `${si > 0 ? '+' : ''}${formatNumber(fromSi(si, of), decimals)}`
  const cheapest = Math.min(...figures.map((f) => f.price))
  const rows: [string, (f: OptionFigures, o: Option) => React.ReactNode][] = [
    ['Price, complete', (f) => <Big wins={f.price === cheapest && figures.length > 1}>{money(f.price)}</Big>],
    [
      'Mass',
      (f) => (
        <Big>{`${signed(f.mass.value, mass)} ±${formatNumber(spreadFromSi(f.mass.sigma, mass, f.mass.value), f.mass.sigma < 0.1 ? 2 : 1)} ${mass.symbol}`}</Big>
      ),
    ],
    [
      'Power at the wheels',
      (f, o) =>
        f.power.value === 0 ? (
          'none'
        ) : (
          <>
            <Big>{`${signed(f.power.value, power)} ±${formatNumber(f.power.sigma / power.factor, 1)} ${power.symbol}`}</Big>{' '}
            <span className="unit">{o.powerGrade}</span>
          </>
        ),
    ],
    ['Hands on it', (_, o) => `${formatNumber(o.workTime / 3600, 0)} h`],
    [
      `Price of a ${power.symbol}`,
      (f) => (f.perKilowatt === null ? '–' : money((f.perKilowatt * power.factor) / 1000)),
    ],
    [
      'Power to weight with it',
      (f) => (car.power ? formatQuantity(f.powerToWeight.value, unit('powerToWeight')) : '–'),
    ],
    ...marks.map((mark): [string, (f: OptionFigures) => React.ReactNode] => {
      const of = unit(HEADLINE_QUANTITY[mark.measure])
      return [
        `Mark: ${MEASURE[mark.measure].toLowerCase()} ${COMPARATOR[mark.comparator]} ${formatQuantity(mark.value, of)}`,
        (f) => {
          const judged = f.marks.find((m) => m.id === mark.id)
          if (!judged || (mark.measure !== 'mass' && !car.power)) return '–'
          const { margin, verdict } = judged
          const away = Math.abs(
            of.reciprocal ? fromSi(mark.value, of) - fromSi(mark.value + margin, of) : margin / of.factor,
          )
          return (
            <span className={VERDICT_TEXT[verdict]}>
              {formatNumber(away, of.decimals)} {of.symbol} {margin >= 0 ? 'in hand' : 'short'}
              {verdict === 'cantTell' && ', can’t tell yet'}
            </span>
          )
        },
      ]
    }),
    ['What it forces', (_, o) => o.forces || 'nothing said'],
  ]
  const saveCsv = () => {
    const header = [
      'alternative',
      `price${view.build.currency && ` (${view.build.currency})`}`,
      'mass (kg)',
      'power (W)',
      'hours',
      'forces',
    ]
    const body = set.options.map((o, i) => [
      o.name,
      itemAt(figures, i).price,
      itemAt(figures, i).mass.value,
      o.power,
      o.workTime / 3600,
      o.forces,
    ])
    download(`${view.build.name} ${set.name}.csv`, csvOf(header, body), 'text/csv')
  }
  return (
    <section aria-label={set.name} className="mb-6">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-[21px]">{set.name}</h2>
        <span className="flex gap-1">
          <Button look="quiet" onClick={saveCsv}>
            CSV
          </Button>
          <RowButtons name={set.name} recordId={set.id} onChange={() => onOpen(set.id)} onRemove={remove} />
        </span>
      </div>
      {set.note && <p className="text-[13.5px] text-muted">{set.note}</p>}
      <div className="overflow-x-auto" role="region" aria-label={`Alternatives for ${set.name}`} tabIndex={0}>
        <table className="w-full min-w-[520px]" data-testid="options">
          <thead>
            <tr className="border-b border-edge">
              <th scope="col" className="w-[190px] py-1 text-left text-[12.5px] font-normal text-muted">
                Alternative
              </th>
              {set.options.map((o) => (
                <th key={o.id} scope="col" className="figure px-2 py-1 text-left text-[19px]">
                  {o.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([words, cell]) => (
              <tr key={words} className="border-b border-line align-top">
                <th scope="row" className="py-1.5 pr-2 text-left text-[13.5px] font-normal text-muted">
                  {words}
                </th>
                {set.options.map((o, i) => (
                  <td key={o.id} className="px-2 py-1.5">
                    {cell(itemAt(figures, i), o)}
                  </td>
                ))}
              </tr>
            ))}
            <tr className="align-top">
              <th scope="row" className="py-1.5 text-left text-[13.5px] font-normal text-muted">
                What must be bought with it
              </th>
              {set.options.map((o) => (
                <td key={o.id} className="px-2 py-1.5 text-[13px]">
                  <ul>
                    {o.items.map((item, i) => (
                      <li key={i} className="flex justify-between gap-3 border-b border-line py-0.5">
                        {item.needed ? (
                          item.name
                        ) : (
                          <label className="flex items-center gap-2">
                            <input
                              type="checkbox"
                              className="size-4 accent-blued"
                              checked={item.wanted}
                              onChange={(e) => want(o, i, e.target.checked)}
                            />
                            {item.name}, priced apart
                          </label>
                        )}
                        <span className="whitespace-nowrap text-muted">
                          {money(item.price)}
                          {item.mass !== 0 && `, ${signed(item.mass, mass)} ${mass.symbol}`}
                        </span>
                      </li>
                    ))}
                  </ul>
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
    </section>
  )
}

function Big({ wins = false, children }: { wins?: boolean; children: React.ReactNode }) {
  return (
    <span className={`figure text-[18px] whitespace-nowrap ${wins ? 'text-zinc' : ''}`}>
      {children}
      {wins && <span className="unit"> least</span>}
    </span>
  )
}
