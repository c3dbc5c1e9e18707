import { type BatchBlade, bladesOf } from '../batch/tray'
import { editBlade } from '../batch/tray-edit'
import { goesIntoOil } from '../equipment/quench-way'
import type { Batch } from '../shop/batch'
import type { Blade } from '../shop/blade'
import type { Workshop } from '../shop/workshop'

/** One foil envelope: what is in it, and what became of it. */
export interface Packet {
  readonly blades: readonly BatchBlade[]
  /** All of it is sealed. */
  readonly sealed: boolean
  /** Null when it held. */
  readonly leak: Leak | null
}

/** How a leak is known: by what the maker found on opening, in own words, or because it was called in the hot run. */
export type Leak = { readonly by: 'hand'; readonly text: string } | { readonly by: 'run' }

/** Returns the record of a leak of the packet a blade lay in, or null if it held. */
export const leakOf = ({ packet }: Pick<Blade, 'packet'>): Leak | null =>
  packet?.leak ? { by: 'hand', text: packet.leak } : packet?.leakRunId ? { by: 'run' } : null

/** A batch with the blades alone that go into foil: what is quenched in oil goes in bare. */
export function foiled<B extends Pick<Batch, 'lines' | 'groups'>>(batch: B, shop: Pick<Workshop, 'oil'>): B {
  const bare = new Set(batch.groups.filter(group => goesIntoOil(group, shop)).map(group => group.id))
  return bare.size === 0 ? batch : { ...batch, lines: batch.lines.filter(line => !bare.has(line.groupId)) }
}

/** Packets of a batch in the order of the tray; blades of one line share an envelope where the rules say so. */
export function packetsOf(batch: Pick<Batch, 'lines' | 'blades' | 'groups' | 'envelope'>): Packet[] {
  const holds = (batch.envelope.beside ?? 1) * (batch.envelope.endToEnd ?? 1)
  const all = bladesOf(batch)
  return batch.lines.flatMap(line => {
    const own = all.filter(blade => blade.line.id === line.id)
    return Array.from({ length: Math.ceil(own.length / holds) }, (_, i): Packet => {
      const blades = own.slice(i * holds, (i + 1) * holds)
      return {
        blades,
        sealed: blades.every(({ record }) => record.packet?.sealed === true),
        leak: blades.map(({ record }) => leakOf(record)).find(leak => leak !== null) ?? null,
      }
    })
  })
}

/** The packet a blade lay in. */
export const packetOf = (batch: Parameters<typeof packetsOf>[0], bladeId: string): Packet | undefined =>
  packetsOf(batch).find(packet => packet.blades.some(blade => blade.id === bladeId))

/** The batch with something noted of one packet: it stands with every blade in it. What the maker finds outweighs what was called. */
export const notePacket = (
  batch: Batch,
  packet: Packet,
  note: { readonly sealed?: boolean; readonly leak?: string | null },
): Batch =>
  packet.blades.reduce(
    (all, { id }) =>
      editBlade(all, id, ({ packet: before, ...blade }) => {
        const { leakRunId, ...rest } = { sealed: false, leak: null, ...before, ...note }
        return { ...blade, packet: note.leak === undefined && leakRunId ? { ...rest, leakRunId } : rest }
      }),
    batch,
  )
