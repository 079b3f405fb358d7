import { RECORDS, removalOf, withoutVersion, type RecordOf, type SheetStock } from '@bold-ballast/contract'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useWatch, type DefaultValues } from 'react-hook-form'
import { toast } from 'sonner'
import { put } from '../../../store/commit'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { FormQuantities, FormSelect, FormText } from '../../../ui/form'
import { FormNumber } from '../../../ui/FormNumber'
import { RowButtons } from '../../../ui/RowButtons'
import { SheetForm } from '../../../ui/SheetForm'
import { SideSheet } from '../../../ui/SideSheet'
import { useKeptForm } from '../../../ui/useKeptForm'
import { ThicknessField } from './ThicknessField'

type StockForm = RecordOf<'sheetStock'>
const NOTHING = undefined as unknown as number

/** The sheets that can be had here, with what they are made of and what they cost. */
export function StockSheet({ onClose }: { onClose: () => void }) {
  const { view, save } = useBuild()
  const [edited, setEdited] = useState<{ readonly stock: SheetStock | null } | null>(null)
  if (edited)
    return <StockForm key={edited.stock?.id ?? 'new'} stock={edited.stock} onClose={() => setEdited(null)} />
  const all = [...view.sheetStocks].sort((a, b) => a.order - b.order)
  const remove = ({ id, name }: SheetStock) => {
    save(`Remove ${name}`, removalOf(view, 'sheetStock', id))
    toast(`${name} removed. Ctrl+Z brings it back.`)
  }
  return (
    <SideSheet open onClose={onClose} title="Sheets to be had">
      <p className="mb-2 text-[13.5px] text-muted">
        Beside the usual sheets: what your dealer or your own oven makes, with its price. A maker’s figures go
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

function StockForm({ stock, onClose }: { stock: SheetStock | null; onClose: () => void }) {
  const { view, units, save } = useBuild()
  const [start] = useState((): DefaultValues<StockForm> =>
    stock
      ? withoutVersion(stock)
      : {
          id: crypto.randomUUID(),
          name: '',
          build: 'solid',
          stiffness: NOTHING,
          strength: NOTHING,
          density: NOTHING,
          coreDensity: null,
          coreShear: null,
          skin: null,
          thicknesses: [],
          across: 1,
          note: '',
          price: { base: 0, perMillimetre: NOTHING },
          order: Math.max(-1, ...view.sheetStocks.map((s) => s.order)) + 1,
        },
  )
  const { control, handleSubmit, kept } = useKeptForm<StockForm>(`stock.${stock?.id ?? view.build.id}`, {
    resolver: zodResolver(RECORDS.sheetStock),
    defaultValues: start,
  })
  const build = useWatch({ control, name: 'build' })
  const isSandwich = build === 'sandwich'
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit((typed) => {
    const record = { ...typed, ...(!isSandwich && { skin: null, coreDensity: null, coreShear: null }) }
    const faults = save(`${stock ? 'Change' : 'Add'} ${record.name}`, [put(view, 'sheetStock', record)])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  const money = view.build.currency ? `, ${view.build.currency}` : ''
  return (
    <SideSheet open onClose={onClose} title={stock ? 'Change the sheet' : 'Add a sheet'}>
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save the sheet">
        <div className="col-span-2">
          <FormText control={control} name="name" label="Called" autoFocus />
        </div>
        <FormSelect
          control={control}
          name="build"
          label="It is"
          options={[
            ['solid', 'solid all through'],
            ['sandwich', 'two skins on a core'],
          ]}
        />
        <ThicknessField control={control} />
        <FormQuantities
          control={control}
          units={units}
          fields={[
            ['stiffness', isSandwich ? 'Skin, modulus' : 'Modulus', 'stress', { unitSymbol: 'GPa' }],
            ['strength', isSandwich ? 'Skin, strength' : 'Strength', 'stress', { unitSymbol: 'MPa' }],
            ['density', isSandwich ? 'Skin, density' : 'Density', 'density'],
            ...(isSandwich
              ? ([
                  ['coreDensity', 'Core, density', 'density'],
                  [
                    'coreShear',
                    'Core, shear modulus',
                    'stress',
                    { unitSymbol: 'MPa', hint: 'A soft core gives way; empty takes 20 MPa' },
                  ],
                  ['skin', 'Each skin', 'length', { unitSymbol: 'mm' }],
                ] as const)
              : []),
            ['across', 'Across the grain', 'share', { hint: 'Of what it bears along; 100 for the same' }],
          ]}
        />
        <FormNumber control={control} name="price.base" label={`A square metre${money}`} />
        <FormNumber control={control} name="price.perMillimetre" label={`And each mm of it${money}`} />
        <div className="col-span-2">
          <FormText
            control={control}
            name="note"
            label="Notes"
            hint="How it is cut, what fluids do to it"
            rows={2}
          />
        </div>
      </SheetForm>
    </SideSheet>
  )
}
