import { coldBy } from '../../core/batch/route-edit'
import { usualOvenOf } from '../../core/equipment/ovens'
import { BOUNDS } from '../../core/shop/bounds'
import { SelectField } from '../../ui/PlainFields'
import { QuantityField } from '../../ui/QuantityField'
import { COLD_CHOICES, choiceOf } from '../batch/cold-choices'
import { useShopNow } from '../shop-context'
import type { DraftRoute, RecipeRoute } from './recipe-edit'

const STARTS = [
  ['annealed', 'annealed bar'],
  ['lamellar', 'normalised (fine pearlite)'],
  ['hardened', 'hardened before'],
] as const

interface Props {
  readonly draft: DraftRoute
  readonly onRoute: (route: RecipeRoute) => void
}

/** The chosen point in exact fields: what the map does not vary. */
export function MapRouteFields({ draft, onRoute }: Props) {
  const shop = useShopNow()
  const { route } = draft
  const [temper] = route.tempers
  const setTempers = (part: Partial<RecipeRoute['tempers'][number]>) =>
    onRoute({ ...route, tempers: route.tempers.map(t => ({ ...t, ...part })) })
  return (
    <div className="mt-1 grid grid-cols-2 gap-2 sm:grid-cols-3 xl:grid-cols-6">
      <QuantityField
        label={`${draft.key}: soak at`}
        dimension="temperature"
        value={route.austenitizeC}
        min={BOUNDS.austenitizeC.min}
        max={Math.min(BOUNDS.austenitizeC.max, usualOvenOf(shop).maxC)}
        onCommit={austenitizeC => onRoute({ ...route, austenitizeC })}
      />
      <QuantityField
        label="Soak for"
        dimension="duration"
        value={route.soakMin}
        {...BOUNDS.soakMin}
        onCommit={soakMin => onRoute({ ...route, soakMin })}
      />
      <SelectField
        label="Starts as"
        value={route.start ?? 'annealed'}
        options={STARTS}
        onCommit={start => onRoute({ ...route, start })}
      />
      <SelectField
        label="Cold"
        value={choiceOf(route)}
        options={COLD_CHOICES}
        onCommit={way => onRoute({ ...route, cold: coldBy(way, route.cold) })}
      />
      {temper && (
        <>
          <QuantityField
            label="Temper at"
            dimension="temperature"
            value={temper.atC}
            {...BOUNDS.temperC}
            onCommit={atC => setTempers({ atC })}
          />
          <SelectField
            label="Tempers of 2 h"
            value={String(route.tempers.length)}
            options={['1', '2', '3'].map(n => [n, n] as const)}
            onCommit={n => onRoute({ ...route, tempers: Array.from({ length: Number(n) }, () => temper) })}
          />
        </>
      )}
    </div>
  )
}
