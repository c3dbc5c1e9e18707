import type { Batch } from '../record/schemas'
import { type Piece, piecesOf } from './tray'
import { foilMarkLine } from './words'

/** One foil envelope: its mark, what is in it, and what became of it. */
export interface Packet {
  /** Scribed on it: the blade's mark, or the run of marks that share it. */
  readonly mark: string
  readonly pieces: readonly Piece[]
  readonly sealed: boolean
  /** Seen on opening: what was found; null when it held. */
  readonly leak: string | null
}

/** Packets of a batch in the order of the tray; blades of one line share an envelope where the rules say so. */
export function packetsOf(batch: Pick<Batch, 'blades' | 'groups' | 'envelope' | 'packets'>): Packet[] {
  const holds = (batch.envelope.beside ?? 1) * (batch.envelope.endToEnd ?? 1)
  const noted = new Map((batch.packets ?? []).map(note => [note.mark, note]))
  return batch.blades.flatMap(blade => {
    const own = piecesOf({ ...batch, blades: [blade] })
    return Array.from({ length: Math.ceil(own.length / holds) }, (_, i) => {
      const pieces = own.slice(i * holds, (i + 1) * holds)
      const mark = foilMarkLine(pieces.map(p => p.mark))
      const note = noted.get(mark)
      return { mark, pieces, sealed: note?.sealed ?? false, leak: note?.leak ?? null }
    })
  })
}

/** The packet a blade lay in. */
export const packetOf = (batch: Parameters<typeof packetsOf>[0], piece: string): Packet | undefined =>
  packetsOf(batch).find(packet => packet.pieces.some(p => p.mark === piece))

/** The batch with something noted of one packet. */
export const notePacket = <T extends Pick<Batch, 'packets'>>(
  batch: T,
  mark: string,
  note: { readonly sealed?: boolean; readonly leak?: string | null },
): T => {
  const others = (batch.packets ?? []).filter(p => p.mark !== mark)
  const before = batch.packets?.find(p => p.mark === mark) ?? { mark, sealed: false, leak: null }
  return { ...batch, packets: [...others, { ...before, ...note }] }
}
