import { Plus, X } from 'lucide-react'
import type { Saving } from '../../../core/codes/result'
import { coldWay } from '../../../core/cold/way'
import { coldToC, withRoute } from '../../../core/job/suggestion'
import { BOUNDS, MOST } from '../../../core/shop/bounds'
import type { PlannedRoute } from '../../../core/shop/route'
import { DRY_ICE_C, FREEZER_C, LIQUID_NITROGEN_C } from '../../../core/steel/usual'
import { SelectField } from '../../../ui/PlainFields'
import { QuantityField } from '../../../ui/QuantityField'
import { useBench } from '../bench-context'
import { editGroup } from '../edit'
import { useRouteMarks } from './RouteMark'

type Route = PlannedRoute

export const COLD_WAYS = [
  ['none', 'none'],
  ['freezer', 'freezer'],
  ['dry-ice', 'dry ice'],
  ['liquid-nitrogen', 'liquid nitrogen'],
] as const
type ColdChoice = (typeof COLD_WAYS)[number][0]

const COLD_C: Readonly<Record<Exclude<ColdChoice, 'none'>, number>> = {
  freezer: FREEZER_C,
  'dry-ice': DRY_ICE_C,
  'liquid-nitrogen': LIQUID_NITROGEN_C,
}

/** A cold treatment of a kind, its times kept from the one before. */
export const coldFor = (way: ColdChoice, before: Route['cold']): Route['cold'] =>
  way === 'none' ? null : { holdMin: 60, delayMin: 30, ...before, toC: COLD_C[way] }

export const wayOf = (route: Route): ColdChoice => {
  if (!route.cold) return 'none'
  return coldWay(route.cold.toC)
}

/** The route in exact fields: soak, cold, tempers. */
export function RouteFields() {
  const { batch, shop, shown, oven } = useBench()
  const { group } = shown
  const { route } = group
  const marks = useRouteMarks()
  const edit = (label: string, change: (route: Route) => Route) =>
    editGroup(batch, group.id, label, g => withRoute(g, change(g.route)))
  const setCold = (way: ColdChoice) =>
    edit('Cold', r => ({
      ...r,
      cold: coldFor(way, r.cold),
    }))
  const shopCold = coldToC(shop)
  const beyond = route.cold && (shopCold === null || route.cold.toC < shopCold)
  return (
    <div className="grid grid-cols-2 gap-3 sm:grid-cols-[1.5fr_1fr_1fr_1fr]">
      <QuantityField
        label="Austenitize temperature"
        dimension="temperature"
        value={route.austenitizeC}
        min={BOUNDS.austenitizeC.min}
        max={oven.ok ? oven.value.maxC : BOUNDS.austenitizeC.max}
        {...marks('austenitizeC')}
        onCommit={austenitizeC => edit('Austenitize temperature', r => ({ ...r, austenitizeC }))}
      />
      <QuantityField
        label="Soak time"
        dimension="duration"
        value={route.soakMin}
        {...BOUNDS.soakMin}
        {...marks('soakMin')}
        onCommit={soakMin => edit('Soak time', r => ({ ...r, soakMin }))}
      />
      <SelectField
        label="Cold"
        value={wayOf(route)}
        options={COLD_WAYS}
        onCommit={setCold}
        mark={marks('cold').mark}
        hint={beyond ? 'Colder than this workshop is set up for.' : marks('cold').hint}
      />
      {route.cold && (
        <QuantityField
          label="Hold cold"
          dimension="duration"
          value={route.cold.holdMin}
          {...BOUNDS.holdMin}
          onCommit={holdMin => edit('Cold hold', r => (r.cold ? { ...r, cold: { ...r.cold, holdMin } } : r))}
        />
      )}
      <TemperFields route={route} edit={edit} />
    </div>
  )
}

export function TemperFields({
  route,
  edit,
}: {
  route: Route
  edit: (label: string, change: (route: Route) => Route) => Promise<Saving>
}) {
  const own = useRouteMarks()('tempers')
  const change = (i: number, part: Partial<Route['tempers'][number]>) =>
    edit(`Temper ${i + 1}`, r => ({ ...r, tempers: r.tempers.map((t, j) => (j === i ? { ...t, ...part } : t)) }))
  return (
    <fieldset className="col-span-2 sm:col-span-4">
      <legend className="sr-only">Tempers</legend>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        {route.tempers.map((temper, i) => (
          <div key={i} className="flex items-end gap-1">
            <div className="w-28">
              <QuantityField
                label={`Temper ${i + 1} at`}
                dimension="temperature"
                value={temper.atC}
                {...BOUNDS.temperC}
                onCommit={atC => change(i, { atC })}
              />
            </div>
            <div className="w-24">
              <QuantityField
                label="for"
                dimension="duration"
                value={temper.holdMin}
                {...BOUNDS.holdMin}
                onCommit={holdMin => change(i, { holdMin })}
              />
            </div>
            <button
              type="button"
              className="btn btn-plain w-11"
              aria-label={`Remove temper ${i + 1}`}
              onClick={() => edit('Remove a temper', r => ({ ...r, tempers: r.tempers.filter((_, j) => j !== i) }))}
            >
              <X size={16} aria-hidden="true" />
            </button>
          </div>
        ))}
        {route.tempers.length < MOST.tempers && (
          <button
            type="button"
            className="btn"
            onClick={() =>
              edit('Add a temper', r => ({
                ...r,
                tempers: [...r.tempers, r.tempers[r.tempers.length - 1] ?? { atC: 200, holdMin: 120 }],
              }))
            }
          >
            <Plus size={16} aria-hidden="true" /> temper
          </button>
        )}
        <p className="self-center text-note text-ink-2">
          <span className="italic">{own.mark}</span> {own.hint}
        </p>
      </div>
    </fieldset>
  )
}
