import { AXLE_WORDS, CORNER_WORDS, type RecordOf, type Setup } from '@bold-ballast/contract'
import {
  CORNERS,
  formatFigure,
  formatNumber,
  formatQuantity,
  perCorner,
  settle,
  springsOf,
  STANDARD_GRAVITY,
  toeDifference,
  type Corner,
  type Unit,
} from '@bold-ballast/core'
import { AXLE_ENDS, soFar } from '@bold-ballast/model'
import { describeValue, wordingOf } from '@bold-ballast/words'
import { useState } from 'react'
import { useSheetDifferences } from '../../../sheets/useSheetDifferences'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { Button } from '../../../ui/Button'
import { Choose } from '../../../ui/Choose'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { ListCsv } from '../ListCsv'
import { TableHead } from '../../../ui/TableHead'
import { RowButtons } from '../../../ui/RowButtons'
import { NameSheet } from './NameSheet'
import { ElsewhereDot } from '../../../ui/ElsewhereDot'

/** All sheets, the one that is looked at, and what differs from another. */
export function SetupView({ onSheet }: { onSheet: (id: string | null) => void }) {
  const { view, ledger, stage, removeSaying } = useBuild()
  const { setup } = useLiveCar()
  const sheets = soFar(view.setups, ledger.stages, stage.id).sort((a, b) => b.order - a.order)
  const [chosen, setChosen] = useState<string | null>(null)
  const [other, setOther] = useState<string | null>(null)
  const [isNaming, setNaming] = useState(false)
  const sheet = sheets.find((s) => s.id === chosen) ?? setup?.value ?? null
  const before = sheet ? (sheets.find((s) => s.order < sheet.order) ?? null) : null
  const against = sheets.find((s) => s.id === other && s.id !== sheet?.id) ?? before
  const differencesOf = useSheetDifferences()
  const differences = differencesOf(sheet, against)
  if (!sheet || sheets.length === 0)
    return (
      <EmptyRoom
        title="No set-up sheet yet"
        action={
          <Button look="main" onClick={() => onSheet(null)}>
            Write the first sheet
          </Button>
        }
      >
        One sheet holds all that is turned, bolted or pumped: springs, bars, clicks, heights, camber, toe,
        pressures, brake bar, wing holes. Each change is the next sheet, with why and what it is meant to do,
        so that a run can point to what it was driven on and two sheets show only what differs.
      </EmptyRoom>
    )
  const drivenOn = (id: string) => view.outings.filter((o) => o.setupId === id)
  const isNewest = sheet.id === sheets[0]?.id
  const days = drivenOn(sheet.id)
  const wings = {
    titles: ['wings and splitter'],
    cells: (s: RecordOf<'setup'>) => [describeValue('setup', 'wings', s.wings, wordingOf(view), s)],
  }
  const name = (s: Setup) => `Sheet ${s.order}${s.name ? `, ${s.name}` : ''}`
  return (
    <section
      aria-label="Set-up sheets"
      className="grid grid-cols-[minmax(0,1fr)] items-start gap-6 @4xl:grid-cols-[minmax(0,1fr)_300px]"
    >
      <div>
        <div className="flex flex-wrap items-baseline justify-between gap-2">
          <h2 className="text-[22px]" data-testid="sheet-name">
            <span className="hidden print:inline">{view.build.name}, </span>
            {name(sheet)} <ElsewhereDot recordId={sheet.id} />
            <span className="ml-2 text-[13.5px] font-normal text-muted">
              {sheet.date}
              {sheet.driver && `, ${sheet.driver}`}
              {sheet.course && `, ${sheet.course}`}
              {sheet.weather && `, ${sheet.weather}`}
            </span>
          </h2>
          <span className="no-print flex gap-1">
            <Button look="quiet" onClick={() => window.print()}>
              Print
            </Button>
            <Button look="quiet" onClick={() => setNaming(true)}>
              {sheet.name ? 'Call it otherwise' : 'It is a good one: name it'}
            </Button>
            {isNewest && days.length === 0 && (
              <RowButtons
                name={name(sheet)}
                onChange={() => onSheet(sheet.id)}
                onRemove={() => removeSaying('setup', sheet.id, name(sheet))}
              />
            )}
          </span>
        </div>
        {(sheet.why || sheet.meant) && (
          <p className="max-w-[680px] text-[15px]" data-testid="sheet-why">
            {sheet.why && <>Why: {sheet.why}. </>}
            {sheet.meant && <>Meant to: {sheet.meant}.</>}
          </p>
        )}
        <p className="text-[13.5px] text-muted">
          {days.length > 0
            ? `Driven on ${days.map((d) => `${d.name} (${d.date})`).join(', ')}.`
            : 'Nobody has driven on it yet.'}
          {!isNewest && ' An older sheet stays as it was: the next one begins from the newest.'}
        </p>
        {against && (
          <div className="no-print mt-3 rounded-[3px] border border-line bg-panel p-3">
            <div className="flex flex-wrap items-end gap-3">
              <Choose
                label="Against"
                wide={false}
                value={against.id}
                options={sheets.filter((s) => s.id !== sheet.id).map((s) => [s.id, name(s)] as const)}
                onChange={setOther}
              />
              <p className="pb-1 text-[15px]" data-testid="sheet-differs">
                {differences.length === 0
                  ? 'Nothing differs.'
                  : differences.length === 1
                    ? 'One thing differs: what the laps show is its doing.'
                    : `${differences.length} things differ at once: the laps can’t tell which did it.`}
              </p>
            </div>
            <ul className="mt-2" data-testid="sheet-differences">
              {differences.map(({ label, before: was, after }) => (
                <li key={label} className="grid gap-x-3 border-b border-line py-1 @2xl:grid-cols-[1fr_1fr]">
                  <span>{label.replace(/^./, (c) => c.toUpperCase())}</span>
                  <span>
                    <span className="text-muted">{was}</span> → <b className="font-medium">{after}</b>
                  </span>
                </li>
              ))}
            </ul>
            <Jacked sheet={sheet} against={against} />
          </div>
        )}
        <WholeSheet sheet={sheet} />
      </div>
      <div className="no-print">
        <ol aria-label="All sheets" data-testid="all-sheets" className="border-l border-line">
          {sheets.map((s) => (
            <li key={s.id}>
              <button
                type="button"
                aria-current={s.id === sheet.id ? 'true' : undefined}
                onClick={() => setChosen(s.id)}
                className={`w-full px-3 py-2 text-left hover:bg-panel ${s.id === sheet.id ? 'border-l-[3px] border-blued bg-panel' : ''}`}
              >
                <span className="figure text-[18px]">{s.order}</span>{' '}
                <span className="font-medium">{s.name}</span>
                <span className="block text-[13px] text-muted">
                  {s.date}
                  {s.why && `: ${s.why}`}
                </span>
              </button>
            </li>
          ))}
        </ol>
        <p className="mt-1 px-2">
          <ListCsv kind="setup" records={sheets} more={wings} />
        </p>
      </div>
      {isNaming && <NameSheet key={sheet.id} setupId={sheet.id} onClose={() => setNaming(false)} />}
    </section>
  )
}

