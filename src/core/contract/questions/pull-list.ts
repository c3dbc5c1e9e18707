import { z } from 'zod'
import { CONTACT } from '../../../data/thermal'
import { fail, ok } from '../../codes/result'
import { loadsOf } from '../../job/loads'
import { paceRequestOf } from '../../job/pull-list'
import { type PaceRequest, paceOf } from '../../quench/pace'
import { batchSchema } from '../../shop/batch'
import { MOST } from '../../shop/bounds'
import { workshopSchema } from '../../shop/workshop'
import { question } from '../question'
import { list } from '../shapes'
import { paceSchema } from '../shapes/figures'

/** What may be changed to be through sooner. */
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
  summary: 'When each blade of a load may be pulled, to the second; and how long it would take with a change',
  request: z.object({
    batch: batchSchema,
    shop: workshopSchema,
    loadIndex: z.int().min(0).max(MOST.bladesInBatch),
  }),
  response: z.object({
    as: paceSchema,
    sets: z.int(),
    /** Total with each change, s. */
    changed: list(z.object({ change: z.enum(changes), totalS: z.number() })),
  }),
  answer: ({ batch, shop, loadIndex }) => {
    const load = loadsOf(batch)[loadIndex]
    const asked = load ? paceRequestOf(load, shop, batch) : ok(null)
    if (!asked.ok) return asked
    const request = asked.value
    if (!request) return fail('nothing-in-load', {}, 'loadIndex')
    return ok({
      as: paceOf(request),
      sets: request.sets,
      changed: changes.map(change => ({ change, totalS: paceOf(CHANGES[change](request)).totalS })),
    })
  },
})
