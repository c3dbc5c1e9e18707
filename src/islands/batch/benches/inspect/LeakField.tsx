import { foiled, notePacket, type Packet, packetsOf } from '../../../../core/load/packets'
import { editBatch } from '../../../../store/batches'
import { SelectField } from '../../../../ui/PlainFields'
import { marksOf } from '../../../../words/lists'
import { leakWords } from '../../../../words/packets'
import { useBench } from '../../bench-context'

const DARK_SCALE = 'dark scale on opening'

const keyOf = (packet: Packet) => packet.blades[0]?.id ?? ''
const markOf = (packet: Packet) => marksOf(packet.blades.map(b => b.mark))

/** A packet that leaked is noted here and stands with its blades from then on. */
export function LeakField() {
  const { batch, shop } = useBench()
  const packets = packetsOf(foiled(batch, shop))
  const leaked = packets.filter(p => p.leak !== null)
  const note = (packet: Packet, leak: string | null) =>
    void editBatch(batch, `${markOf(packet)} ${leak ? 'leaked' : 'held'}`, b => notePacket(b, packet, { leak }))
  return (
    <div>
      <SelectField
        label="A packet that leaked"
        value="none"
        options={[
          ['none', leaked.length > 0 ? 'another one …' : 'none'] as const,
          ...packets.filter(p => p.leak === null).map(p => [keyOf(p), markOf(p)] as const),
        ]}
        onCommit={key => {
          const packet = packets.find(p => keyOf(p) === key)
          if (packet) note(packet, DARK_SCALE)
        }}
      />
      <ul className="mt-1 text-small">
        {leaked.map(packet => (
          <li key={keyOf(packet)} className="flex items-baseline gap-2">
            <strong>{markOf(packet)}</strong> {packet.leak && leakWords(packet.leak)}
            <button type="button" className="link min-h-row whitespace-nowrap" onClick={() => note(packet, null)}>
              no leak
            </button>
          </li>
        ))}
      </ul>
    </div>
  )
}