/** What perches that were turned did to corner loads and heights: statics of the car on its springs. */
function Jacked({ sheet, against }: { sheet: Setup; against: Setup }) {
  const { built, unit } = useBuild()
  const { stance, withDriver, centre } = useLiveCar()
  const turned = perCorner((c) => {
    const [now, was] = [sheet.perches[c], against.perches[c]]
    return now === null || was === null ? 0 : now - was
  })
  if (!built.springs || CORNERS.every((c) => turned[c] === 0)) return null
  const ratioOf = (c: Corner) => stance[c.startsWith('front') ? 'front' : 'rear'].ratio.value
  // A perch that goes up makes the wheel hang lower by as much as the ratio says.
  const raised = perCorner((c) => turned[c] / ratioOf(c))
  const { loads, heave } = settle(springsOf(built, centre.x.value, withDriver.value), raised)
  const mass = unit('mass')
  return (
    <p className="mt-2 text-[14px]" data-testid="jacked">
      The perches move{' '}
      {CORNERS.map(
        (c) =>
          `${CORNER_WORDS[c].toLowerCase()} ${loads[c] > 0 ? '+' : ''}${formatQuantity(loads[c] / STANDARD_GRAVITY, mass)}`,
      ).join(', ')}
      , and the body {heave >= 0 ? 'up' : 'down'} by {formatNumber(Math.abs(heave) * 1000, 1)} mm.
    </p>
  )
}

