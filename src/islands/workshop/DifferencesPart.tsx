import type { StoredDifference } from '../../core/joining/join-logs'
import { stampMs } from '../../core/joining/stamp'
import { leaveAsTaken, takeOther, useDifferences } from '../../store/differences'
import { format } from '../../ui/dates'
import { toast } from '../../ui/toast'
import { useSay } from '../../ui/Units'
import { differenceWords, partWords, recordWords } from '../../words/differences'
import { counted } from '../../words/lists'
import { changedOn } from '../../words/sharing'
import { useSharing } from '../sharing/use-sharing'
import { undoable } from '../undo'

/** Parts that were changed on two screens: which value was taken on joining, and a press for the other. Nothing where there are none. */
export function DifferencesPart() {
  const differences = useDifferences()
  if (!differences?.length) return null
  return (
    <section aria-label="Changed on both" className="mt-4 border border-rule-strong p-4">
      <h3 className="text-lead">Changed on both: {counted(differences.length, 'detail')}</h3>
      <p className="mb-2 text-small text-ink-2">
        Two screens changed the same detail. The later change stands; take the other where that is the right one.
      </p>
      <ul className="max-h-96 overflow-auto">
        {differences.map(one => (
          <DifferenceRow key={one.key} difference={one} />
        ))}
      </ul>
    </section>
  )
}

const whenOf = (at: StoredDifference['hereAt']) =>
  at ? format(new Date(stampMs(at)).toISOString()) : 'before joining was kept'

function DifferenceRow({ difference }: { difference: StoredDifference }) {
  const say = useSay()
  const { kept, other } = differenceWords(difference, say)
  const { taken, hereAt, thereAt } = difference
  const [keptAt, otherAt] = taken === 'here' ? [hereAt, thereAt] : [thereAt, hereAt]
  const { screens } = useSharing()
  const [keptBy, otherBy] =
    taken === 'here'
      ? [changedOn(hereAt, true, screens), changedOn(thereAt, false, screens)]
      : [changedOn(thereAt, false, screens), changedOn(hereAt, true, screens)]
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 border-t border-rule py-2">
      <p className="min-w-64 flex-1">
        <strong>{recordWords(difference)}</strong>, {partWords(difference.path)}: {kept}{' '}
        <span className="text-small text-ink-2">
          ({keptBy}, {whenOf(keptAt)})
        </span>
        <br />
        <span className="text-ink-2">
          not {other}{' '}
          <span className="text-small">
            ({otherBy}, {whenOf(otherAt)})
          </span>
        </span>
      </p>
      <button
        type="button"
        className="btn"
        onClick={() =>
          void takeOther(difference).then(outcome => {
            if (outcome === 'gone') toast(`${recordWords(difference)} was deleted since.`)
            else if (outcome.saved) undoable(`Changed to ${other}`)
          })
        }
      >
        Take {other.length > 24 ? 'the other' : other}
      </button>
      <button type="button" className="btn btn-plain" onClick={() => void leaveAsTaken(difference)}>
        Leave it
      </button>
    </li>
  )
}
