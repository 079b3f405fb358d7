import { type Instrument, INSTRUMENT_KIND, putEdit } from '@bold-ballast/contract'
import { formatNumber, formatQuantity, isSameName } from '@bold-ballast/core'
import { useState } from 'react'
import { useInstrumentsQuery } from '../../../store/api'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { ListImport } from '../../../ui/ListImport'
import { RowButtons } from '../../../ui/RowButtons'
import { TableHead, FOLDED } from '../../../ui/TableHead'
import { InstrumentSheet } from './InstrumentSheet'
import { instrumentCsv, instrumentRows } from './instrumentRows'

const percent = (share: number) => `${formatNumber(share * 100, share < 0.01 ? 2 : 1)} %`

/** The workshop's scales and dynos: what each is off by anew, what by itself, and when that was last checked. */
export function InstrumentsView({
  open,
  onOpen,
}: {
  open: Instrument | 'new' | null
  onOpen: (open: Instrument | 'new' | null) => void
}) {
  const { view, unit, save, removeSaying, saveSaying } = useBuild()
  const { data: workshop = [] } = useInstrumentsQuery()
  const [isImporting, setImporting] = useState(false)
  const all = [...view.instruments].sort((a, b) => a.order - b.order)
  const isHere = (name: string, kind: string) => all.some((i) => i.kind === kind && isSameName(i.name, name))
  const elsewhere = workshop.filter(({ instrument: i }) => !isHere(i.name, i.kind))
  const usedBy = ({ name, kind }: Instrument) => {
    const is = (other: string) => isSameName(other, name)
    if (kind === 'dyno') {
      const days = view.dynoDays.filter((d) => is(d.dyno)).length
      return `${days} dyno ${days === 1 ? 'day' : 'days'}`
    }
    const cars = view.weighIns.filter((w) => is(w.scale)).length
    const parts = view.lines.filter((l) => l.weighing && is(l.weighing.scale)).length
    return (
      [
        ...(cars > 0 ? [`${cars} ${cars === 1 ? 'weigh-in' : 'weigh-ins'}`] : []),
        ...(parts > 0 ? [`${parts} ${parts === 1 ? 'part' : 'parts'}`] : []),
      ].join(', ') || 'nothing yet'
    )
  }
  const remove = (instrument: Instrument) => {
    const says = `${instrument.name} removed: the usual error is taken for it.`
    removeSaying('instrument', instrument.id, instrument.name, says)
  }
  const takeOver = ({ instrument }: (typeof elsewhere)[number]) => {
    const record = { ...instrument, id: crypto.randomUUID(), order: view.instruments.length }
    const edits = [putEdit(view, 'instrument', record)]
    saveSaying(`Note ${record.name}`, edits, `${record.name} is noted here, too.`)
  }
  return (
    <section aria-label="Scales and dynos" className="mt-3">
      {all.length === 0 ? (
        <EmptyRoom
          title="No scale or dyno noted yet"
          action={
            <Button look="main" onClick={() => onOpen('new')}>
              Note a scale or dyno
            </Button>
          }
        >
          What an instrument is off by itself is in everything that is read on it, and no repeat removes it.
          Until it is noted, pads are taken to be off by 0.1 %, and a dyno by 3 %.
        </EmptyRoom>
      ) : (
        <>
          <div className="flex flex-wrap items-center justify-between gap-2">
            <p className="max-w-[640px] text-[13.5px] text-muted">
              What an instrument is off by itself is in everything read on it: repeats don’t show it, and
              don’t remove it. It cancels only between readings of the same scale, or of the same dyno and
              day.
            </p>
            <span className="flex gap-1">
              <Button look="quiet" onClick={() => setImporting(true)}>
                From a CSV
              </Button>
              <Button
                look="quiet"
                onClick={() =>
                  download(`${view.build.name} scales and dynos.csv`, instrumentCsv(all), 'text/csv')
                }
              >
                CSV
              </Button>
            </span>
          </div>
          <table className="mt-2 w-full" data-testid="instruments">
            <TableHead
              folds
              columns={[
                { says: 'Name' },
                { says: 'Step', figures: true, className: 'pl-3' },
                { says: 'Repeats to', figures: true },
                { says: 'Its own error', figures: true },
                { says: 'Between days', figures: true },
                { says: 'Last checked', className: 'pl-5' },
                { says: 'Change', unseen: true },
              ]}
            />
            <tbody>
              {all.map((i) => (
                <tr
                  key={i.id}
                  className="border-b border-line @max-2xl:grid @max-2xl:grid-cols-3 @max-2xl:py-2"
                >
                  <th scope="row" className="py-1.5 text-left font-medium @max-2xl:col-span-3">
                    {i.name}
                    <span className="block text-[12.5px] font-normal text-muted">
                      {INSTRUMENT_KIND[i.kind]}, {usedBy(i)}
                      {i.note && `. ${i.note}`}
                    </span>
                  </th>
                  <td className="figure text-right text-[17px] whitespace-nowrap @max-2xl:text-left">
                    <span className={FOLDED}>step</span>
                    {i.resolution === null ? '–' : formatQuantity(i.resolution, unit('mass'), 2)}
                  </td>
                  <td className="figure text-right text-[17px] whitespace-nowrap @max-2xl:text-left">
                    <span className={FOLDED}>repeats to</span>±{percent(i.repeatability)}
                  </td>
                  <td className="figure text-right text-[17px] whitespace-nowrap @max-2xl:text-left">
                    <span className={FOLDED}>its own error</span>±{percent(i.ownError)}
                  </td>
                  <td className="figure text-right text-[17px] whitespace-nowrap @max-2xl:text-left">
                    <span className={FOLDED}>between days</span>
                    {i.betweenDays === null ? '–' : `±${percent(i.betweenDays)}`}
                  </td>
                  <td className="pl-5 text-[13.5px] @max-2xl:col-span-2 @max-2xl:pl-0">
                    {i.checkedOn ? (
                      <>
                        {i.checkedOn}
                        {i.checkedAgainst && <span className="block text-muted">{i.checkedAgainst}</span>}
                      </>
                    ) : (
                      <span className="text-ochre">never</span>
                    )}
                  </td>
                  <td className="text-right whitespace-nowrap @max-2xl:col-span-3 @max-2xl:text-left">
                    <RowButtons
                      name={i.name}
                      recordId={i.id}
                      onChange={() => onOpen(i)}
                      onRemove={() => remove(i)}
                    />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      {elsewhere.length > 0 && (
        <section aria-label="Noted for other builds" className="mt-4">
          <h2 className="text-[19px]">Noted for other builds</h2>
          <ul>
            {elsewhere.map((of) => (
              <li
                key={of.instrument.id}
                className="flex flex-wrap items-center gap-x-4 border-b border-line py-1"
              >
                <span className="font-medium">{of.instrument.name}</span>
                <span className="flex-1 text-[13.5px] text-muted">
                  {INSTRUMENT_KIND[of.instrument.kind]}, its own error ±{percent(of.instrument.ownError)},
                  from {of.build}
                </span>
                <Button look="quiet" onClick={() => takeOver(of)}>
                  Note it here, too<span className="sr-only">: {of.instrument.name}</span>
                </Button>
              </li>
            ))}
          </ul>
        </section>
      )}
      {open && (
        <InstrumentSheet
          key={open === 'new' ? 'new' : open.id}
          instrument={open === 'new' ? null : open}
          onClose={() => onOpen(null)}
        />
      )}
      {isImporting && (
        <ListImport
          title="Scales and dynos from a CSV"
          field="CSV of scales and dynos"
          things={['instrument', 'instruments']}
          read={(text) => instrumentRows(text, view.instruments.length, () => crypto.randomUUID())}
          says={(i) =>
            `${i.name}, ${INSTRUMENT_KIND[i.kind].toLowerCase()}, own error ±${percent(i.ownError)}`
          }
          onAdd={(some) =>
            save(
              `Note ${some.length} instruments`,
              some.map((i) => putEdit(view, 'instrument', i)),
            )?.[0]?.problem ?? null
          }
          onClose={() => setImporting(false)}
        >
          A first line with name and kind; step, repeats to, own error, between days, and when it was checked
          against what, where they are known.
        </ListImport>
      )}
    </section>
  )
}
