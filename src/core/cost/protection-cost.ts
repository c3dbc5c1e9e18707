import { PROTECTION } from '../../data/protection'
import { bladesOf } from '../batch/tray'
import { type Figure, figure } from '../codes/figure'
import { worked } from '../codes/working'
import { foilFor } from '../foil/foil-type'
import { compareProtection, type ProtectionRow } from '../foil/protection'
import type { FoilLength } from '../load/laid-foil'
import type { Batch } from '../shop/batch'
import type { Workshop } from '../shop/workshop'

type Shop = Pick<Workshop, 'foil' | 'prices'>

/** Returns the cost of the foil of a batch, in the shop's money: length, price of the roll, and the dearer type where the heat asks for it. */
export const foilCost = (batch: Batch, shop: Shop, { metres }: FoilLength): number =>
  metres * shop.foil.pricePerM * foilFactor(hottestC(batch))

/** Returns the cost of foil per blade: that of the batch, shared by all its blades alike. */
export function foilCostPerBlade(batch: Batch, shop: Shop, length: FoilLength): Figure {
  const whole = foilCost(batch, shop, length)
  const blades = bladesOf(batch).length
  return figure(
    'foil-cost-per-blade',
    blades > 0 ? whole / blades : null,
    'money',
    { blades },
    {
      grounds: [
        worked('foil-cost', whole, 'money', { from: length.from, factor: foilFactor(hottestC(batch)) }),
        worked('foil-used', length.metres, 'm', {}),
        worked('foil-price', shop.foil.pricePerM, 'money', {}),
      ],
    },
  )
}

/** Returns the cost and needs of each way to keep air from a batch; `length` is null while no cut plan stands. */
export function protectionRows(batch: Batch, shop: Shop, length: FoilLength | null): ProtectionRow[] {
  const blades = bladesOf(batch)
  return compareProtection({
    blades: blades.length,
    steelAreaM2: blades.reduce((sum, { line }) => sum + (2 * line.lengthMm * line.widthMm) / 1e6, 0),
    hottestC: hottestC(batch),
    soakMin: Math.max(...heated(batch).map(({ route }) => route.soakMin)),
    foilCost: length && foilCost(batch, shop, length),
    prices: shop.prices ?? PROTECTION.prices,
  })
}

/** Groups that go into the oven; all of them while the tray is empty. */
function heated(batch: Batch): readonly Batch['groups'][number][] {
  const own = bladesOf(batch).map(({ group }) => group)
  return own.length > 0 ? own : batch.groups
}

const hottestC = (batch: Batch): number => Math.max(...heated(batch).map(({ route }) => route.austenitizeC))

function foilFactor(atC: number): number {
  const foil = foilFor(atC)
  return foil.ok && foil.value.name === '309' ? PROTECTION.hotFoilFactor : 1
}
