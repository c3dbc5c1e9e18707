import type { HeatAnswer } from '../../../../core/plan/heat-load'
import type { Workshop } from '../../../../core/record/schemas'
import { Figure } from '../../../../ui/Bench'

/** What a load takes from the mains, and what that costs where a price is set. */
export function EnergyFigure({ answer, shop }: { answer: HeatAnswer; shop: Workshop }) {
  const { energyKWh, fromMin } = answer
  const price = shop.prices?.kWh
  return (
    <Figure
      label={fromMin > 0 ? 'Energy of this load, after the one before' : 'Energy of this heat, from cold'}
      value={energyKWh.toFixed(1)}
      unit={price ? `kWh, costs ${(price * energyKWh).toFixed(2)}` : 'kWh'}
      working={[
        {
          name: 'Energy',
          value: energyKWh,
          unit: 'kWh',
          equation: 'what the elements take through the programme, soak and 25 min of pulls',
          source: 'wall model, docs/method.md, Oven',
        },
        ...(price
          ? [
              {
                name: 'Cost',
                value: price * energyKWh,
                unit: '',
                equation: 'kWh × price',
                source: 'price from the Workshop',
              },
            ]
          : []),
      ]}
    />
  )
}
