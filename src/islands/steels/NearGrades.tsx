import { useMemo } from 'react'
import { compositionIn, parseCompositionText } from '../../core/files/own-grade/composition-text'
import { compositionDoubts, nearestGrades } from '../../core/steel/nearest-grades'
import type { Grade } from '../../data/grades'
import { Warnings } from '../../ui/Bench'
import { compositionDoubtWords, differsWords, NOT_A_COMPOSITION, notReadWords } from '../../words/steels'
import type { SheetBase } from './own/OwnGradeForm'

interface Props {
  /** The pasted line of a sheet. */
  readonly text: string
  readonly grades: readonly Grade[]
  readonly onShow: (id: string) => void
  readonly onBase: (base: SheetBase) => void
}

/** Grades nearest to the composition of a pasted sheet, with what differs. */
export default function NearGrades({ text, grades, onShow, onBase }: Props) {
  const composition = useMemo(() => compositionIn(text), [text])
  const { unread } = useMemo(() => parseCompositionText(text), [text])
  const doubts = composition ? compositionDoubts(composition) : []
  const near = composition && doubts.length === 0 ? nearestGrades(composition, grades) : []
  return (
    <section aria-label="Grades nearest to this composition">
      {!composition && <p className="text-ink-2">{NOT_A_COMPOSITION}</p>}
      <Warnings lines={doubts.map(doubt => ({ code: JSON.stringify(doubt), message: compositionDoubtWords(doubt) }))} />
      {unread.length > 0 && <p className="text-note text-ink-2">{notReadWords(unread)}</p>}
      <ul>
        {near.map(({ grade, differs }) => (
          <li key={grade.id} className="border-t border-rule">
            <button
              type="button"
              onClick={() => onShow(grade.id)}
              className="block min-h-touch w-full py-1.5 text-left"
            >
              {grade.name}
              <span className="block text-note text-ink-2">{differsWords(differs)}</span>
            </button>
            <button
              type="button"
              className="btn btn-plain !px-0"
              onClick={() => onBase({ grade, pasted: composition })}
            >
              Take it with my sheet’s chart
              <span className="sr-only">: {grade.name}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
