import { type SheetStock } from '@bold-ballast/contract'
import { useState } from 'react'
import { useWatch } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { RowButtons } from '../../../ui/RowButtons'
import { SideSheet } from '../../../ui/SideSheet'
import { ThicknessField } from './ThicknessField'

/** The sheets that can be had here, with what they are made of and what they cost. */
export function StockSheet({ onClose }: { onClose: () => void }) {
  const { view, removeSaying } = useBuild()
  const [edited, setEdited] = useState<{ readonly stock: SheetStock | null } | null>(null)
  if (edited)
    return <StockForm key={edited.stock?.id ?? 'new'} stock={edited.stock} onClose={() => setEdited(null)} />
  const all = [...view.sheetStocks].sort((a, b) => a.order - b.order)
  const remove = ({ id, name }: SheetStock) => {
    removeSaying('sheetStock', id, name)
  }
  return (
    <SideSheet open onClose={onClose} title="Sheets to be had">
      <p className="mb-2 text-[13.5px] text-muted">
        Beside the usual stocks: what your dealer or your own oven makes, with its price. A maker’s figures go
        before usual ones.
      </p>
      <ul data-testid="stock">
        {all.map((stock) => (
          <li key={stock.id} className="flex items-center gap-1 border-b border-line py-1.5">
            <span className="min-w-0 flex-1">{stock.name}</span>
            <RowButtons
              name={stock.name}
              onChange={() => setEdited({ stock })}
              onRemove={() => remove(stock)}
            />
          </li>
        ))}
      </ul>
      <Button look="main" className="mt-3" onClick={() => setEdited({ stock: null })}>
        Add a sheet
      </Button>
    </SideSheet>
  )
}

const { Field, Fields } = fieldsOf('sheetStock')

const blank = (id: string, order: number) => ({
  id,
  name: '',
  build: 'solid' as const,
  coreDensity: null,
  coreShear: null,
  skin: null,
  thicknesses: [],
  across: 1,
  note: '',
  price: { base: 0 },
  order,
})

function StockForm({ stock, onClose }: { stock: SheetStock | null; onClose: () => void }) {
  const form = useRecordForm('sheetStock', stock?.id ?? null, {
    blank,
    says: ({ name }, isNew) => `${isNew ? 'Add' : 'Change'} ${name}`,
    onSaved: onClose,
    completed: (typed) =>
      typed.build === 'sandwich' ? typed : { ...typed, skin: null, coreDensity: null, coreShear: null },
  })
  const isSandwich = useWatch({ control: form.control, name: 'build' }) === 'sandwich'
  const ofSkin = (label: string) => (isSandwich ? `Skin, ${label.toLowerCase()}` : label)
  return (
    <RecordSheet
      form={form}
      title={stock ? 'Change the sheet' : 'Add a sheet'}
      says="Save the sheet"
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <Field name="build" />
      <ThicknessField control={form.control} />
      <Field name="stiffness" label={ofSkin('Modulus')} />
      <Field name="strength" label={ofSkin('Strength')} />
      <Field name="density" label={ofSkin('Density')} />
      {isSandwich && <Fields names={['coreDensity', 'coreShear', 'skin']} />}
      <Fields names={['across', 'price.base', 'price.perMillimetre', 'note']} />
    </RecordSheet>
  )
}
