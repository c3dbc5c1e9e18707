import { useMemo } from 'react'
import { placesOf, simulationOf } from '../../../../core/plan/heat-load'
import type { Load } from '../../../../core/plan/tray'
import type { Oven } from '../../../../core/record/oven-schema'
import type { Batch, Workshop } from '../../../../core/record/schemas'
import { Figure } from '../../../../ui/Bench'
import { useAnswer } from '../../../../workers/use-answer'

interface Props {
  readonly load: Load
  readonly oven: Oven
  readonly batch: Batch
  readonly shop: Workshop
}

/** What the whole heat takes from the mains, and what that costs where a price is set. */
export function EnergyFigure({ load, oven, batch, shop }: Props) {
  const request = useMemo(() => simulationOf(load, oven, placesOf(load, oven, batch)), [load, oven, batch])
  const answer = useAnswer('oven', request)
  if (!answer?.ok) return null
  const { energyKWh } = answer.value
  const price = shop.prices?.kWh
  return (
    <Figure
      label="Energy of this heat, from cold"
      value={energyKWh.toFixed(1)}
      unit={price ? `kWh, ${(price * energyKWh).toFixed(2)}` : 'kWh'}
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
