import type { Speaker } from './speaker'

/** How much sooner than its spine a ground edge is at heat. */
export const edgeLeadWords = ({ edgeMm, leadS }: { edgeMm: number; leadS: number }, say: Speaker): string =>
  `The ground edge (${say.thin(edgeMm)}) is at heat about ${leadS < 90 ? `${Math.round(leadS)} s` : `${Math.round(leadS / 60)} min`} before the spine, and soaks that much longer.`

/** How a ground edge is quenched between plates, which it does not touch. */
export const edgeQuenchWords = (edgeMm: number, seconds: number, say: Speaker): string =>
  `The ground edge (${say.thin(edgeMm)}) does not touch the plates. In its foil it takes about ${Math.round(seconds)} s from ${say.bare(800)} to ${say.t(500)}.`

/** The same where the steel allows less. */
export const edgeSlowWords = (edgeMm: number, seconds: number, allowedS: number, say: Speaker): string =>
  `${edgeQuenchWords(edgeMm, seconds, say)} This grade allows ${allowedS} s: blow air on the edge, or grind the bevels after hardening.`
