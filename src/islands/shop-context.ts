import { createContext, useContext } from 'react'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import type { Workshop } from '../core/shop/workshop'

const ShopContext = createContext<Workshop>(DEFAULT_WORKSHOP)
export const ShopProvider = ShopContext.Provider

/** The workshop's settings as they are now. */
export const useShopNow = (): Workshop => useContext(ShopContext)
