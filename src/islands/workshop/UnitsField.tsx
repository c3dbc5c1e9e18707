import { SelectField } from '../../ui/PlainFields'
import { useShopNow } from '../shop-context'
import type { EditShop } from './edit-shop'

/** The units everything is shown in. */
export function UnitsField({ edit }: { edit: EditShop }) {
  const { units } = useShopNow()
  return (
    <SelectField
      label="Units shown (every field reads both)"
      value={units}
      options={[
        ['metric', '°C, mm, kg'],
        ['imperial', '°F, in, lb'],
      ]}
      onCommit={chosen => edit({ units: chosen })}
    />
  )
}
