import * as z from 'zod/mini'
import { CONTACT } from '../../../data/thermal'
import { fail, ok } from '../../codes/result'
import { loadsOf } from '../../load/loads'
import { MENDS, mendsOf, pullsAskedOf } from '../../load/pull-plan'
import { type PaceRequest, paceOf } from '../../quench/pace'
import { batchSchema } from '../../shop/batch'
import { MOST } from '../../shop/bounds'
import { wholeBetween } from '../../shop/fields'
import { workshopSchema } from '../../shop/workshop'
import { question } from '../question'
import { list } from '../shapes'

/** Changes that would finish a load sooner. */
const CHANGES: Readonly<Record<'helper' | 'second-set' | 'ice' | 'heaviest-first', (as: PaceRequest) => PaceRequest>> =
  {
    helper: as => ({ ...as, people: 2 }),
    'second-set': as => ({ ...as, sets: 2 }),
    ice: as => ({ ...as, restWPerM2K: CONTACT.iceWater }),
    'heaviest-first': as => {
      const volume = (b: PaceRequest['blades'][number]) => b.thicknessMm * b.widthMm * b.lengthMm
      return { ...as, blades: [...as.blades].sort((a, b) => volume(b) - volume(a)) }
    },
  }
const changes = Object.keys(CHANGES) as (keyof typeof CHANGES)[]

export const pullList = question({
  summary: 'What would get a load out of its oven sooner, and what would keep its last blades within their soak',
  request: z.object({
    batch: batchSchema,
    shop: workshopSchema,
    loadIndex: wholeBetween(0, MOST.bladesInBatch),
  }),
  response: z.object({
    /** Total with each change, s. */
    changed: list(z.object({ change: z.enum(changes), totalS: z.number() })),
    /** Where the last blades soak too long: the longest that any would still be over, min, with each change that helps. */
    mends: list(z.object({ mend: z.enum(MENDS), count: z.int(), overMin: z.number() })),
  }),
  answer: ({ batch, shop, loadIndex }) => {
    const load = loadsOf(batch, shop.units)[loadIndex]
    const asked = load ? pullsAskedOf(load, shop, batch) : ok(null)
    if (!asked.ok) return asked
    const request = asked.value?.request
    if (!load || !request) return fail('nothing-in-load', {}, 'loadIndex')
    const mends = mendsOf(load, shop, batch)
    if (!mends.ok) return mends
    return ok({
      mends: mends.value,
      changed: changes.map(change => ({ change, totalS: paceOf(CHANGES[change](request)).totalS })),
    })
  },
})