const DASH = '–'
/** The sheet as it would be pinned to the wall. */
function WholeSheet({ sheet }: { sheet: Setup }) {
  const { view, unit, ledger, stage } = useBuild()
  const pressure = unit('pressure')
  const length = unit('length')
  const degrees = (rad: number | null) => (rad === null ? DASH : `${formatNumber((rad * 180) / Math.PI, 2)}°`)
  const mm = (m: number | null) => (m === null ? DASH : formatQuantity(m, length))
  const figure = (si: number | null, of: Unit) => (si === null ? DASH : formatFigure(si, of))
  const toe = (rad: number | null) =>
    rad === null
      ? DASH
      : `${rad > 0 ? 'in ' : rad < 0 ? 'out ' : ''}${formatNumber(Math.abs(toeDifference(rad, sheet.toeWidth)) * 1000, 1)}`
  const clicks = ({ bump, rebound, fastBump, fastRebound }: Setup['dampers']['frontLeft']) =>
    [bump, rebound, fastBump, fastRebound].every((c) => c === null)
      ? DASH
      : [bump, rebound, fastBump, fastRebound]
          .map((c) => c ?? DASH)
          .slice(0, fastBump === null && fastRebound === null ? 2 : 4)
          .join(' / ')
  const rows: readonly (readonly [string, (c: Corner) => string])[] = [
    [`Cold, ${pressure.symbol}`, (c) => figure(sheet.cold[c], pressure)],
    [`Wanted hot, ${pressure.symbol}`, (c) => figure(sheet.hot[c], pressure)],
    ['Clicks, bump / rebound', (c) => clicks(sheet.dampers[c])],
    [`Ride height, ${length.symbol}`, (c) => figure(sheet.heights[c], length)],
    [`Perch, ${length.symbol}`, (c) => figure(sheet.perches[c], length)],
    ['Camber', (c) => degrees(sheet.camber[c])],
    ['Toe, mm', (c) => toe(sheet.toe[c])],
  ]
  const shown = rows.filter(([, of]) => CORNERS.some((c) => of(c) !== DASH))
  const axle = (end: 'front' | 'rear') =>
    [
      sheet.springs[end].main !== null &&
        `spring ${formatQuantity(sheet.springs[end].main, unit('stiffness'))}`,
      sheet.springs[end].preload !== null && `preload ${mm(sheet.springs[end].preload)}`,
      sheet.bars[end].isOn ? sheet.bars[end].setting && `bar in ${sheet.bars[end].setting}` : 'bar off',
      sheet.packers[end] !== null && `packers ${mm(sheet.packers[end])}`,
      sheet.tyres[end].size,
      sheet.tyres[end].compound,
      sheet.tyres[end].set && `set ${sheet.tyres[end].set}`,
      sheet.tyres[end].laps !== null && `${sheet.tyres[end].laps} laps on them`,
    ].filter(Boolean)
  const rest = [
    sheet.caster.left !== null && `Caster ${degrees(sheet.caster.left)} / ${degrees(sheet.caster.right)}`,
    sheet.brakeBar !== null && `Brake bar ${formatNumber(sheet.brakeBar * 100, 1)} % front`,
    sheet.differential && `Differential: ${sheet.differential}`,
    sheet.fuel !== null && `Fuel ${formatQuantity(sheet.fuel, unit('volume'))}`,
    ...sheet.wings.map((w) => {
      const element = view.aeroElements.find((e) => e.id === w.elementId)
      return `${element?.name ?? 'Wing'} ${[w.hole, w.angle !== null && degrees(w.angle)].filter(Boolean).join(', ')}`
    }),
    sheet.heightsAt && `Heights at ${sheet.heightsAt}`,
  ].filter(Boolean)
  const from = ledger.stages.find((s) => s.id === sheet.stageId)
  return (
    <div
      className="mt-4 max-w-[720px] rounded-[3px] border border-edge bg-panel p-4"
      data-testid="whole-sheet"
    >
      <div className="overflow-x-auto">
        <table className="w-full text-[15px]">
          <caption className="sr-only">Sheet {sheet.order}, by corner</caption>
          <TableHead
            columns={[
              { says: 'What', unseen: true },
              ...CORNERS.map((c) => ({ says: CORNER_WORDS[c], figures: true, className: 'px-1' })),
            ]}
          />
          <tbody>
            {shown.map(([label, of]) => (
              <tr key={label} className="border-t border-line">
                <th scope="row" className="py-1.5 pr-2 text-left font-normal">
                  {label}
                </th>
                {CORNERS.map((c) => (
                  <td key={c} className="px-1 text-right whitespace-nowrap tabular-nums">
                    {of(c)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {AXLE_ENDS.map((end) => {
        const parts = axle(end)
        return (
          parts.length > 0 && (
            <p key={end} className="mt-2 border-t border-line pt-2 text-[15px]">
              <span className="text-muted">{AXLE_WORDS[end]}:</span> {parts.join(', ')}
            </p>
          )
        )
      })}
      {rest.length > 0 && <p className="mt-2 border-t border-line pt-2 text-[15px]">{rest.join(' · ')}</p>}
      {sheet.note && <p className="mt-2 text-[14px]">{sheet.note}</p>}
      {from && from.id !== stage.id && (
        <p className="mt-2 text-[12.5px] text-muted">Written in {from.name}, carried on since.</p>
      )}
    </div>
  )
}
