import { unsaidOf } from '../core/shop/said'
import { INVENTED_PRICES } from '../words/setup'
import { useShopNow } from './shop-context'

/** Says beside a cost that its prices are nobody's yet, with the way to say them; nothing once they are said. */
export function InventedPrices() {
  const shop = useShopNow()
  if (!unsaidOf(shop).includes('prices')) return null
  return (
    <p className="my-1 text-small text-ink-2">
      <em>{INVENTED_PRICES}</em>{' '}
      <a className="link" href="/start">
        Say yours
      </a>
    </p>
  )
}
