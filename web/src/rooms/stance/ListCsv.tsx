import { RECORDS, type RecordOf } from '@bold-ballast/contract'
import { columnsOf, csvList, wordingOf, type MoreColumns } from '@bold-ballast/words'
import { useBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { download } from '../../ui/download'

type Listed = 'setup' | 'alignment' | 'tyreReading' | 'brakeReading'
const LISTED = {
  setup: 'set-up sheets',
  alignment: 'alignments',
  tyreReading: 'tyre readings',
  brakeReading: 'brake readings',
} as const satisfies Readonly<Record<Listed, string>>

/** Sheets or readings as a CSV: a row each, in the units of the build, with the stage and the sheet they belong to. */
export function ListCsv<K extends Listed>({
  kind,
  records,
  more,
}: {
  kind: K
  records: readonly RecordOf<K>[]
  more?: MoreColumns<RecordOf<K>>
}) {
  const { view, ledger } = useBuild()
  const save = () => {
    const list = csvList<RecordOf<Listed>>(RECORDS[kind], columnsOf(RECORDS[kind], view.build.units))
    const stageOf = (id: string) => ledger.stages.find((s) => s.id === id)?.name
    const sheetOf = (record: RecordOf<Listed>) =>
      'order' in record
        ? record.order
        : 'setupId' in record && view.setups.find((s) => s.id === record.setupId)?.order
    const text = list.write(records, wordingOf(view), {
      titles: ['stage', 'sheet', ...(more?.titles ?? [])],
      cells: (record) => [
        stageOf(record.stageId),
        sheetOf(record) || '',
        ...(more?.cells(record as RecordOf<K>) ?? []),
      ],
    })
    download(`${view.build.name} ${LISTED[kind]}.csv`, text, 'text/csv')
  }
  return (
    <Button look="quiet" onClick={save} disabled={records.length === 0}>
      CSV<span className="sr-only"> of {LISTED[kind]}</span>
    </Button>
  )
}
