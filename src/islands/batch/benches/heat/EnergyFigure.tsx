import { worked } from '../../../../core/codes/working'
import { costAt } from '../../../../core/cost/price'
import type { HeatAnswer } from '../../../../core/load/load-heat'
import { Figure } from '../../../../ui/Bench'
import { useSay } from '../../../../ui/Units'
import { useBench } from '../../bench-context'

/** Shows the energy of a load, and its cost if a price is set. */
export function EnergyFigure({ answer }: { answer: HeatAnswer }) {
  const say = useSay()
  const { shop } = useBench()
  const { energyKWh, fromMin } = answer
  const cost = costAt(energyKWh, shop.prices?.kWh)
  return (
    <Figure
      label={fromMin > 0 ? 'Energy of this load, after the one before' : 'Energy of this heat, from cold'}
      value={energyKWh.toFixed(1)}
      unit={cost === null ? 'kWh' : `kWh, costs ${say.money(cost)}`}
      working={[
        worked('heat-energy', energyKWh, 'kWh', {}),
        ...(cost === null ? [] : [worked('heat-cost', cost, 'money', {})]),
      ]}
    />
  )
}
