import { useState } from 'react'
import { parseSurvey } from '../../core/files/survey-text'
import type { OvenEvidence } from '../../core/oven/evidence'
import { BOUNDS } from '../../core/shop/bounds'
import type { Oven } from '../../core/shop/oven'
import { QuantityField } from '../../ui/QuantityField'
import { useSay } from '../../ui/Units'
import { problemWords } from '../../words/problems'
import { newId } from '../batch/edit'
import { useShopNow } from '../shop-context'

interface Props {
  readonly oven: Oven
  readonly onAdd: (item: OvenEvidence) => void
}

const ROWS = ['near the door', 'in the middle', 'at the back'] as const
/** A survey thermocouple, one standard deviation, K. */
const SURVEY_SD_K = 2

/** Nine readings over the rack, or as many as there are: rows from door to back, columns from left to right. */
export function SurveyForm({ oven, onAdd }: Props) {
  const say = useSay()
  const shop = useShopNow()
  const [setC, setSetC] = useState(1060)
  const [text, setText] = useState<string[]>(['', '', ''])
  const [trouble, setTrouble] = useState<string | null>(null)
  const add = () => {
    const read = parseSurvey(text, oven.chamberMm, shop.units)
    if (!read.ok) return setTrouble(read.problems.map(found => problemWords(found, say)).join(' '))
    onAdd({
      id: newId(),
      kind: 'survey',
      at: new Date().toISOString(),
      setC,
      indicatedC: setC,
      sdK: SURVEY_SD_K,
      points: read.value,
    })
    setText(['', '', ''])
    setTrouble(null)
  }
  return (
    <section className="space-y-2 border-t border-rule-strong pt-3">
      <h2 className="text-large">Survey of the chamber</h2>
      <p className="text-note text-ink-2">
        Held at one setting, the second thermocouple moved over the rack at blade height. In each row from left to
        right, such as 1058 1062 1059.
      </p>
      <QuantityField
        label="Set to, and shown"
        dimension="temperature"
        value={setC}
        {...BOUNDS.ovenSetC}
        onCommit={setSetC}
      />
      {ROWS.map((row, i) => (
        <label key={row} className="block">
          <span className="label">Readings {row}</span>
          <input
            className="field"
            inputMode="decimal"
            autoComplete="off"
            aria-invalid={trouble !== null}
            aria-describedby={trouble ? 'survey-trouble' : undefined}
            value={text[i]}
            onChange={event => {
              setText(text.map((t, j) => (j === i ? event.target.value : t)))
              setTrouble(null)
            }}
          />
        </label>
      ))}
      {trouble && (
        <p id="survey-trouble" role="alert" className="text-small text-bad">
          {trouble}
        </p>
      )}
      <button type="button" className="btn" disabled={text.every(t => t.trim() === '')} onClick={add}>
        Add the survey
      </button>
    </section>
  )
}
