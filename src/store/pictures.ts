import type { Saving } from '../core/codes/result'
import { type Picture, pictureSchema } from '../core/shop/picture'
import { db } from './database'
import { type Applied, remember } from './history'
import { fitting, saving } from './save-state'

/** Marks a picture as taken out, or as there again. */
const setPictureDeleted = async (id: string, deletedAt: string | null): Promise<Applied> =>
  (await saving(() => db.pictures.update(id, { deletedAt }))).saved ? 'done' : 'refused'

/** Keeps a picture of a blade, and remembers how to take it out again. */
export async function addPicture(picture: Picture): Promise<Saving> {
  const outcome = await saving(() => db.pictures.add(fitting(pictureSchema, picture)), undefined, {
    pictures: [picture],
  })
  if (outcome.saved)
    remember({
      label: 'Picture added',
      undo: () => setPictureDeleted(picture.id, new Date().toISOString()),
      redo: () => setPictureDeleted(picture.id, null),
    })
  return outcome
}

/** Takes a picture out; it is kept, and comes back when that is undone. */
export async function removePicture(id: string): Promise<void> {
  const at = new Date().toISOString()
  if ((await setPictureDeleted(id, at)) === 'done')
    remember({
      label: 'Picture taken out',
      undo: () => setPictureDeleted(id, null),
      redo: () => setPictureDeleted(id, at),
    })
}
