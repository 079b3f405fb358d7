import { useBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { NOTHING } from '../../../ui/record/nothing'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { KNOWN_BY } from '../../../ui/optionsOf'

const { Field, Fields } = fieldsOf('optionSet')

const blankItem = () => ({
  name: '',
  price: NOTHING,
  mass: 0,
  massGrade: 'guess' as const,
  needed: true,
  wanted: true,
})
const blankOption = () => ({
  id: crypto.randomUUID(),
  name: '',
  power: 0,
  powerGrade: 'guess' as const,
  workTime: 0,
  forces: '',
  items: [blankItem()],
})
const blank = (stageId: string) => (id: string, order: number) => ({
  id,
  stageId,
  name: '',
  note: '',
  order,
  options: [blankOption(), blankOption()],
})

/** Alternatives for a job, each with the things that have to be bought with it. */
export function OptionSheet({ setId, onClose }: { setId: string | null; onClose: () => void }) {
  const { stage } = useBuild()
  const form = useRecordForm('optionSet', setId, {
    blank: blank(stage.id),
    says: ({ name }, isNew) => `${isNew ? 'Compare for' : 'Change'} ${name}`,
    onSaved: onClose,
  })
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Compare for a job' : 'Change the comparison'}
      says="Save the comparison"
      wide
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <Rows
        name="options"
        one="alternative"
        least={1}
        most={8}
        blank={blankOption}
        className="grid grid-cols-2 gap-3 border-t-2 border-edge pt-3"
      >
        {(at) => (
          <>
            <Field name={`options.${at}.name`} label={`Alternative ${at + 1}`} isWide />
            <Field name={`options.${at}.power`} />
            <Field name={`options.${at}.powerGrade`} options={KNOWN_BY} />
            <Fields names={[`options.${at}.workTime`, `options.${at}.forces`]} />
            <Rows
              name={`options.${at}.items`}
              one="item"
              of={`of alternative ${at + 1}`}
              most={40}
              blank={blankItem}
              className="grid grid-cols-2 items-start gap-2 sm:grid-cols-[1.6fr_1fr_1fr_1fr]"
              removes="beside"
            >
              {(i) => (
                <>
                  <Field name={`options.${at}.items.${i}.name`} label={`Item ${i + 1}`} />
                  <Fields names={[`options.${at}.items.${i}.price`, `options.${at}.items.${i}.mass`]} />
                  <Field name={`options.${at}.items.${i}.massGrade`} options={KNOWN_BY} />
                  <span className="col-span-2 text-[13px] sm:col-span-3">
                    <Field name={`options.${at}.items.${i}.needed`} label="can’t do without it" />
                  </span>
                </>
              )}
            </Rows>
          </>
        )}
      </Rows>
      <Field name="note" />
    </RecordSheet>
  )
}
