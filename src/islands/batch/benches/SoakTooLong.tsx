import { useMemo } from 'react'
import type { ProgrammedLoad } from '../../../core/bench/batch-model'
import { mendWords, tooLongWords } from '../../../words/pull-plan'
import { useAnswer } from '../../../workers/use-answer'
import { useBench } from '../bench-context'

/** Blades of a load that are pulled too late for their steel, with what would mend it. Nothing where none is. */
export function SoakTooLong({ load }: { load: ProgrammedLoad }) {
  const { batch, shop, loads } = useBench()
  const marks = new Map(load.blades.map(blade => [blade.id, blade.mark]))
  const words = load.pulls && tooLongWords(load.pulls, id => marks.get(id) ?? '')
  const loadIndex = loads.indexOf(load)
  const request = useMemo(() => (words ? { batch, shop, loadIndex } : null), [words, batch, shop, loadIndex])
  const answer = useAnswer('pull-list', request)
  if (!words) return null
  return (
    <p role="status" className="my-2 border-l-3 border-bad pl-3 text-small">
      <strong className="text-bad">{words}</strong> {answer?.ok ? mendWords(answer.value.mends) : null}
    </p>
  )
}
