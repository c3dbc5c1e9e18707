import { COLD_C } from '../../core/cold/way'
import { SelectField } from '../../ui/PlainFields'
import { useSay } from '../../ui/Units'
import { useShopNow } from '../shop-context'
import type { EditShop } from './edit-shop'

/** The coldest the shop can go: routes ask for no more. */
export function ColdMediumField({ edit }: { edit: EditShop }) {
  const say = useSay()
  const { cold } = useShopNow()
  return (
    <SelectField
      label="Coldest the shop has"
      value={cold.medium}
      options={[
        ['none', 'nothing colder than the room'],
        ['freezer', `a freezer, ${say.t(COLD_C.freezer)}`],
        ['dry-ice', `dry ice, ${say.t(COLD_C['dry-ice'])}`],
        ['liquid-nitrogen', `liquid nitrogen, ${say.t(COLD_C['liquid-nitrogen'])}`],
      ]}
      onCommit={medium => edit(s => ({ cold: { ...s.cold, medium } }))}
    />
  )
}
