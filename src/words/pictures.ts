import type { Picture } from '../core/shop/picture'

/** Name of each subject of a picture. */
export const SUBJECT_NAMES: Readonly<Record<Picture['of'], string>> = {
  colour: 'Colour',
  scale: 'Scale',
  crack: 'Crack',
  edge: 'Edge',
  finished: 'Finished',
  other: 'Another thing',
}
