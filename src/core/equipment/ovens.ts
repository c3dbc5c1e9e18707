import { OVEN_BUILDS } from '../../data/ovens'
import { fail, ok, type Result } from '../codes/result'
import { withFactors } from '../oven/fit/factors'
import type { DetailedOven } from '../oven/oven-model'
import type { Batch } from '../shop/batch'
import type { Oven } from '../shop/oven'
import type { Workshop } from '../shop/workshop'

/**
 * The oven a batch is hardened in. Another is never taken in its place: what is keyed depends on it.
 * Errors: 'oven-gone' with the name it had.
 */
export function ovenOf(shop: Pick<Workshop, 'ovens'>, batch: Pick<Batch, 'ovenId' | 'ovenName'>): Result<Oven> {
  const oven = shop.ovens.find(o => o.id === batch.ovenId)
  return oven ? ok(oven) : fail('oven-gone', { ovenName: batch.ovenName }, 'ovenId')
}

/** The oven a new batch is hardened in: the shop's choice, or the first that hardens. */
export function usualOvenOf(shop: Pick<Workshop, 'ovens' | 'hardeningOvenId'>): Oven {
  const chosen =
    shop.ovens.find(oven => oven.id === shop.hardeningOvenId) ??
    shop.ovens.find(oven => oven.use === 'hardening') ??
    shop.ovens[0]
  if (!chosen) throw new RangeError('a workshop has at least one oven')
  return chosen
}

/** The oven that tempers a batch: the shop's tempering oven, or where it has none the one that hardens. Errors: 'oven-gone'. */
export function temperingOvenOf(
  shop: Pick<Workshop, 'ovens' | 'temperingOvenId'>,
  batch: Pick<Batch, 'ovenId' | 'ovenName'>,
): Result<Oven> {
  if (shop.temperingOvenId === null) return ovenOf(shop, batch)
  const oven = shop.ovens.find(o => o.id === shop.temperingOvenId)
  return oven ? ok(oven) : fail('tempering-oven-gone', {}, 'temperingOvenId')
}

/** An oven as the wall model takes it, with what its log taught. */
export function detailedOven(oven: Pick<Oven, 'preset' | 'powerW' | 'chamberMm' | 'fit'>): DetailedOven {
  const own = { powerW: oven.powerW, chamberMm: oven.chamberMm, build: OVEN_BUILDS[oven.preset] }
  return oven.fit ? withFactors(own, oven.fit) : own
}
