import { DRY_ICE_C, FREEZER_C, LIQUID_NITROGEN_C } from '../../core/steel/usual'
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
        ['freezer', `a freezer, ${say.t(FREEZER_C)}`],
        ['dry-ice', `dry ice, ${say.t(DRY_ICE_C)}`],
        ['liquid-nitrogen', `liquid nitrogen, ${say.t(LIQUID_NITROGEN_C)}`],
      ]}
      onCommit={medium => edit(s => ({ cold: { ...s.cold, medium } }))}
    />
  )
}
