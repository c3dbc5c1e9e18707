import { lazy, Suspense, useEffect } from 'react'
import type { Saving } from '../../core/codes/result'
import { BOUNDS, LONGEST } from '../../core/shop/bounds'
import { countedRoll, leftOnRollMm } from '../../core/shop/foil-roll'
import { nextSerials } from '../../core/shop/serial'
import { More } from '../../ui/More'
import { SelectField, TextField } from '../../ui/PlainFields'
import { QuantityField } from '../../ui/QuantityField'
import { ScaledField } from '../../ui/ScaledField'
import { Place } from '../Place'
import { useShopNow } from '../shop-context'
import { ColdPart } from './ColdPart'
import { type EditShop, editShopAs } from './edit-shop'
import { LearningPart } from './LearningPart'
import { OvensPart } from './OvensPart'
import { PlateSizeFields } from './PlateSizeFields'
import { PricesPart } from './PricesPart'
import { UnitsField } from './UnitsField'

// Student's t is a large table: it comes once the place stands.
const BlockCheck = lazy(() => import('./BlockCheck'))
const DataKeeping = lazy(() => import('./DataKeeping'))

export default function WorkshopPlace() {
  return (
    <Place>
      <WorkshopView />
    </Place>
  )
}

/** Shows the shop's equipment: every suggestion starts from here. */
function WorkshopView() {
  // A link to one part of it comes before the part is drawn.
  useEffect(() => {
    if (location.hash) document.getElementById(location.hash.slice(1))?.scrollIntoView()
  }, [])
  const shop = useShopNow()
  const edit = editShopAs('Change in the Workshop')
  return (
    <div className="px-4 py-6 md:px-8">
      <h1 className="mb-4 text-page">Workshop</h1>
      <div className="grid gap-x-10 gap-y-8 lg:grid-cols-2 xl:grid-cols-3">
        <Part title="Name, units and look">
          <TextField
            label="Name of the shop"
            value={shop.name}
            longest={LONGEST.shopName}
            onCommit={name => edit({ name })}
          />
          <UnitsField edit={editShopAs('Units', 'units')} />
          <More place="shop" title="More" says="theme, clock, serials">
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
            <SelectField
              label="Hours of the clock"
              value={shop.clock ?? 'language'}
              options={[
                ['language', 'as the browser’s language'],
                ['24', '24: 14:06'],
                ['12', '12: 2:06 pm'],
              ]}
              onCommit={clock => edit({ clock: clock === 'language' ? undefined : clock })}
            />
            <SerialField value={shop.serialPattern} onCommit={serialPattern => edit({ serialPattern })} />
          </More>
        </Part>
        <Part title="Ovens">
          <OvensPart edit={editShopAs('Ovens', 'oven')} />
        </Part>
        <Part title="Plates and quench oil">
          <PlateSizeFields edit={editShopAs('Plates', 'plates')} />
          <OilField edit={edit} />
        </Part>
        <Part title="Foil">
          <QuantityField
            label="Roll width"
            dimension="length"
            value={shop.foil.rollWidthMm}
            {...BOUNDS.rollWidthMm}
            onCommit={rollWidthMm => edit(s => ({ foil: { ...s.foil, rollWidthMm } }))}
          />
          <QuantityField
            label="Left on the roll"
            dimension="length"
            value={leftOnRollMm(shop.foil) ?? null}
            {...BOUNDS.foilLeftMm}
            onCommit={leftMm => edit(s => ({ foil: countedRoll(s.foil, leftMm) }))}
          />
          <ScaledField
            label="Price of foil"
            kind="pricePerM"
            value={shop.foil.pricePerM}
            {...BOUNDS.foilPricePerM}
            onCommit={pricePerM => edit(s => ({ foil: { ...s.foil, pricePerM } }))}
          />
          <SelectField
            label="Sheets may be turned on the roll"
            value={shop.foil.rotate ? 'yes' : 'no'}
            options={[
              ['yes', 'yes'],
              ['no', 'no'],
            ]}
            onCommit={v => edit(s => ({ foil: { ...s.foil, rotate: v === 'yes' } }))}
          />
        </Part>
        <Part title="Costs">
          <PricesPart edit={editShopAs('Prices')} />
        </Part>
        <Part title="Cold">
          <ColdPart edit={editShopAs('Cold', 'cold')} />
        </Part>
        <Part title="Learning">
          <LearningPart edit={edit} />
        </Part>
        <Part id="tester" title="Hardness tester">
          {/* As tall as what comes: nothing below it moves away from under a finger. */}
          <Suspense fallback={<div className="min-h-[430px]" />}>
            <BlockCheck edit={editShopAs('Hardness tester', 'tester')} />
          </Suspense>
        </Part>
      </div>
      <Suspense fallback={<section id="data" aria-label="Data" className="min-h-[640px]" />}>
        <DataKeeping />
      </Suspense>
    </div>
  )
}

const OILS = [
  ['none', 'none'],
  ['medium-oil', 'a medium oil'],
  ['fast-oil', 'a fast oil'],
] as const

/** Steels that plates cannot harden are refused unless the shop says it has oil. */
function OilField({ edit }: { edit: EditShop }) {
  const { oil } = useShopNow()
  return (
    <SelectField
      label="Quench oil"
      value={oil ?? 'none'}
      options={OILS}
      hint="For simple and low-alloy steels, which plates are too slow for."
      onCommit={chosen => void edit({ oil: chosen === 'none' ? undefined : chosen })}
    />
  )
}

/** How blades are numbered through the whole log. */
function SerialField({ value, onCommit }: { value: string; onCommit: (pattern: string) => Promise<Saving> }) {
  const year = new Date().getFullYear()
  return (
    <>
      <TextField
        label="Serials of blades (YY or YYYY the year, N a digit)"
        value={value}
        longest={LONGEST.serialPattern}
        onCommit={onCommit}
      />
      <p className="text-note text-ink-2">
        The first of this year: {nextSerials(value, year, [], 1)[0]}. Blades keep the serial they have.
      </p>
    </>
  )
}

function Part({ id, title, children }: { id?: string; title: string; children: React.ReactNode }) {
  return (
    <section id={id} className="space-y-3 border-t border-rule-strong pt-3">
      <h2 className="text-large">{title}</h2>
      {children}
    </section>
  )
}
