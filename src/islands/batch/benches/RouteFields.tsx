import Plus from 'lucide-react/icons/plus'
import X from 'lucide-react/icons/x'
import { coldToC } from '../../../core/advice/shop-can'
import { coldBy, withRoute } from '../../../core/batch/route-edit'
import type { Saving } from '../../../core/codes/result'
import { BOUNDS, MOST } from '../../../core/shop/bounds'
import type { PlannedRoute } from '../../../core/shop/route'
import { SelectField } from '../../../ui/PlainFields'
import { QuantityField } from '../../../ui/QuantityField'
import { useBench } from '../bench-context'
import { COLD_CHOICES, type ColdChoice, choiceOf } from '../cold-choices'
import { editGroup } from '../edit'
import { useRouteMarks } from './RouteMark'

type Route = PlannedRoute

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
      cold: coldBy(way, r.cold),
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
        value={choiceOf(route)}
        options={COLD_CHOICES}
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
