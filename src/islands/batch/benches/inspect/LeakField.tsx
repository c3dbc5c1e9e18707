import { notePacket, packetsOf } from '../../../../core/plan/packets'
import type { Batch } from '../../../../core/record/schemas'
import { editBatch } from '../../../../store/batches'
import { SelectField } from '../../../../ui/PlainFields'

const DARK_SCALE = 'dark scale on opening'

/** A packet that leaked is noted here and stands with its blade from then on. */
export function LeakField({ batch }: { batch: Batch }) {
  const packets = packetsOf(batch)
  const leaked = packets.filter(p => p.leak !== null)
  return (
    <div>
      <SelectField
        label="A packet that leaked"
        value="none"
        options={[
          ['none', leaked.length > 0 ? 'another one …' : 'none'] as const,
          ...packets.filter(p => p.leak === null).map(p => [p.mark, p.mark] as const),
        ]}
        onCommit={mark =>
          mark !== 'none' && void editBatch(batch, `${mark} leaked`, b => notePacket(b, mark, { leak: DARK_SCALE }))
        }
      />
      <ul className="mt-1 text-[13px]">
        {leaked.map(packet => (
          <li key={packet.mark} className="flex items-baseline gap-2">
            <strong>{packet.mark}</strong> {packet.leak}
            <button
              type="button"
              className="link min-h-6 whitespace-nowrap"
              onClick={() =>
                void editBatch(batch, `${packet.mark} held`, b => notePacket(b, packet.mark, { leak: null }))
              }
            >
              it held
            </button>
          </li>
        ))}
      </ul>
    </div>
  )
}
