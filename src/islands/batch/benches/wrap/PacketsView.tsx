import { foiled, notePacket, type Packet, packetsOf } from '../../../../core/load/packets'
import { editBatch } from '../../../../store/batches'
import { ScrollRegion } from '../../../../ui/ScrollRegion'
import { marksOf } from '../../../../words/lists'
import { leakWords } from '../../../../words/packets'
import { useBench } from '../../bench-context'

const markOf = (packet: Packet) => marksOf(packet.blades.map(b => b.mark))

/** Every packet with its mark, what is in it, its seal, and the leak that was found when it was opened. */
export function PacketsView() {
  const { batch, shop } = useBench()
  const packets = packetsOf(foiled(batch, shop))
  const sealed = packets.filter(p => p.sealed).length
  const seal = (packet: Packet, now: boolean) =>
    void editBatch(batch, `${markOf(packet)} sealed`, b => notePacket(b, packet, { sealed: now }))
  return (
    <div>
      <ScrollRegion label="Packets" className="max-h-[350px] overflow-auto">
        <table className="sheet">
          <thead className="sticky top-0 bg-ash">
            <tr>
              <th>Scribe on it</th>
              <th>Steel</th>
              <th>Blades</th>
              <th>Serial</th>
              <th>Sealed</th>
              <th>Leak found</th>
            </tr>
          </thead>
          <tbody>
            {packets.map(packet => (
              <tr key={packet.blades[0]?.id}>
                <td className="figure !py-0.5 text-title">{markOf(packet)}</td>
                <td className="!py-0.5">{packet.blades[0]?.group.gradeName}</td>
                <td className="!py-0.5">{packet.blades.length}</td>
                <td className="!py-0.5 text-ink-2">{packet.blades.map(b => b.serial).join(', ')}</td>
                <td className="!py-0.5">
                  <label className="grid min-h-touch w-11 place-items-center">
                    <span className="sr-only">{markOf(packet)} is sealed</span>
                    <input
                      type="checkbox"
                      className="h-5 w-5"
                      checked={packet.sealed}
                      onChange={event => seal(packet, event.target.checked)}
                    />
                  </label>
                </td>
                <td className={`!py-0.5 ${packet.leak ? 'text-bad' : 'text-ink-2'}`}>
                  {packet.leak ? leakWords(packet.leak) : '—'}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </ScrollRegion>
      <div className="mt-3 flex flex-wrap items-center gap-4">
        <p>
          {sealed} of {packets.length} sealed
        </p>
        {sealed < packets.length && (
          <button
            type="button"
            className="btn"
            onClick={() =>
              void editBatch(batch, 'All sealed', b =>
                packets.reduce((all, p) => notePacket(all, p, { sealed: true }), b),
              )
            }
          >
            All are sealed
          </button>
        )}
        <a className="btn" href={`/print/${batch.id}`}>
          Print labels and cut list
        </a>
      </div>
    </div>
  )
}
