import { worked } from '../../../../core/codes/working'
import { heatCost } from '../../../../core/cost/price'
import type { HeatAnswer } from '../../../../core/load/load-heat'
import { Figure } from '../../../../ui/Bench'
import { useSay } from '../../../../ui/Units'
import { useBench } from '../../bench-context'

/** What a load takes from the mains, and what that costs where a price is set. */
export function EnergyFigure({ answer }: { answer: HeatAnswer }) {
  const say = useSay()
  const { shop } = useBench()
  const { energyKWh, fromMin } = answer
  const cost = heatCost(energyKWh, shop.prices?.kWh)
  return (
    <Figure
      label={fromMin > 0 ? 'Energy of this load, after the one before' : 'Energy of this heat, from cold'}
      value={energyKWh.toFixed(1)}
      unit={cost.value === null ? 'kWh' : `kWh, costs ${say.money(cost.value)}`}
      working={[worked('heat-energy', energyKWh, 'kWh', {}), ...(cost.value === null ? [] : [cost])]}
    />
  )
}
