import { lazy, Suspense } from 'react'
import type { Workshop } from '../../core/record/schemas'
import { saveShop } from '../../store/records'
import { NumberField, SelectField, TextField } from '../../ui/PlainFields'
import { QuantityField } from '../../ui/QuantityField'
import { Place } from '../Place'
import { ColdPart } from './ColdPart'
import { DataKeeping } from './DataKeeping'
import { LearningPart } from './LearningPart'
import { OvensPart } from './OvensPart'
import { PricesPart } from './PricesPart'

// Student's t is a large table: it comes once the place stands.
const BlockCheck = lazy(() => import('./BlockCheck'))

export default function WorkshopPlace() {
  return <Place>{shop => <WorkshopView shop={shop} />}</Place>
}

type Edit = (part: Partial<Workshop>) => void

/** What the shop has: every suggestion starts from here. */
function WorkshopView({ shop }: { shop: Workshop }) {
  const edit: Edit = part => void saveShop(s => ({ ...s, ...part }))
  return (
    <div className="px-4 py-6 md:px-8">
      <h1 className="mb-4 text-[26px]">Workshop</h1>
      <div className="grid gap-x-10 gap-y-8 lg:grid-cols-2 xl:grid-cols-3">
        <Part title="Shown as">
          <TextField label="Name of the shop" value={shop.name} longest={80} onCommit={name => edit({ name })} />
          <SelectField
            label="Units shown (every field reads both)"
            value={shop.units}
            options={[
              ['metric', '°C, mm, kg'],
              ['imperial', '°F, in, lb'],
            ]}
            onCommit={units => edit({ units })}
          />
          <SelectField
            label="Theme"
            value={shop.theme}
            options={[
              ['system', 'as the system'],
              ['light', 'ash (light)'],
              ['dark', 'soot (dark)'],
            ]}
            onCommit={theme => edit({ theme })}
          />
        </Part>
        <Part title="Ovens">
          <OvensPart shop={shop} edit={edit} />
        </Part>
        <Part title="Plates">
          <QuantityField
            label="Thickness"
            dimension="length"
            value={shop.plates.thicknessMm}
            min={5}
            max={80}
            onCommit={thicknessMm => edit({ plates: { ...shop.plates, thicknessMm } })}
          />
          <QuantityField
            label="Width"
            dimension="length"
            value={shop.plates.widthMm}
            min={40}
            max={300}
            onCommit={widthMm => edit({ plates: { ...shop.plates, widthMm } })}
          />
          <QuantityField
            label="Length"
            dimension="length"
            value={shop.plates.lengthMm}
            min={100}
            max={1200}
            onCommit={lengthMm => edit({ plates: { ...shop.plates, lengthMm } })}
          />
        </Part>
        <Part title="Foil">
          <QuantityField
            label="Roll width"
            dimension="length"
            value={shop.foil.rollWidthMm}
            min={100}
            max={1300}
            onCommit={rollWidthMm => edit({ foil: { ...shop.foil, rollWidthMm } })}
          />
          <NumberField
            label="Price of a metre"
            value={shop.foil.pricePerM}
            min={0}
            max={1000}
            onCommit={pricePerM => edit({ foil: { ...shop.foil, pricePerM } })}
          />
          <SelectField
            label="Sheets may be turned on the roll"
            value={shop.foil.rotate ? 'yes' : 'no'}
            options={[
              ['yes', 'yes'],
              ['no', 'no'],
            ]}
            onCommit={v => edit({ foil: { ...shop.foil, rotate: v === 'yes' } })}
          />
        </Part>
        <Part title="Costs">
          <PricesPart shop={shop} edit={edit} />
        </Part>
        <Part title="Cold">
          <ColdPart shop={shop} edit={edit} />
        </Part>
        <Part title="Learning">
          <LearningPart shop={shop} edit={edit} />
        </Part>
        <Part title="Hardness tester">
          <Suspense fallback={null}>
            <BlockCheck shop={shop} edit={edit} />
          </Suspense>
        </Part>
      </div>
      <DataKeeping />
    </div>
  )
}

function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section className="space-y-3 border-t border-rule-strong pt-3">
      <h2 className="text-[17px]">{title}</h2>
      {children}
    </section>
  )
}
