import type { ShopFit } from '../core/learn/fit-shop'
import { hrcText } from './speaker'

/** Says that a steel's batches agree on being far from its figures, and asks what may be wrong. */
export const strangeWords = ({ offHrc, batches }: ShopFit['strange'][number], name: string): string =>
  `${name}: ${batches} batches agree on ${hrcText(Math.abs(offHrc))} HRC ${offHrc > 0 ? 'above' : 'below'} its figures. They are learnt from. Is the tester right on its block, the bar this steel, and the oven’s temperature true?`

/** Says how far this shop's batches scatter, and how many sets of readings were left out of the learning. */
export const learntWords = ({
  batchSdHrc,
  setAside,
}: {
  readonly batchSdHrc: number
  readonly setAside: number
}): string =>
  [
    `Your batches scatter by about ± ${hrcText(batchSdHrc)} HRC (one standard deviation) beyond what readings explain.`,
    setAside > 0
      ? `${setAside} sets of readings are so far off that another cause is likelier. They are not learnt from.`
      : '',
  ]
    .filter(Boolean)
    .join(' ')
