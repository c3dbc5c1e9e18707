import { goesIntoOil } from '../../../core/equipment/quench-way'
import { useBench } from '../bench-context'
import { OilBench } from './OilBench'
import { PlatesBench } from './PlatesBench'

/** The quench of the shown steel: between plates, or in oil where it needs it and the shop has it. */
export function QuenchBench() {
  const { shown, shop } = useBench()
  return goesIntoOil(shown.group, shop) ? <OilBench /> : <PlatesBench />
}
