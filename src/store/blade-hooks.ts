import { useLiveQuery } from 'dexie-react-hooks'
import type { Batch } from '../core/shop/batch'
import { withBlades } from '../core/shop/batch-records'
import type { Blade } from '../core/shop/blade'
import type { Picture } from '../core/shop/picture'
import type { Reading } from '../core/shop/reading'
import { db } from './database'
import { type Loaded, noneIfRefused, orNull } from './hooks'
import { bladesOfBatches, readingsOfBatches } from './of-batches'

/** The blade that a blade became when it was hardened again; null where it was not. */
export const useHardenedAgain = (bladeId: string): Loaded<Blade> =>
  useLiveQuery(() => orNull(db.blades.filter(blade => blade.before?.bladeId === bladeId).first()), [bladeId])

/** Pictures of a blade or a batch, oldest first. */
const usePicturesWhere = (of: 'bladeId' | 'batchId', id: string): Picture[] | undefined =>
  useLiveQuery(
    () =>
      noneIfRefused(
        db.pictures
          .where(of)
          .equals(id)
          .filter(picture => picture.deletedAt === null)
          .sortBy('at'),
      ),
    [of, id],
  )
export const usePictures = (bladeId: string) => usePicturesWhere('bladeId', bladeId)
export const useBatchPictures = (batchId: string) => usePicturesWhere('batchId', batchId)

/** Batches with a tested edge, and their readings; undefined while loading. */
export const useProved = ():
  | { readonly batches: readonly Batch[]; readonly readings: readonly Reading[] }
  | undefined =>
  useLiveQuery(async () => {
    const tested = await noneIfRefused(db.blades.where('edgeTests.length').above(0).toArray())
    const ids = [...new Set(tested.map(blade => blade.batchId))]
    const [records, blades, readings] = await Promise.all([
      noneIfRefused(db.batches.bulkGet(ids).then(all => all.flatMap(batch => batch ?? []))),
      noneIfRefused(bladesOfBatches(ids)),
      noneIfRefused(readingsOfBatches(ids)),
    ])
    return { batches: withBlades(records, blades), readings }
  }, [])
