import { USUAL_ROOM_C } from '../../data/cold'
import type { ChillRequest } from '../cold/chill'
import type { Workshop } from '../shop/workshop'

/** How a blade so thick, mm, comes to a cold, °C, in this shop: from its room, in its bath, in a freezer's still air. */
export const chillWayOf = (thicknessMm: number, toC: number, shop: Pick<Workshop, 'cold' | 'roomC'>): ChillRequest => ({
  thicknessMm,
  toC,
  startC: shop.roomC ?? USUAL_ROOM_C,
  fan: false,
  bath: shop.cold.bath.fluid !== 'none',
})
