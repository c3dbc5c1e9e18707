import type { Picture } from '../core/shop/picture'

/** What a picture of a blade is of. */
export const SUBJECT_NAMES: Readonly<Record<Picture['of'], string>> = {
  colour: 'Colour',
  scale: 'Scale',
  crack: 'Crack',
  edge: 'Edge',
  finished: 'Finished',
  other: 'Another thing',
}
