import type { ReactNode } from 'react'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import type { Workshop } from '../core/shop/workshop'
import { ShopProvider } from '../islands/shop-context'
import { CurrencyProvider, UnitsProvider } from '../ui/Units'

let shop: Workshop = DEFAULT_WORKSHOP

/** The settings views are drawn with from now on. */
export const setShop = (next: Workshop): void => {
  shop = next
}

/** Stands in the place of `islands/Place`: the settings without the database's first visit around them. */
export const Place = ({ children }: { children: ReactNode }) => (
  <ShopProvider value={shop}>
    <UnitsProvider value={shop.units}>
      <CurrencyProvider value={shop.currency}>{children}</CurrencyProvider>
    </UnitsProvider>
  </ShopProvider>
)
